import { useId } from 'react'
import type { Parameter, Step } from '../../api/client'
import { setupValue } from '../../quantity/format'

type Props = {
  parameters: Parameter[]
  setup: Record<string, number>
  pinned: Record<string, number> | null
  measured: string[]
  steps: Step[]
  onMove: (id: string, value: number) => void
}

/** Every parameter in natural steps: the set-up first, then technique, then the machine. */
export function Controls({ parameters, setup, pinned, measured, steps, onMove }: Props) {
  const of = (kind: Parameter['kind']) => parameters.filter((parameter) => parameter.kind === kind)
  const group = (list: Parameter[]) =>
    list.map((parameter) => (
      <Control
        key={parameter.id}
        parameter={parameter}
        measured={measured.includes(parameter.id)}
        value={setup[parameter.id] ?? parameter.usual}
        was={pinned?.[parameter.id]}
        step={steps.find((step) => step.parameterId === parameter.id)}
        onMove={onMove}
      />
    ))
  const known = of('MACHINE').filter((parameter) => measured.includes(parameter.id)).length
  return (
    <div>
      {group(of('SETUP'))}
      {of('TECHNIQUE').length > 0 && (
        <details className="mt-2" open={of('SETUP').length < 4}>
          <summary className="border-b border-ink py-1 font-serif text-base font-semibold">
            What the lifter does
          </summary>
          {group(of('TECHNIQUE'))}
        </details>
      )}
      {of('MACHINE').length > 0 && (
        <details className="mt-2">
          <summary className="border-b border-ink py-1 font-serif text-base font-semibold">
            This machine (
            {known === 0
              ? 'generic until measured'
              : `${known} of ${of('MACHINE').length} measured here`}
            )
          </summary>
          {group(of('MACHINE'))}
        </details>
      )}
    </div>
  )
}

function Control({
  parameter: parameter,
  value,
  was,
  measured,
  step,
  onMove,
}: {
  parameter: Parameter
  value: number
  measured: boolean
  was?: number
  step?: Step
  onMove: (id: string, value: number) => void
}) {
  const id = useId()
  const moved = was !== undefined && Math.abs(was - value) > 1e-6
  return (
    <div className="border-b border-rule/60 py-1">
      <div className="flex items-baseline justify-between gap-2">
        <label htmlFor={id} className="text-sm" title={parameter.note}>
          {parameter.label}
          {measured && <span className="ml-1 text-xs text-accent-2">measured</span>}
        </label>
        <span className="text-sm font-semibold whitespace-nowrap">
          {moved && (
            <span className="mr-2 font-normal text-ink-2">was {setupValue(parameter, was)}</span>
          )}
          {parameter.choices.length === 0 && setupValue(parameter, value)}
        </span>
      </div>
      {parameter.choices.length > 0 ? (
        <select
          id={id}
          className="mt-0.5 w-full border border-edge px-1 py-1 text-sm"
          value={value}
          onChange={(event) => onMove(parameter.id, Number(event.target.value))}
        >
          {parameter.choices.map((choice, k) => (
            <option key={choice} value={k}>
              {choice}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          type="range"
          className="h-6 w-full accent-[var(--accent)]"
          min={parameter.min}
          max={parameter.max}
          step={
            parameter.unit === 'deg'
              ? 1
              : parameter.unit === 'kg'
                ? parameter.step
                : parameter.step / 2
          }
          value={value}
          aria-valuetext={setupValue(parameter, value)}
          onChange={(event) => onMove(parameter.id, Number(event.target.value))}
        />
      )}
      {step && (
        <p className="flex justify-between text-xs text-ink-2" data-testid={`step-${parameter.id}`}>
          <Way way={step.less} parameter={parameter} sign="−" step={step.step} />
          <Way way={step.more} parameter={parameter} sign="+" step={step.step} />
        </p>
      )}
    </div>
  )
}

/** What a step one way does for the aim; a gain of 0 is too little to count. */
function Way({
  way,
  parameter,
  sign,
  step,
}: {
  way: Step['more']
  parameter: Parameter
  sign: string
  step: number
}) {
  if (way.gain === undefined)
    return <span title={way.obstacle}>{sign === '+' ? 'no further' : 'no less'}</span>
  const percent = Math.round(100 * way.gain)
  return (
    <span>
      {setupValue(parameter, step)} {sign === '+' ? 'more' : 'less'}:{' '}
      {way.gain === 0 ? (
        'no change'
      ) : (
        <b className="font-semibold text-ink">{`${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`}</b>
      )}
    </span>
  )
}
