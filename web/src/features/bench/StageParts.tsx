import type { BenchSide, Parameter } from '../../api/client'
import type { MusclesShown } from '../../chart/stage/Figure'
import { Stage } from '../../chart/stage/Stage'
import { frame } from '../../chart/stage/scene'
import { ClientWarnings } from '../order/ForClient'

/** The feet from above, and the lowest point from the front where there is one. */
export function StanceFigure({
  start,
  now,
  moved,
  parameters,
  setup,
  onMove,
  muscles,
}: {
  start: BenchSide
  now: BenchSide
  moved: boolean
  parameters: Parameter[]
  setup: Record<string, number>
  onMove: (id: string, value: number) => void
  muscles: MusclesShown | undefined
}) {
  return (
    <figure className="flex min-h-0 flex-col">
      <figcaption className="text-xs text-ink-2">
        Feet{' '}
        {parameters.some((parameter) => parameter.id === 'plateGrip')
          ? 'on the plate'
          : 'from above'}
      </figcaption>
      <Stage
        plan
        plain
        drawing={now.plan!}
        ghost={moved ? start.plan : undefined}
        box={planBox(now)}
        label="The feet in plan"
        handles={now.planGrips}
        parameters={parameters}
        setup={setup}
        onMove={onMove}
        className="max-h-60 w-full"
      />
      {now.front && (
        <>
          <figcaption className="mt-1 text-xs text-ink-2">
            Lowest point from the front; dashed: plumb from the knees
          </figcaption>
          <Stage
            plain
            drawing={now.front}
            ghost={moved ? start.front : undefined}
            box={frame([now.front, ...(start.front ? [start.front] : [])], 0.04)}
            label={`Front view of ${now.clientName}`}
            muscles={muscles}
            className="max-h-64 w-full"
          />
        </>
      )}
    </figure>
  )
}

/** A frame for the feet that does not jump while the stance is moved. */
function planBox(side: BenchSide) {
  const box = frame([side.plan!], 0.04)
  const half = Math.max(
    0.36,
    ...side.plan!.lines.flatMap((line) =>
      line.role.startsWith('foot') ? line.points.map((point) => Math.abs(point.y)) : [],
    ),
  )
  const along = side
    .plan!.lines.filter((line) => line.role.startsWith('foot'))
    .flatMap((line) => line.points.map((point) => point.x))
  const [low, high] = [Math.min(...along) - 0.06, Math.max(...along) + 0.06]
  return { ...box, x: -half - 0.05, width: 2 * half + 0.1, y: -high, height: high - low }
}

/** What is to be known of this posture: why it cannot be taken, what to beware of, what differs for this client. */
export function StageWords({
  now,
  moved,
  shows,
  givesOut,
  onReset,
}: {
  now: BenchSide
  moved: boolean
  shows: boolean
  givesOut: boolean
  onReset: () => void
}) {
  return (
    <>
      <ClientWarnings refusal={now.refusal} statements={now.statements} who={now.clientName} />
      {now.obstacle && (
        <p
          role="alert"
          className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
          data-testid="obstacle"
        >
          <b>Not possible for {now.clientName}:</b> {now.obstacle.reason} Missing:{' '}
          {now.obstacle.missing}.{!shows && ' The stage still shows the start.'}
        </p>
      )}
      {now.cautions.map(({ words }) => (
        <p
          key={words}
          role="alert"
          className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
          data-testid="caution"
        >
          <b>Caution:</b> {words}{' '}
          {moved && (
            <button type="button" className="underline" onClick={onReset}>
              Back to the usual set-up
            </button>
          )}
        </p>
      ))}
      <p className="text-xs text-ink-2">
        {moved && shows && 'Dashed: the start. '}
        {givesOut && 'Bold outline: gives out first. '}Circles can be dragged, or moved with the
        arrow keys.
      </p>
      {[
        ...now.changes.map((change) => `Fitted to client and gym: ${change.words}`),
        ...now.notes.map((note) => note.words),
      ].map((words) => (
        <p key={words} className="text-sm text-ink-2">
          {words}
        </p>
      ))}
    </>
  )
}

/** The angles of one place of the repetition, and how much of what is possible it asks. */
export function Angles({ phase }: { phase: BenchSide['phases'][number] }) {
  return (
    <p className="text-sm text-ink-2" data-testid="angles">
      trunk {Math.round(phase.leanDeg)}° · hip {Math.round(phase.anglesDeg['hip flexion'] ?? 0)}° ·
      thigh outwards {Math.round(phase.anglesDeg['hip abduction'] ?? 0)}° · knee{' '}
      {Math.round(phase.anglesDeg['knee flexion'] ?? 0)}° · ankle{' '}
      {Math.round(phase.anglesDeg['ankle dorsiflexion'] ?? 0)}°
      {phase.demand !== undefined && <> · {Math.round(100 * phase.demand)} % of capacity here</>}
    </p>
  )
}
