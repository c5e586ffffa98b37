import { Link } from 'react-router'
import type { Catalogue, Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import type { Brief } from '../brief/brief'
import { LoadWords } from '../order/ForClient'
import { usePin } from '../order/pin'
import { Changes } from './Changes'
import { Controls } from './Controls'
import { FindBest } from './FindBest'
import { KeepVariant, OwnVariant } from './OwnVariant'
import { TapelessStarts } from './TapelessStarts'
import { writeSetup } from './address'
import type { SetupChanges } from './useSetupChanges'

/** What the set-up can be changed by, and what can be done with it. */
export function BenchControls({
  catalogue,
  brief,
  candidateId,
  bench,
  trouble,
  changes,
  aimedSide,
  aimed,
  steps,
  onChoose,
}: {
  catalogue: Catalogue
  brief: Brief & { client: string }
  candidateId: string
  bench: Schemas['BenchView']
  trouble: unknown
  changes: SetupChanges
  aimedSide: Schemas['AimedSideInput']
  aimed: string[]
  steps: Schemas['StepsView']['steps']
  onChoose: (candidateId: string) => void
}) {
  const pin = usePin(brief)
  const [start, now] = [bench.sides[0]!, bench.sides[1]!]
  const { moved, pinned } = changes
  const setup = { ...now.setup, ...(moved ?? {}) }
  const take = (values: Record<string, number>) => changes.take(setup, values)
  const exercise = catalogue.exercises.find((otherExercise) =>
    otherExercise.candidates.some((candidate) => candidate.id === candidateId),
  )!
  const variant = exercise.candidates.find((candidate) => candidate.id === candidateId)!
  return (
    <section aria-label="Controls" className="min-h-0 overflow-auto px-1">
      <div className="mb-1 flex flex-wrap gap-2">
        <Button
          look="ink"
          disabled={
            pin.isPending || now.obstacle !== undefined || now.refusal !== undefined || !brief.gym
          }
          onClick={() => pin.mutate({ candidateId, setup })}
        >
          Add to session
        </Button>
        <Button className="px-2" disabled={!moved} onClick={() => changes.setPinned(setup)}>
          Use as baseline
        </Button>
        <Button className="px-2" disabled={!moved && !pinned} onClick={changes.reset}>
          Reset
        </Button>
        <Button className="px-2" disabled={!changes.canUndo} onClick={changes.undo}>
          Undo
        </Button>
      </div>
      {pin.isError && <Trouble error={pin.error} />}
      {pin.isSuccess && (
        <p role="status" className="text-sm">
          Added with this set-up.{' '}
          <Link className="text-accent-2 underline" to={`/sessions/${pin.data.id}`}>
            Open the session
          </Link>
        </p>
      )}
      {trouble ? <Trouble error={trouble} /> : null}
      {moved && !now.obstacle && (
        <div className="mb-2">
          <Changes bench={bench} regions={catalogue.regions} aimed={aimed} from="start" to="now" />
          {start.obstacle ? (
            <p className="mt-1 border-l-2 border-warn pl-2 text-sm">
              The start cannot be taken by this client: {start.obstacle.reason} Missing:{' '}
              {start.obstacle.missing}.
            </p>
          ) : (
            bench.changes.every((change) => !change.toldApart) && (
              <p className="mt-1 text-sm">The model cannot tell these two set-ups apart.</p>
            )
          )}
        </div>
      )}
      {now.load && <LoadWords load={now.load} />}
      {!now.obstacle && !now.refusal && (
        <FindBest input={aimedSide} parameters={exercise.parameters} onTake={take} />
      )}
      {variant.own && !moved ? (
        <OwnVariant candidateId={candidateId} retired={variant.retired} />
      ) : (
        !now.obstacle &&
        moved && (
          <KeepVariant
            exerciseId={exercise.id}
            setup={setup}
            clientId={brief.client}
            onKept={onChoose}
          />
        )
      )}
      {!variant.own && (
        <p className="text-sm">
          <Link className="text-accent-2 underline" to={pictureAddress(brief, candidateId, moved)}>
            Compare with a picture
          </Link>
        </p>
      )}
      <TapelessStarts
        title="Find a start without a tape"
        clientId={brief.client}
        gymId={brief.gym}
        stiffToday={brief.stiff}
        candidateId={candidateId}
        onFound={take}
      />
      <Controls
        parameters={exercise.parameters}
        setup={setup}
        pinned={start.setup}
        measured={now.measured}
        steps={steps}
        onMove={(id, value) => changes.move(setup, id, value)}
      />
    </section>
  )
}

function pictureAddress(
  brief: Brief & { client: string },
  candidateId: string,
  moved: Record<string, number> | null,
): string {
  const query = new URLSearchParams({ candidate: candidateId })
  if (brief.gym) query.set('gym', brief.gym)
  if (moved) query.set('set', writeSetup(moved))
  return `/clients/${brief.client}/picture?${query.toString()}`
}
