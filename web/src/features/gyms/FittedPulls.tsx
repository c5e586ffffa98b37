import type { Problem, Fit, Machine, Schemas } from '../../api/client'
import { FitPlot } from '../../chart/FitPlot'
import { detailUnit, percent, coachUnit } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { FaultText } from '../../ui/Field'
import type { TypedPull } from './AddPull'
import { trim } from '../../quantity/number'

/** The readings, each with its distance from the fit and from the generic type. */
export function PullTable({
  lever,
  rows,
  fit,
  problem,
  onRemove,
}: {
  lever: boolean
  rows: TypedPull[]
  fit: Fit | undefined
  problem: Problem | null
  onRemove: (index: number) => void
}) {
  const at = detailUnit(lever ? 'deg' : 'm')
  return (
    <div className="overflow-x-auto">
      <table className="mt-2 w-full text-sm">
        <thead>
          <tr className="border-b border-rule text-right text-xs text-ink-2">
            <th scope="col" className="py-1 font-normal">
              {at.unit}
            </th>
            <th scope="col" className="font-normal">
              scale, {coachUnit('kg').unit}
            </th>
            {lever && (
              <th scope="col" className="font-normal">
                arm, {coachUnit('m').unit}
              </th>
            )}
            <th scope="col" className="font-normal">
              load, {coachUnit('kg').unit}
            </th>
            <th scope="col" className="pl-3 text-left font-normal">
              going
            </th>
            <th scope="col" className="font-normal">
              off the fit
            </th>
            <th scope="col" className="font-normal">
              off the generic type
            </th>
            <th scope="col">
              <span className="sr-only">what can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, k) => {
            const point = fit?.points[k]
            return (
              <tr key={k} className="border-b border-rule/60 text-right" data-testid="pull">
                <td>{row.at}</td>
                <td>{row.force}</td>
                {lever && <td>{row.lever}</td>}
                <td>{row.load}</td>
                <td className="pl-3 text-left">
                  {row.direction === 'UP' ? 'up' : row.direction === 'DOWN' ? 'down' : 'still'}
                </td>
                <td>{point ? signed(point.measured / point.fitted - 1) : '–'}</td>
                <td>{point ? signed(point.measured / point.generic - 1) : '–'}</td>
                <td>
                  <Button
                    look="bare"
                    className="!min-h-6 !py-0"
                    aria-label={`Remove pull ${k + 1}`}
                    onClick={() => onRemove(k)}
                  >
                    Remove
                  </Button>
                  <FaultText
                    text={['at', 'forceN', 'leverM', 'loadKg']
                      .map((field) => problem?.fault(`pulls.${k}.${field}`))
                      .find(Boolean)}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

/** How well the fit holds the readings, the values it gives, and what they do to the order at hand. */
export function FitWords({
  machine,
  fit,
  effect,
}: {
  machine: Machine
  fit: Fit
  effect: Schemas['OrderChangeView'] | null
}) {
  const at = detailUnit(machine.travel === 'LEVER' ? 'deg' : 'm')
  return (
    <div className="mt-2 grid gap-4 sm:grid-cols-[18rem_minmax(0,1fr)]" data-testid="fit">
      <FitPlot points={fit.points} unit={fit.unit} atUnit={at.unit} perAt={at.perStored} />
      <div className="space-y-1 text-sm">
        <p>
          Pulls lie {percent(fit.repeatError)} about the fit, {percent(fit.genericError)} about the
          generic type.
        </p>
        <p>
          {machine.details
            .filter((detail) => fit.values[detail.id] !== undefined)
            .map(
              (detail) =>
                `${detail.label}: ${trim(fit.values[detail.id]! * detailUnit(detail.unit).perStored, 0)} ${detailUnit(detail.unit).unit}`,
            )
            .join(' · ')}
        </p>
        {fit.notes.map((note) => (
          <p key={note} className="text-ink-2">
            {note}
          </p>
        ))}
        {effect && (
          <p data-testid="effect">
            <b>For the order at hand:</b>{' '}
            {effect.moved === 0 && effect.moves.length === 0
              ? 'nothing moves.'
              : effect.moves.map((move) => move.words).join(' ')}
          </p>
        )}
      </div>
    </div>
  )
}

function signed(share: number): string {
  const p = Math.round(100 * share)
  return `${p > 0 ? '+' : ''}${p} %`
}
