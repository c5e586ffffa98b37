import { useEffect, useRef } from 'react'
import { restOver } from './sound'
import { clock, useNow } from './useNow'
import type { NextStep } from './walk'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** The clock of a rest, and what comes after it. */
export function RestClock({
  until,
  next,
  unit,
}: {
  until: number | undefined
  next: NextStep | null
  unit: MassUnit
}) {
  const now = useNow(250, until !== undefined)
  const left = until === undefined ? 0 : until - now
  const over = until !== undefined && left <= 0
  return (
    <div
      className={`mt-1 flex items-center gap-3 border-y py-1 ${over ? 'border-accent' : 'border-ink'}`}
      role="timer"
      aria-label="Rest"
    >
      <p
        className={`w-[150px] text-6xl font-semibold tabular-nums ${over ? 'text-accent' : ''}`}
        data-testid="rest"
      >
        {until === undefined ? '–' : clock(left)}
      </p>
      <p className="text-base leading-snug">
        <span role="status">
          {until === undefined ? 'No rest is asked here.' : over ? 'Rest is over.' : 'Rest'}
        </span>
        {next && (
          <span className="block text-sm text-ink-2">
            Next: {next.item.item.exercise.name},{' '}
            {next.step.kind === 'WARM_UP'
              ? 'warm-up set'
              : next.step.kind === 'DROP'
                ? 'drop'
                : 'set'}{' '}
            {next.step.number}
            {next.step.side === 'NONE' ? '' : next.step.side === 'LEFT' ? ', left' : ', right'}
            {next.step.load && next.step.load.kg > 0
              ? `, ${mass(next.step.load.kg, unit)} ${unit}`
              : ''}
          </span>
        )}
      </p>
    </div>
  )
}

/** Sounds the end of each rest once, whichever client is in sight. */
export function RestBell({ until }: { until: number | undefined }) {
  const rung = useRef<number>(undefined)
  const now = useNow(250, until !== undefined)
  useEffect(() => {
    if (until !== undefined && now >= until && now - until < 3000 && rung.current !== until) {
      rung.current = until
      restOver()
    }
  }, [now, until])
  return null
}
