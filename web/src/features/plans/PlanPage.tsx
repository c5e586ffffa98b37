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
    const onKeyDown = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName)
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return
      if (e.key === 'z') undo()
      else if (e.key === 'Z') redo()
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
  const w = week.data
  const item = w.days
    .flatMap((d) => d.bouts)
    .flatMap((b) => b.items)
    .find((i) => i.id === chosen)
  const pixelsAMinute = Math.min(
    MOST_PIXELS_A_MINUTE,
    STRIP_PIXELS / Math.max(...w.days.map((d) => Math.max(d.minutes, d.usedMinutes))),
  )
  const empty = w.days.every((d) => d.bouts.length === 0)
  const composed = search.data?.search

  const key = (day: number) => (k: Key, e: ReactKeyboardEvent) => {
    const at = { day, bout: k.bout }
    const name = k.item.name
    const sets = k.item.prescription.sets
    const moves: Record<string, () => void> = k.alt
      ? {
          ArrowUp: () =>
            edit(`${name} earlier`, (p) => moveBout(p, at, { day, bout: Math.max(0, k.bout - 1) })),
          ArrowDown: () => edit(`${name} later`, (p) => moveBout(p, at, { day, bout: k.bout + 2 })),
          ArrowLeft: () =>
            edit(`${name} a session earlier`, (p) =>
              moveBout(p, at, { day: day - 1, bout: bouts(p, day - 1).length }),
            ),
          ArrowRight: () =>
            edit(`${name} a session later`, (p) =>
              moveBout(p, at, { day: day + 1, bout: bouts(p, day + 1).length }),
            ),
        }
      : {
          '+': () =>
            sets < 10 &&
            edit(`${name}: ${sets + 1} sets`, (p) => prescribe(p, k.item.id, { sets: sets + 1 })),
          '-': () =>
            sets > 1 &&
            edit(`${name}: ${sets - 1} sets`, (p) => prescribe(p, k.item.id, { sets: sets - 1 })),
          p: () =>
            edit(k.item.pinned ? `${name} unlocked` : `${name} locked`, (p) =>
              pin(p, k.item.id, !k.item.pinned),
            ),
          t: () =>
            edit('in turn', (p) =>
              bouts(p, day)[k.bout]!.length > 1 ? takeApart(p, at) : joinWithNext(p, at),
            ),
          d: () => edit(`${name} taken out`, (p) => takeOut(p, k.item.id)),
          Delete: () => edit(`${name} taken out`, (p) => takeOut(p, k.item.id)),
        }
    const move = moves[k.key]
    if (move) {
      e.preventDefault()
      held.current = k.item.id
      move()
    }
  }

  return (
    <article className="flex min-h-0 flex-1 flex-col gap-1.5">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-ink pb-1">
        <h1 className="min-w-0 flex-1 text-xl">
          <input
            key={w.plan.name}
            aria-label="Name of the plan"
            className="w-full border-b border-transparent bg-transparent font-serif hover:border-rule"
            defaultValue={w.plan.name}
            maxLength={120}
            onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
            onBlur={(e) => {
              const name = e.target.value.trim()
              if (name === '') e.target.value = w.plan.name
              else if (name !== w.plan.name) edit('renamed', (p) => ({ ...p, name }))
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
          {!empty && <OutPanel week={w} unit={unit} />}
          <Button
            disabled={!w.undo || run !== null}
            onClick={undo}
            title={w.undo ? `Takes back: ${w.undo}` : undefined}
          >
            Undo
          </Button>
          <Button
            disabled={!w.redo || run !== null}
            onClick={redo}
            title={w.redo ? `Does again: ${w.redo}` : undefined}
          >
            Do again
          </Button>
        </span>
      </div>
      <PlanLine week={w} catalogue={catalogue.data} planning={planning.data} edit={edit} />
      <ClientWarnings statements={w.statements} who={w.clientName} />
      {error !== null && <Trouble error={error} />}
      {search.isError && <Trouble error={search.error} />}
      {search.data?.obstacles.map((o) => (
        <p key={o} role="alert" className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm">
          {o}
        </p>
      ))}
      {composed && w.undo === 'composed' && <SearchWords search={composed} />}
      {empty && !run && (
        <p className="text-sm text-ink-2">
          Nothing in it yet. Compose it, or add exercises to a session and compose around them.
        </p>
      )}
      <div className="grid min-h-0 flex-1 gap-5 lg:grid-cols-[minmax(0,1fr)_18rem_20rem]">
        <div className="flex min-h-0 flex-wrap gap-4 overflow-auto sm:flex-nowrap">
          {w.days.map((d, k) => (
            <DayStrip
              key={d.weekday}
              day={d}
              index={k}
              pixelsAMinute={pixelsAMinute}
              catalogue={catalogue.data}
              taken={w.days.map((x) => x.weekday)}
              chosen={chosen}
              onChoose={setChosen}
              onDrop={(from, to) => edit('moved', (p) => moveBout(p, from, to))}
              onKey={key(k)}
              onMinutes={(minutes) => edit(`${minutes} minutes`, (p) => setDay(p, k, { minutes }))}
              onWeekday={(weekday) => edit('another weekday', (p) => setWeekday(p, k, weekday))}
              onOneStation={(oneStation) =>
                edit(oneStation ? 'at one station' : 'at any station', (p) =>
                  setDay(p, k, { oneStation }),
                )
              }
              onAdd={() => setAdding(k)}
              onArrange={() => arrange(k)}
            />
          ))}
        </div>
        <CoveragePanel week={w} catalogue={catalogue.data} edit={edit} />
        {item ? (
          <ExercisePanel
            key={item.id}
            week={w}
            item={item}
            catalogue={catalogue.data}
            planning={planning.data}
            edit={edit}
            unit={unit}
            onUnit={setUnit}
            onClose={() => setChosen(null)}
          />
        ) : (
          <Beside week={w} />
        )}
      </div>
      <AddExercise
        week={w}
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
