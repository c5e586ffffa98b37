import { useState } from 'react'
import { Link } from 'react-router'
import type { Loading } from '../../api/client'
import { KG_PER_LB } from '../../quantity/units'
import { platesWords } from '../plans/words'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** A number between two thumbs-wide buttons. */
export function Stepper({
  label,
  value,
  words,
  unit,
  onLess,
  onMore,
  onType,
}: {
  label: string
  value: string
  words?: string | undefined
  unit?: string
  onLess: () => void
  onMore: () => void
  onType: (text: string) => string | void
}) {
  const [text, setText] = useState<string | null>(null)
  const [fault, setFault] = useState('')
  const end = () => {
    // what cannot be taken is said, and the value stays as it was
    setFault((text !== null && text.trim() !== '' && onType(text)) || '')
    setText(null)
  }
  return (
    <div className="flex items-stretch gap-1" role="group" aria-label={label}>
      <button
        type="button"
        aria-label={`Less ${label}`}
        className="min-h-[56px] w-[64px] shrink-0 border border-edge text-3xl leading-none active:bg-paper-2"
        onClick={onLess}
      >
        −
      </button>
      <label className="flex min-w-0 flex-1 flex-col items-center justify-center border border-edge leading-tight">
        <span className="text-xs text-ink-2">
          {label}
          {unit ? ` (${unit})` : ''}
        </span>
        <input
          aria-label={label}
          inputMode="decimal"
          className="w-full bg-transparent text-center text-2xl font-semibold"
          value={text ?? value}
          onChange={(event) => setText(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={end}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur()
          }}
        />
        {fault ? (
          <span role="alert" className="pb-0.5 text-center text-xs text-warn">
            {fault}
          </span>
        ) : (
          words && <span className="truncate pb-0.5 text-xs text-ink-2">{words}</span>
        )}
      </label>
      <button
        type="button"
        aria-label={`More ${label}`}
        className="min-h-[56px] w-[64px] shrink-0 border border-edge text-3xl leading-none active:bg-paper-2"
        onClick={onMore}
      >
        +
      </button>
    </div>
  )
}

/** Repetitions as they are typed: whole ones, within what a set can have. */
export function repetitionsTyped(text: string, onRepetitions: (n: number) => void): string | void {
  const n = Number(text)
  if (!Number.isInteger(n) || n < 1 || n > 200) return 'whole, 1 to 200: unchanged'
  onRepetitions(n)
}

/** The load: steps through what this gym can make, and says which plates. */
export function LoadStepper({
  kg,
  loads,
  unit,
  onKg,
}: {
  /** missing where nobody has said it yet */
  kg: number | undefined
  loads: Loading[]
  unit: MassUnit
  onKg: (kg: number) => void
}) {
  const now = kg ?? 0
  const below = loads.filter((load) => load.kg < now - 1e-6).at(-1)
  const above = loads.find((load) => load.kg > now + 1e-6)
  const exact = kg === undefined ? undefined : loads.find((load) => Math.abs(load.kg - kg) < 1e-6)
  return (
    <Stepper
      label="Load"
      unit={unit}
      value={kg === undefined ? '' : mass(kg, unit)}
      words={
        kg === undefined
          ? 'not known yet'
          : exact
            ? platesWords(exact, unit)
            : kg > 0 && loads.length > 1
              ? 'not among this gym’s loads'
              : ''
      }
      onLess={() => onKg(below?.kg ?? Math.max(0, now - 2.5))}
      onMore={() => onKg(above?.kg ?? now + 2.5)}
      onType={(text) => {
        const n = Number(text.replace(',', '.'))
        if (!Number.isFinite(n) || n < 0) return 'a number from 0: unchanged'
        onKg(unit === 'kg' ? n : Number((n * KG_PER_LB).toFixed(3)))
      }}
    />
  )
}

/** One of a few, as wide as a thumb. */
export function Pick<T extends string | number>({
  label,
  options,
  value,
  onPick,
}: {
  label: string
  options: { value: T; label: string }[]
  value: T | undefined
  onPick: (v: T) => void
}) {
  return (
    <div role="radiogroup" aria-label={label} className="flex items-center gap-1">
      <span className="w-[68px] shrink-0 text-xs leading-tight text-ink-2">{label}</span>
      {options.map((option) => (
        <button
          key={option.value}
          type="button"
          role="radio"
          aria-checked={value === option.value}
          className={`min-h-[48px] min-w-0 flex-1 border px-1 text-base ${value === option.value ? 'border-ink bg-ink text-paper' : 'border-edge'}`}
          onClick={() => onPick(option.value)}
        >
          {option.label}
        </button>
      ))}
    </div>
  )
}

export function Big({
  children,
  onClick,
  look = 'ink',
  disabled = false,
}: {
  children: React.ReactNode
  onClick: () => void
  look?: 'ink' | 'line'
  disabled?: boolean
}) {
  return (
    <button
      type="button"
      disabled={disabled}
      className={`min-h-[56px] w-full border px-2 text-lg font-semibold disabled:opacity-50 ${look === 'ink' ? 'border-ink bg-ink text-paper' : 'border-edge bg-paper'}`}
      onClick={onClick}
    >
      {children}
    </button>
  )
}

export function DeskLink() {
  return (
    <Link className="inline-flex min-h-[48px] items-center underline" to="/sessions">
      To the desk
    </Link>
  )
}
