import type { FloorExercise } from '../../api/client'
import { Big } from './Controls'
import { Sensors, WatchedSoFar } from './Watched'
import { useWatching } from './useWatching'
import type { Figures } from './store'

export type Taken = {
  repetitions: number
  figures: Pick<Figures, 'range' | 'tempoKept'>
  words: string[]
}

/** A set watched by a sensor: repetitions as they come, beside what was asked. What it says is an offer; the coach writes it down. */
export function Watch({
  clientId,
  exercise,
  onTake,
  onClose,
}: {
  clientId: string
  exercise: FloorExercise
  onTake: (t: Taken) => void
  onClose: () => void
}) {
  const { code, turned, turn, seen, failed, begin, standIn } = useWatching(exercise)
  const n = seen?.repetitions.length ?? 0
  return (
    <div
      role="dialog"
      aria-modal="true"
      aria-label="Watch the set"
      className="fixed inset-0 z-50 mx-auto flex max-w-md flex-col gap-2 bg-paper p-3"
    >
      <h2 className="text-2xl leading-tight">{exercise.name}</h2>
      {code === null ? (
        <Sensors clientId={clientId} exercise={exercise} onBegin={(kind) => void begin(kind)} />
      ) : (
        <WatchedSoFar seen={seen} code={code} onStandIn={standIn} />
      )}
      {failed && (
        <p role="alert" className="border-l-2 border-warn pl-2 text-base">
          {failed} Count by hand; nothing is lost.
        </p>
      )}
      <div className="mt-auto space-y-1.5">
        {seen && seen.trace.length > 1 && (
          <button
            type="button"
            className="min-h-[48px] w-full border border-edge text-base"
            aria-pressed={turned}
            onClick={turn}
          >
            {turned
              ? 'Turned: lifting makes the reading fall'
              : 'Lifting should go up here. If not, turn it'}
          </button>
        )}
        {seen && n > 0 && (
          <Big
            onClick={() => {
              onTake({
                repetitions: n,
                figures: {
                  ...(seen.rangeKept === undefined
                    ? {}
                    : { range: seen.rangeKept ? 'FULL' : 'SHORT' }),
                  ...(seen.tempoKept === undefined ? {} : { tempoKept: seen.tempoKept }),
                },
                words: seen.findings.map((finding) => finding.words),
              })
              onClose()
            }}
          >
            Take {n} {n === 1 ? 'repetition' : 'repetitions'}
          </Big>
        )}
        <Big look="line" onClick={onClose}>
          {code === null ? 'Back' : 'Stop watching'}
        </Big>
      </div>
    </div>
  )
}
