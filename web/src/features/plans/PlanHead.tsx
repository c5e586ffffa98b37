import type { Week } from '../../api/client'
import { percent } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { OutPanel } from './OutPanel'
import type { Edit, useCompose } from './usePlanEdits'
import type { MassUnit } from '../../quantity/units'

const LOOK_LONGER_S = 20
const USUAL_S = 2

/** The name of the plan, and what can be done with the whole of it. */
export function PlanHead({
  week,
  empty,
  unit,
  composing,
  busy,
  edit,
  undo,
  redo,
}: {
  week: Week
  empty: boolean
  unit: MassUnit
  composing: ReturnType<typeof useCompose>
  busy: boolean
  edit: Edit
  undo: () => void
  redo: () => void
}) {
  const { search, run, seconds, stop, progress } = composing
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-ink pb-1">
      <h1 className="min-w-0 flex-1 text-xl">
        <input
          key={week.plan.name}
          aria-label="Name of the plan"
          className="w-full border-b border-transparent bg-transparent font-serif hover:border-rule"
          defaultValue={week.plan.name}
          maxLength={120}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          onBlur={(event) => {
            const name = event.target.value.trim()
            if (name === '') event.target.value = week.plan.name
            else if (name !== week.plan.name) edit('renamed', (plan) => ({ ...plan, name }))
          }}
        />
      </h1>
      <span className="ml-auto flex flex-wrap items-center gap-2">
        {run ? (
          <>
            <span role="status" className="text-sm text-ink-2">
              Looking for {seconds} s
              {progress && progress.points > 0
                ? `: one is found, none could be better by more than ${percent(1 - progress.bound / progress.points)}`
                : ''}{' '}
              …
            </span>
            <Button onClick={stop}>Take what there is</Button>
          </>
        ) : (
          <>
            <Button
              look={empty ? 'ink' : 'line'}
              disabled={busy}
              onClick={() => search.mutate(USUAL_S)}
            >
              {empty ? 'Compose the week' : 'Compose around what is locked'}
            </Button>
            {!empty && (
              <Button
                disabled={busy}
                onClick={() => search.mutate(LOOK_LONGER_S)}
                title="A longer search may find a better week"
              >
                Search 20 s more
              </Button>
            )}
          </>
        )}
        {!empty && <OutPanel week={week} unit={unit} />}
        <Button
          disabled={!week.undo || run !== null}
          onClick={undo}
          title={week.undo ? `Takes back: ${week.undo}` : undefined}
        >
          Undo
        </Button>
        <Button
          disabled={!week.redo || run !== null}
          onClick={redo}
          title={week.redo ? `Does again: ${week.redo}` : undefined}
        >
          Do again
        </Button>
      </span>
    </div>
  )
}
