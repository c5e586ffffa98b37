import { useId } from 'react'
import type { ComponentProps, ReactNode } from 'react'
import { coachUnit, faultIn } from '../quantity/format'

/** A labelled input with its unit, and what is wrong with it beside it. */
export function Field({
  label,
  unit,
  fault,
  className = '',
  ...input
}: ComponentProps<'input'> & { label: string; unit?: string; fault?: string }) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm text-ink-2">
        {label}
        {unit && <span> ({unit})</span>}
      </label>
      <input
        id={id}
        aria-invalid={fault ? true : undefined}
        aria-describedby={fault ? `${id}-fault` : undefined}
        className={`mt-0.5 w-full border px-2 py-1 text-base ${fault ? 'border-warn' : 'border-edge'}`}
        {...input}
      />
      <FaultText id={`${id}-fault`} text={fault} />
    </div>
  )
}

/** A box for a mass ("kg") or a length ("m") in the coach's unit; its fault too. */
export function QuantityField({
  of,
  fault,
  ...field
}: Omit<ComponentProps<typeof Field>, 'unit'> & { of: string }) {
  const unit = coachUnit(of)
  return <Field unit={unit.unit} inputMode="decimal" {...field} fault={faultIn(unit, fault)} />
}

export function FaultText({ id, text }: { id?: string; text?: string }) {
  return text ? (
    <p id={id} role="alert" className="mt-0.5 text-sm text-warn">
      {text}
    </p>
  ) : null
}

/** One of a few, as a row of choices. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
  fault,
}: {
  label: string
  options: { value: T; label: string }[]
  value: T | null
  onChange: (v: T) => void
  fault?: string
}) {
  const name = useId()
  return (
    <fieldset>
      <legend className="text-sm text-ink-2">{label}</legend>
      <div className="mt-0.5 flex">
        {options.map((option) => (
          <label
            key={option.value}
            className={`-ml-px min-h-9 flex-1 border px-2 py-1.5 text-center text-sm first:ml-0 has-focus-visible:outline-2 has-focus-visible:outline-[var(--focus)] ${value === option.value ? 'z-1 border-ink bg-ink text-paper' : 'border-edge hover:border-ink'}`}
          >
            <input
              type="radio"
              name={name}
              className="sr-only"
              checked={value === option.value}
              onChange={() => onChange(option.value)}
            />
            {option.label}
          </label>
        ))}
      </div>
      <FaultText text={fault} />
    </fieldset>
  )
}

export function Tick({
  label,
  note,
  checked,
  onChange,
}: {
  label: ReactNode
  note?: string
  checked: boolean
  onChange: (on: boolean) => void
}) {
  return (
    <label className="flex min-h-8 items-start gap-2 py-1">
      <input
        type="checkbox"
        className="mt-0.5 size-4 accent-[var(--accent-2)]"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span>
        {label}
        {note && <span className="block text-xs text-ink-2">{note}</span>}
      </span>
    </label>
  )
}
