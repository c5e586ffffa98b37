import type {
  FloorExercise,
  FloorItem,
  FloorSet,
  FloorStep,
  FloorSwap,
  Walk,
} from '../../api/client'
import { figuresOf } from './store'
import type { Figures, KeptSet, Progress } from './store'

/** How surely a set is kept: only here so far, at the server too, or in need of the coach. */
export type Kept = 'here' | 'saved' | 'conflict' | 'refused'

export type ShownSet = {
  id: string
  itemId: string
  figures: Figures
  performedAt: string
  kept: Kept
  base: KeptSet
}

export type ShownItem = { item: FloorItem; sets: ShownSet[]; steps: FloorStep[] }

export type NextStep = { item: ShownItem; step: FloorStep; at: number; of: number }

/** A set of the server's as this device would keep it, so that it can be changed here. */
function asKept(set: FloorSet, coachId: string, sessionId: string, itemId: string): KeptSet {
  return {
    id: set.id,
    coachId,
    sessionId,
    itemId,
    figures: figuresOf(set),
    removed: set.removed,
    performedAt: set.performedAt,
    revision: set.revision,
    acked: set.revision,
    made: 0,
  }
}

function keptOf(set: KeptSet): Kept {
  return set.refused
    ? 'refused'
    : set.conflict
      ? 'conflict'
      : set.acked < set.revision
        ? 'here'
        : 'saved'
}

/** The session as this device shows it: what the server sent, and over it what is kept here. */
export function shown(
  walk: Walk,
  kept: KeptSet[],
  coachId: string,
  extra: Record<string, number> = {},
): ShownItem[] {
  const here = new Map(kept.map((set) => [set.id, set]))
  return walk.items.map((item) => {
    const sets = new Map<string, KeptSet>()
    for (const set of item.sets) sets.set(set.id, asKept(set, coachId, walk.sessionId, item.id))
    for (const set of here.values()) {
      const of = sets.get(set.id)
      if (
        set.itemId === item.id &&
        (!of || set.revision > of.revision || set.conflict || set.refused)
      )
        sets.set(set.id, set)
    }
    const list = [...sets.values()]
      .filter((set) => !set.removed)
      .sort(
        (first, second) =>
          first.performedAt.localeCompare(second.performedAt) || first.id.localeCompare(second.id),
      )
      .map((set) => ({
        id: set.id,
        itemId: item.id,
        figures: set.figures,
        performedAt: set.performedAt,
        kept: keptOf(set),
        base: set,
      }))
    return {
      item,
      sets: list,
      steps: item.ended
        ? []
        : withMore(
            [...item.exercise.steps].sort((first, second) => first.key.localeCompare(second.key)),
            extra[item.id] ?? 0,
          ),
    }
  })
}

/** So many sets more than are asked: the last one again, each side of it. */
function withMore(steps: FloorStep[], more: number): FloorStep[] {
  const work = steps.filter((step) => step.kind === 'WORK')
  const last = Math.max(0, ...work.map((step) => step.number))
  const again = work.filter((step) => step.number === last)
  const added = Array.from({ length: more }, (_, k) =>
    again.map((step) => ({
      ...step,
      number: last + k + 1,
      key: `${step.key}~${k}`,
      putOn: [],
      note: 'one more than asked',
    })),
  )
  return [...steps, ...added.flat()]
}

/** Whether a step is behind: passed by, or a set of its kind, number and side is there. A set logged at the desk, without a number, stands for the next one. */
export function isDone(of: ShownItem, step: FloorStep, progress: Progress): boolean {
  if (progress.passed.includes(`${of.item.id} ${step.key}`)) return true
  if (step.kind === 'WARM_UP') return of.sets.length > 0
  const alike = of.sets.filter(
    (set) =>
      set.figures.kind === step.kind &&
      (set.figures.side === step.side || set.figures.number === undefined),
  )
  const numbered = alike.some((set) => set.figures.number === step.number)
  const unnumbered = alike.filter((set) => set.figures.number === undefined).length
  return numbered || step.number <= unnumbered
}

/** Every step of the session that is not behind, in order. */
export function open(
  items: ShownItem[],
  progress: Progress,
): { item: ShownItem; step: FloorStep }[] {
  return items
    .flatMap((item) => item.steps.map((step) => ({ item, step })))
    .filter((s) => !isDone(s.item, s.step, progress))
    .sort((first, second) => first.step.key.localeCompare(second.step.key))
}

/** Where the session stands: the first open step, of the exercise that was chosen where one was. */
export function nextStep(items: ShownItem[], progress: Progress): NextStep | null {
  const left = open(items, progress)
  const here = left.find((s) => s.item.item.id === progress.chosen) ?? left[0]
  if (!here) return null
  const same = here.item.steps.filter(
    (step) => step.kind === here.step.kind && step.side === here.step.side,
  )
  return { ...here, at: here.step.number, of: same.length }
}

/** From when on the next step may begin: since the step before, and since this exercise's own last set. */
export function restUntil(
  next: { item: ShownItem; step: FloorStep } | null,
  progress: Progress,
  now: number,
): number | undefined {
  if (!next || next.step.kind === 'WARM_UP') return undefined
  const own = progress.ownEnd[next.item.item.id]
  const until = Math.max(
    now + 1000 * next.step.waitS,
    own === undefined ? 0 : own + 1000 * next.step.ownRestS,
  )
  return until > now ? until : undefined
}

/** Figures to begin with: the step's load, or the last one of this exercise; as many repetitions as the last set had, or the weaker side, or as are asked at least. */
export function beginning(next: NextStep): {
  /** missing where nothing tells the load and one can be put on */
  loadKg: number | undefined
  repetitions: number
  reserve: number
} {
  const { item, step } = next
  const before = item.sets.filter((set) => set.figures.kind === step.kind)
  const last = before.at(-1)?.figures
  const { loads, lowKg } = item.item.exercise
  const usual = lowKg > 0 || !loads.some((load) => load.kg > 0) ? lowKg : undefined
  const loadKg =
    last &&
    step.kind === 'WORK' &&
    step.load &&
    before.length > 0 &&
    last.loadKg !== step.load.kg &&
    sameAsAsked(item, step)
      ? last.loadKg
      : (step.load?.kg ?? last?.loadKg ?? item.item.exercise.last?.sets.at(0)?.loadKg ?? usual)
  const otherSide = step.asBefore
    ? item.sets
        .filter(
          (set) =>
            set.figures.number === step.number &&
            set.figures.side !== step.side &&
            set.figures.kind === step.kind,
        )
        .at(-1)?.figures.repetitions
    : undefined
  return {
    loadKg,
    repetitions:
      otherSide ??
      (step.kind === 'WORK'
        ? item.sets
            .filter((set) => set.figures.kind === 'WORK' && set.figures.side === step.side)
            .at(-1)?.figures.repetitions
        : undefined) ??
      step.repetitionsLow,
    reserve: item.item.exercise.reserve,
  }
}

/** Whether the plan asks the same load of every set, so that one that was changed on the floor goes on. */
function sameAsAsked(item: ShownItem, step: FloorStep): boolean {
  return item.steps
    .filter((floorStep) => floorStep.kind === step.kind)
    .every((floorStep) => floorStep.load?.kg === step.load?.kg)
}

/** The session with another exercise in the place of one. */
export function swapped(walk: Walk, itemId: string, newId: string, swap: FloorSwap): Walk {
  return {
    ...walk,
    items: walk.items.flatMap((item): FloorItem[] => {
      if (item.id !== itemId) return [item]
      const instead: FloorItem = { id: newId, ended: false, exercise: swap.exercise, sets: [] }
      return [{ ...item, ended: true }, instead]
    }),
  }
}

/** Whether an exercise is left to show: one that was swapped away before a set was done is not. */
export function toShow(item: ShownItem): boolean {
  return !item.item.ended || item.sets.length > 0
}

export function tempoPhases(exercise: FloorExercise): { name: string; seconds: number }[] {
  const tempoDocument = exercise.prescription?.tempo
  return tempoDocument
    ? [
        { name: 'down', seconds: tempoDocument.loweringS },
        { name: 'hold low', seconds: tempoDocument.lowS },
        { name: 'up', seconds: tempoDocument.liftingS },
        { name: 'hold', seconds: tempoDocument.topS },
      ].filter((p) => p.seconds > 0)
    : []
}
