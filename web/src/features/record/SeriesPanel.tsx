import { useState } from 'react'
import type { Series } from '../../api/client'
import { useSeries } from '../../api/queries'
import { OverTime } from '../../chart/OverTime'
import { day } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { outingWords } from './words'
import { trim } from '../../quantity/number'
import { mass, useMassUnit } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** One exercise in one set-up over time. */
export function SeriesPanel({ clientId, seriesId }: { clientId: string; seriesId: string }) {
  const series = useSeries(clientId, seriesId)
  const [unit] = useMassUnit()
  if (series.isError) return <Trouble error={series.error} retry={() => void series.refetch()} />
  if (!series.data) return <Waiting what="Reading the series" />
  const loaded = series.data
  return (
    <section aria-label={loaded.name} className="min-w-0">
      <h2 className="border-b border-ink text-lg">
        {loaded.name}
        {loaded.setup.length > 0 && (
          <span className="font-sans text-sm font-normal text-ink-2">
            {' '}
            {loaded.setup.join(', ')}
          </span>
        )}
      </h2>
      {loaded.next && (
        <p className="py-1 text-sm" data-testid="next">
          <b>
            Next
            {loaded.next.load && loaded.next.load.kg > 0
              ? `: ${mass(loaded.next.load.kg, unit)} ${unit}`
              : ''}
            ,{' '}
            {loaded.next.repetitionsLow === loaded.next.repetitionsHigh
              ? loaded.next.repetitionsLow
              : `${loaded.next.repetitionsLow}–${loaded.next.repetitionsHigh}`}{' '}
            repetitions
          </b>{' '}
          <span className="text-accent">{loaded.next.label}.</span> {loaded.next.why.words}
        </p>
      )}
      <Maximum s={loaded} unit={unit} />
      <div className="grid gap-x-6 lg:grid-cols-2">
        <Records s={loaded} unit={unit} />
        {loaded.gap && <Gap s={loaded} />}
      </div>
      <Outings s={loaded} unit={unit} />
    </section>
  )
}

function Maximum({ s, unit }: { s: Series; unit: MassUnit }) {
  const [how, setHow] = useState(false)
  const last = s.maxima.at(-1)
  if (!last)
    return (
      <p className="py-2 text-sm text-ink-2">
        No set tells of one repetition: too many repetitions, or no load. Repetition records stand
        below.
      </p>
    )
  const value = (kg: number) => Number(mass(kg, unit))
  return (
    <div>
      <p className="pt-1 text-sm">
        Load for one repetition, estimated from each day’s best set:{' '}
        <b>
          {mass(Math.round(last.kg), unit)} ± {mass(Math.round(2 * last.standardErrorKg), unit)}{' '}
          {unit}
        </b>
        {last.side === 'NONE' ? '' : last.side === 'LEFT' ? ', left,' : ', right,'} on{' '}
        {day(last.on)}.{' '}
        <Button look="bare" className="!min-h-6 !p-0" onClick={() => setHow(!how)}>
          {how ? 'Less' : 'How?'}
        </Button>
      </p>
      {how && (
        <div className="border-l-2 border-rule pl-2 text-sm">
          <p>
            From {mass(last.loadKg, unit)} {unit} × {last.repetitions} with {trim(last.reserve, 1)}{' '}
            in reserve, counted as {trim(last.repetitions + last.reserve, 1)} to failure. Used is
            the mean of Epley’s and Brzycki’s equations: they lie in the middle of those below and
            agree within 4 % up to ten repetitions. Sets beyond fifteen are not used. The error is
            how far the equations part and how far a felt reserve is off.
          </p>
          <ul className="grid grid-cols-2 gap-x-4">
            {s.equations.map((equation) => (
              <li key={equation.id} className="flex justify-between border-b border-rule/60">
                <span>{equation.source}</span>
                <b>
                  {mass(Math.round(last.byEquation[equation.id] ?? 0), unit)} {unit}
                </b>
              </li>
            ))}
          </ul>
        </div>
      )}
      <OverTime
        label="Estimated load for one repetition, with twice its standard error"
        unit={unit}
        points={s.maxima.map((maximum) => ({
          on: maximum.on,
          value: value(maximum.kg),
          ring: maximum.side === 'LEFT',
          error: value(2 * maximum.standardErrorKg),
          words: `${day(maximum.on)}: ${mass(Math.round(maximum.kg), unit)} ± ${mass(Math.round(2 * maximum.standardErrorKg), unit)} ${unit} from ${mass(maximum.loadKg, unit)} × ${maximum.repetitions}${maximum.side === 'NONE' ? '' : maximum.side === 'LEFT' ? ', left' : ', right'}`,
        }))}
      />
      <p className="text-xs text-ink-2">
        Bars: twice the standard error.
        {s.maxima.some((maximum) => maximum.side === 'LEFT') ? ' Rings: left.' : ''} Every reading
        is shown, none is smoothed.
      </p>
    </div>
  )
}

function Records({ s, unit }: { s: Series; unit: MassUnit }) {
  return (
    <table className="mt-2 h-fit w-full text-sm">
      <caption className="border-b border-ink text-left font-semibold">
        Most repetitions with a load
      </caption>
      <tbody>
        {s.records.slice(0, 8).map((record) => (
          <tr key={`${record.side} ${record.loadKg}`} className="border-b border-rule/60">
            <th scope="row" className="py-0.5 text-left font-normal">
              {record.loadKg > 0 ? `${mass(record.loadKg, unit)} ${unit}` : 'body weight'}
              {record.side === 'NONE' ? '' : record.side === 'LEFT' ? ', left' : ', right'}
            </th>
            <td className="text-right font-semibold">{record.repetitions}</td>
            <td className="text-right text-ink-2">{day(record.on)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Gap({ s }: { s: Series }) {
  const gap = s.gap!
  const weaker = gap.percent > 0 ? 'left' : 'right'
  return (
    <div className="mt-2 text-sm">
      <p className="border-b border-ink font-semibold">Sides</p>
      <p className="py-0.5">
        {gap.told ? (
          <>
            The {weaker} is{' '}
            <b>
              {trim(Math.abs(gap.percent), 0)} ± {trim(2 * gap.standardErrorPercent, 0)} %
            </b>{' '}
            behind{gap.grows ? ', and falls back further' : ''}.
          </>
        ) : (
          `No gap that can be told: ${trim(Math.abs(gap.percent), 0)} ± ${trim(2 * gap.standardErrorPercent, 0)} %.`
        )}
      </p>
      <OverTime
        label="Right less left, per cent"
        unit="%"
        zero
        height={140}
        points={gap.readings.map((reading) => ({
          on: reading.on,
          value: reading.percent,
          words: `${day(reading.on)}: ${trim(reading.percent, 0)} %`,
        }))}
      />
      <p className="text-xs text-ink-2">Above nothing: the right is stronger.</p>
    </div>
  )
}

function Outings({ s, unit }: { s: Series; unit: MassUnit }) {
  const newest = [...s.outings].reverse()
  return (
    <table className="mt-2 w-full text-sm">
      <caption className="border-b border-ink text-left font-semibold">
        {s.outingsInAll} {s.outingsInAll === 1 ? 'session' : 'sessions'}
        {newest.length < s.outingsInAll ? `, the newest ${newest.length}` : ''}
      </caption>
      <tbody>
        {newest.map((outing, k) => (
          <tr key={`${outing.on} ${k}`} className="border-b border-rule/60 align-baseline">
            <th
              scope="row"
              className="w-28 py-0.5 pr-3 text-left font-normal whitespace-nowrap text-ink-2"
            >
              {day(outing.on)}
            </th>
            <td>{outingWords(outing.sets, unit)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
