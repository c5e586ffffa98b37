import { Link } from 'react-router'
import type { FloorExercise } from '../../api/client'
import type { Gauge, Seen } from './useWatching'
import { trim } from '../../quantity/number'
import { detailUnit } from '../../quantity/format'

const SENSORS: { kind: Gauge; label: string; where: string }[] = [
  { kind: 'LENGTH', label: 'Cord on the bar', where: 'tells how high the bar, sled or stack is' },
  { kind: 'ANGLE', label: 'Tilt on the thigh', where: 'tells how far the thigh is from level' },
]

/** What can watch a set: a sensor, or a picture or film. */
export function Sensors({
  clientId,
  exercise,
  onBegin,
}: {
  clientId: string
  exercise: FloorExercise
  onBegin: (kind: Gauge) => void
}) {
  const loweringS = exercise.prescription?.tempo.loweringS
  return (
    <div className="my-auto space-y-2">
      <p className="text-base">
        What watches the set? It needs the network; what you log by hand does not.
      </p>
      {SENSORS.map((s) => (
        <button
          key={s.kind}
          type="button"
          className="min-h-[72px] w-full border border-edge px-3 text-left"
          onClick={() => onBegin(s.kind)}
        >
          <span className="block text-lg font-semibold">{s.label}</span>
          <span className="block text-sm text-ink-2">{s.where}</span>
        </button>
      ))}
      <Link
        className="block min-h-[72px] border border-edge px-3 py-3"
        to={`/clients/${clientId}/picture?candidate=${exercise.candidateId}${loweringS ? `&lowering=${loweringS}` : ''}`}
      >
        <span className="block text-lg font-semibold">Picture or film</span>
        <span className="block text-sm text-ink-2">
          tells depth, lean and repetitions from marks; what was logged stays
        </span>
      </Link>
    </div>
  )
}

/** The repetitions as they come, and what was not as asked. */
export function WatchedSoFar({
  seen,
  code,
  onStandIn,
}: {
  seen: Seen | undefined
  code: string
  onStandIn: () => void
}) {
  const n = seen?.repetitions.length ?? 0
  return (
    <>
      <div className="flex items-baseline gap-3 border-y border-ink py-1">
        <p className="text-7xl font-semibold tabular-nums" data-testid="watched-count">
          {n}
        </p>
        <p className="text-base leading-snug">
          <b>{n === 1 ? 'repetition' : 'repetitions'}</b>
          {seen && n > 1 && (
            <span className="block">
              last lifting {trim(seen.speedLossPercent, 0)} % slower than the fastest
            </span>
          )}
        </p>
      </div>
      {seen && seen.trace.length > 1 ? (
        <Trace seen={seen} />
      ) : (
        <Wait seen={seen} code={code} onStandIn={onStandIn} />
      )}
      {seen && n > 0 && <Repetitions seen={seen} />}
      <div aria-live="polite">
        {seen?.findings.map((finding) => (
          <p key={finding.kind} className="border-l-2 border-warn pl-2 text-base">
            {finding.words}
          </p>
        ))}
        {seen?.link.fault && <p className="text-sm text-warn">{seen.link.fault}</p>}
        {seen && seen.link.dropouts > 0 && (
          <p className="text-sm text-ink-2">
            The sensor dropped out{' '}
            {seen.link.dropouts === 1 ? 'once' : `${seen.link.dropouts} times`}; what fell into it
            is not timed.
          </p>
        )}
      </div>
    </>
  )
}

function Wait({
  seen,
  code,
  onStandIn,
}: {
  seen: Seen | undefined
  code: string
  onStandIn: () => void
}) {
  return (
    <div className="space-y-2 py-2">
      <p className="text-base">Waiting for the sensor. Tell it this code:</p>
      <p className="border-l-2 border-accent pl-2 font-mono text-base break-all">{code}</p>
      {seen?.link.standIns && (
        <button
          type="button"
          className="min-h-[56px] w-full border border-edge text-base"
          onClick={onStandIn}
        >
          Let the stand-in lift
        </button>
      )}
    </div>
  )
}

const W = 360
const H = 110

/** The last twenty seconds as the sensor told them. */
function Trace({ seen }: { seen: Seen }) {
  const end = seen.trace.at(-1)!.timeS
  const at = seen.trace.map((point) => point.position)
  const low = Math.min(...at)
  const span = Math.max(Math.max(...at) - low, 1e-6)
  const line = seen.trace
    .map(
      (point) =>
        `${(W * (1 - (end - point.timeS) / 20)).toFixed(1)},${(H - 6 - ((H - 12) * (point.position - low)) / span).toFixed(1)}`,
    )
    .join(' ')
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full border-b border-rule"
      role="img"
      aria-label="Position over the last twenty seconds"
    >
      <polyline points={line} fill="none" stroke="var(--accent-2)" strokeWidth={2} />
    </svg>
  )
}

function Repetitions({ seen }: { seen: Seen }) {
  const range = detailUnit(seen.link.kind === 'LENGTH' ? 'm' : 'deg')
  const off = new Set(seen.findings.flatMap((finding) => finding.repetitions))
  const time = (s: number) => (s > 0 ? trim(s, 1) : '–')
  return (
    <div className="min-h-0 flex-1 overflow-auto">
      <table className="w-full text-right text-base tabular-nums" data-testid="watched-table">
        <thead>
          <tr className="text-xs text-ink-2">
            <th scope="col" className="text-left font-normal">
              no.
            </th>
            <th scope="col" className="font-normal">
              {`range, ${range.unit}`}
            </th>
            <th scope="col" className="font-normal">
              down, s
            </th>
            <th scope="col" className="font-normal">
              low, s
            </th>
            <th scope="col" className="font-normal">
              up, s
            </th>
          </tr>
        </thead>
        <tbody>
          {seen.repetitions
            .map((repetition, k) => ({ r: repetition, k }))
            .reverse()
            .map(({ r, k }) => (
              <tr
                key={k}
                className={`border-t border-rule/60 ${off.has(k + 1) ? 'font-semibold text-warn' : ''}`}
              >
                <th scope="row" className="text-left font-normal">
                  {k + 1}
                </th>
                <td>{trim(range.perStored * r.range, range.unit === 'in' ? 1 : 0)}</td>
                <td>{time(r.loweringS)}</td>
                <td>{r.dropout ? '–' : trim(r.lowS, 1)}</td>
                <td>{time(r.liftingS)}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </div>
  )
}
