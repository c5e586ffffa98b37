import { useEffect, useRef, useState } from 'react'
import type { KeyboardEvent as ReactKeyboardEvent } from 'react'
import { useParams } from 'react-router'
import type { Search, Week } from '../../api/client'
import { useCatalogue, usePlanning, useWeek } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { percent } from '../../quantity/format'
import { ClientWarnings } from '../order/ForClient'
import { AddExercise } from './AddExercise'
import { BlockPanel } from './BlockPanel'
import { CoveragePanel } from './CoveragePanel'
import { DayStrip } from './DayStrip'
import type { Key } from './DayStrip'
import { MovingBouts } from './MovingBouts'
import { ExercisePanel } from './ExercisePanel'
import { OutPanel } from './OutPanel'
import { PlanLine } from './PlanLine'
import {
  bouts,
  joinWithNext,
  moveBout,
  pin,
  prescribe,
  setDay,
  setWeekday,
  takeApart,
  takeOut,
} from './edits'
import { useCompose, usePlanEdits } from './usePlanEdits'
import { useMassUnit } from './useMassUnit'
import { useIsAbout } from '../brief/keptBrief'

const LOOK_LONGER_S = 20
const USUAL_S = 2
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
  const { search, run, seconds, stop, progress } = useCompose(id!, keep)
  const [chosen, setChosen] = useState<string | null>(null)
  const [adding, setAdding] = useState<number | null>(null)
  const [unit, setUnit] = useMassUnit()
  const held = useRef<string | null>(null)

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === 'z') undo()
      else if (event.key === 'Z') redo()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  })

  // what a key has moved stays under the hand: its button is another one when it comes to another day
  useEffect(() => {
    if (held.current) document.querySelector<HTMLElement>(`[data-item="${held.current}"]`)?.focus()
    held.current = null
  }, [week.data])

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

  const key = (day: number) => (otherKey: Key, event: ReactKeyboardEvent) => {
    const at = { day, bout: otherKey.bout }
    const name = otherKey.item.name
    const sets = otherKey.item.prescription.sets
    const moves: Record<string, () => void> = otherKey.alt
      ? {
          ArrowUp: () =>
            edit(`${name} earlier`, (planDocument) =>
              moveBout(planDocument, at, { day, bout: Math.max(0, otherKey.bout - 1) }),
            ),
          ArrowDown: () =>
            edit(`${name} later`, (planDocument) =>
              moveBout(planDocument, at, { day, bout: otherKey.bout + 2 }),
            ),
          ArrowLeft: () =>
            edit(`${name} a session earlier`, (planDocument) =>
              moveBout(planDocument, at, {
                day: day - 1,
                bout: bouts(planDocument, day - 1).length,
              }),
            ),
          ArrowRight: () =>
            edit(`${name} a session later`, (planDocument) =>
              moveBout(planDocument, at, {
                day: day + 1,
                bout: bouts(planDocument, day + 1).length,
              }),
            ),
        }
      : {
          '+': () =>
            sets < 10 &&
            edit(`${name}: ${sets + 1} sets`, (planDocument) =>
              prescribe(planDocument, otherKey.item.id, { sets: sets + 1 }),
            ),
          '-': () =>
            sets > 1 &&
            edit(`${name}: ${sets - 1} sets`, (planDocument) =>
              prescribe(planDocument, otherKey.item.id, { sets: sets - 1 }),
            ),
          p: () =>
            edit(otherKey.item.pinned ? `${name} unlocked` : `${name} locked`, (planDocument) =>
              pin(planDocument, otherKey.item.id, !otherKey.item.pinned),
            ),
          t: () =>
            edit('in turn', (planDocument) =>
              bouts(planDocument, day)[otherKey.bout]!.length > 1
                ? takeApart(planDocument, at)
                : joinWithNext(planDocument, at),
            ),
          d: () =>
            edit(`${name} taken out`, (planDocument) => takeOut(planDocument, otherKey.item.id)),
          Delete: () =>
            edit(`${name} taken out`, (planDocument) => takeOut(planDocument, otherKey.item.id)),
        }
    const move = moves[otherKey.key]
    if (move) {
      event.preventDefault()
      held.current = otherKey.item.id
      move()
    }
  }

  return (
    <article className="flex min-h-0 flex-1 flex-col gap-1.5">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-ink pb-1">
        <h1 className="min-w-0 flex-1 text-xl">
          <input
            key={plan.plan.name}
            aria-label="Name of the plan"
            className="w-full border-b border-transparent bg-transparent font-serif hover:border-rule"
            defaultValue={plan.plan.name}
            maxLength={120}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            onBlur={(event) => {
              const name = event.target.value.trim()
              if (name === '') event.target.value = plan.plan.name
              else if (name !== plan.plan.name)
                edit('renamed', (planDocument) => ({ ...planDocument, name }))
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
          {!empty && <OutPanel week={plan} unit={unit} />}
          <Button
            disabled={!plan.undo || run !== null}
            onClick={undo}
            title={plan.undo ? `Takes back: ${plan.undo}` : undefined}
          >
            Undo
          </Button>
          <Button
            disabled={!plan.redo || run !== null}
            onClick={redo}
            title={plan.redo ? `Does again: ${plan.redo}` : undefined}
          >
            Do again
          </Button>
        </span>
      </div>
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
