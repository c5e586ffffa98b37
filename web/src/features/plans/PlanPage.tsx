import { useState } from 'react'
import { useParams } from 'react-router'
import type { Search, Week } from '../../api/client'
import { useCatalogue, usePlanning, useWeek } from '../../api/queries'
import { percent } from '../../quantity/format'
import { Trouble, Waiting } from '../../ui/Notice'
import { useIsAbout } from '../brief/keptBrief'
import { ClientWarnings } from '../order/ForClient'
import { AddExercise } from './AddExercise'
import { BlockPanel } from './BlockPanel'
import { CoveragePanel } from './CoveragePanel'
import { DayStrip } from './DayStrip'
import { ExercisePanel } from './ExercisePanel'
import { MovingBouts } from './MovingBouts'
import { PlanHead } from './PlanHead'
import { PlanLine } from './PlanLine'
import { moveBout, setDay, setWeekday } from './edits'
import { useCompose, usePlanEdits } from './usePlanEdits'
import { usePlanKeys } from './usePlanKeys'
import { useMassUnit } from '../../quantity/units'

const STRIP_PIXELS = 500
const MOST_PIXELS_A_MINUTE = 9

/** The week: days side by side as strips of time, coverage and the chosen exercise beside them. */
export function PlanPage() {
  const { id } = useParams()
  const week = useWeek(id!)
  useIsAbout(week.data?.clientId)
  const catalogue = useCatalogue()
  const planning = usePlanning()
  const { edit, undo, redo, arrange, keep, error, busy } = usePlanEdits(id!)
  const composing = useCompose(id!, keep)
  const { search, run } = composing
  const [chosen, setChosen] = useState<string | null>(null)
  const [adding, setAdding] = useState<number | null>(null)
  const [unit, setUnit] = useMassUnit()
  const key = usePlanKeys(week.data, edit, undo, redo)

  const failed = [week, catalogue, planning].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!week.data || !catalogue.data || !planning.data) return <Waiting what="Loading the week" />
  const plan = week.data
  const item = plan.days
    .flatMap((day) => day.bouts)
    .flatMap((b) => b.items)
    .find((i) => i.id === chosen)
  const pixelsAMinute = Math.min(
    MOST_PIXELS_A_MINUTE,
    STRIP_PIXELS / Math.max(...plan.days.map((day) => Math.max(day.minutes, day.usedMinutes))),
  )
  const empty = plan.days.every((day) => day.bouts.length === 0)
  const composed = search.data?.search

  return (
    <article className="flex min-h-0 flex-1 flex-col gap-1.5">
      <PlanHead
        week={plan}
        empty={empty}
        unit={unit}
        composing={composing}
        busy={busy}
        edit={edit}
        undo={undo}
        redo={redo}
      />
      <PlanLine week={plan} catalogue={catalogue.data} planning={planning.data} edit={edit} />
      <ClientWarnings statements={plan.statements} who={plan.clientName} />
      {error !== null && <Trouble error={error} />}
      {search.isError && <Trouble error={search.error} />}
      {search.data?.obstacles.map((obstacle) => (
        <p
          key={obstacle.words}
          role="alert"
          className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
        >
          {obstacle.words}
        </p>
      ))}
      {composed && plan.undo === 'composed' && <SearchWords search={composed} />}
      {empty && !run && (
        <p className="text-sm text-ink-2">
          Nothing in it yet. Compose it, or add exercises to a session and compose around them.
        </p>
      )}
      <div className="grid min-h-0 flex-1 gap-5 lg:grid-cols-[minmax(0,1fr)_18rem_20rem]">
        <div className="flex min-h-0 flex-wrap gap-4 overflow-auto sm:flex-nowrap">
          <MovingBouts
            onMove={(from, to) => edit('moved', (planDocument) => moveBout(planDocument, from, to))}
          >
            {(over) =>
              plan.days.map((day, k) => (
                <DayStrip
                  key={day.weekday}
                  day={day}
                  index={k}
                  pixelsAMinute={pixelsAMinute}
                  catalogue={catalogue.data}
                  taken={plan.days.map((otherDay) => otherDay.weekday)}
                  chosen={chosen}
                  onChoose={setChosen}
                  over={over?.day === k ? over.bout : undefined}
                  onKey={key(k)}
                  onMinutes={(minutes) =>
                    edit(`${minutes} minutes`, (planDocument) =>
                      setDay(planDocument, k, { minutes }),
                    )
                  }
                  onWeekday={(weekday) =>
                    edit('another weekday', (planDocument) => setWeekday(planDocument, k, weekday))
                  }
                  onOneStation={(oneStation) =>
                    edit(oneStation ? 'at one station' : 'at any station', (planDocument) =>
                      setDay(planDocument, k, { oneStation }),
                    )
                  }
                  onAdd={() => setAdding(k)}
                  onArrange={() => arrange(k)}
                />
              ))
            }
          </MovingBouts>
        </div>
        <CoveragePanel week={plan} catalogue={catalogue.data} edit={edit} />
        {item ? (
          <ExercisePanel
            key={item.id}
            week={plan}
            item={item}
            catalogue={catalogue.data}
            planning={planning.data}
            edit={edit}
            unit={unit}
            onUnit={setUnit}
            onClose={() => setChosen(null)}
          />
        ) : (
          <Beside week={plan} />
        )}
      </div>
      <AddExercise
        week={plan}
        day={adding}
        catalogue={catalogue.data}
        edit={edit}
        onClose={() => setAdding(null)}
      />
    </article>
  )
}

/** How good the week is that was found: proved best, or how far from it at most. */
function SearchWords({ search }: { search: Search }) {
  return (
    <p role="status" className="text-sm text-ink-2">
      {search.proved
        ? `Proved: no week does better by these rules (${search.seconds.toFixed(1)} s).`
        : `Found in ${search.seconds.toFixed(1)} s. By these rules no week could be better by more than ${percent(search.gap)}; looking longer may find one.`}
    </p>
  )
}

/** Where no exercise is chosen: the block, if there is one, and what the strips show. */
function Beside({ week }: { week: Week }) {
  return (
    <div role="group" tabIndex={0} aria-label="The block" className="min-h-0 overflow-auto text-sm">
      {week.block.length > 0 && <BlockPanel week={week} />}
      <p className="mt-2 text-ink-2">
        Choose an exercise for its sets, loads and plates, or to swap it. Drag a block to move it,
        or press Alt with an arrow. In a block: hatched is setting up, narrow is a warm-up set, full
        is work, empty is rest.
      </p>
    </div>
  )
}
