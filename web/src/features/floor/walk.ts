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
function asKept(s: FloorSet, coachId: string, sessionId: string, itemId: string): KeptSet {
  return {
    id: s.id,
    coachId,
    sessionId,
    itemId,
    figures: figuresOf(s),
    removed: s.removed,
    performedAt: s.performedAt,
    revision: s.revision,
    acked: s.revision,
    made: 0,
  }
}

function keptOf(s: KeptSet): Kept {
  return s.refused ? 'refused' : s.conflict ? 'conflict' : s.acked < s.revision ? 'here' : 'saved'
}

/** The session as this device shows it: what the server sent, and over it what is kept here. */
export function shown(
  walk: Walk,
  kept: KeptSet[],
  coachId: string,
  extra: Record<string, number> = {},
): ShownItem[] {
  const here = new Map(kept.map((s) => [s.id, s]))
  return walk.items.map((item) => {
    const sets = new Map<string, KeptSet>()
    for (const s of item.sets) sets.set(s.id, asKept(s, coachId, walk.sessionId, item.id))
    for (const s of here.values()) {
      const of = sets.get(s.id)
      if (s.itemId === item.id && (!of || s.revision > of.revision || s.conflict || s.refused))
        sets.set(s.id, s)
    }
    const list = [...sets.values()]
      .filter((s) => !s.removed)
      .sort((a, b) => a.performedAt.localeCompare(b.performedAt) || a.id.localeCompare(b.id))
      .map((s) => ({
        id: s.id,
        itemId: item.id,
        figures: s.figures,
        performedAt: s.performedAt,
        kept: keptOf(s),
        base: s,
      }))
    return {
      item,
      sets: list,
      steps: item.ended
        ? []
        : withMore(
            [...item.exercise.steps].sort((a, b) => a.key.localeCompare(b.key)),
            extra[item.id] ?? 0,
          ),
    }
  })
}

/** So many sets more than are asked: the last one again, each side of it. */
function withMore(steps: FloorStep[], more: number): FloorStep[] {
  const work = steps.filter((s) => s.kind === 'WORK')
  const last = Math.max(0, ...work.map((s) => s.number))
  const again = work.filter((s) => s.number === last)
  const added = Array.from({ length: more }, (_, k) =>
    again.map((s) => ({
      ...s,
      number: last + k + 1,
      key: `${s.key}~${k}`,
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
    (s) =>
      s.figures.kind === step.kind &&
      (s.figures.side === step.side || s.figures.number === undefined),
  )
  const numbered = alike.some((s) => s.figures.number === step.number)
  const unnumbered = alike.filter((s) => s.figures.number === undefined).length
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
    .sort((a, b) => a.step.key.localeCompare(b.step.key))
}

/** Where the session stands: the first open step, of the exercise that was chosen where one was. */
export function nextStep(items: ShownItem[], progress: Progress): NextStep | null {
  const left = open(items, progress)
  const here = left.find((s) => s.item.item.id === progress.chosen) ?? left[0]
  if (!here) return null
  const same = here.item.steps.filter((s) => s.kind === here.step.kind && s.side === here.step.side)
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
  const before = item.sets.filter((s) => s.figures.kind === step.kind)
  const last = before.at(-1)?.figures
  const { loads, lowKg } = item.item.exercise
  const usual = lowKg > 0 || !loads.some((l) => l.kg > 0) ? lowKg : undefined
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
          (s) =>
            s.figures.number === step.number &&
            s.figures.side !== step.side &&
            s.figures.kind === step.kind,
        )
        .at(-1)?.figures.repetitions
    : undefined
  return {
    loadKg,
    repetitions:
      otherSide ??
      (step.kind === 'WORK'
        ? item.sets.filter((s) => s.figures.kind === 'WORK' && s.figures.side === step.side).at(-1)
            ?.figures.repetitions
        : undefined) ??
      step.repetitionsLow,
    reserve: item.item.exercise.prescription?.reserve ?? 2,
  }
}

/** Whether the plan asks the same load of every set, so that one that was changed on the floor goes on. */
function sameAsAsked(item: ShownItem, step: FloorStep): boolean {
  return item.steps.filter((s) => s.kind === step.kind).every((s) => s.load?.kg === step.load?.kg)
}

/** The session with another exercise in the place of one. */
export function swapped(walk: Walk, itemId: string, newId: string, swap: FloorSwap): Walk {
  return {
    ...walk,
    items: walk.items.flatMap((i): FloorItem[] => {
      if (i.id !== itemId) return [i]
      const instead: FloorItem = { id: newId, ended: false, exercise: swap.exercise, sets: [] }
      return [{ ...i, ended: true }, instead]
    }),
  }
}

/** Whether an exercise is left to show: one that was swapped away before a set was done is not. */
export function toShow(i: ShownItem): boolean {
  return !i.item.ended || i.sets.length > 0
}

export function tempoPhases(x: FloorExercise): { name: string; seconds: number }[] {
  const t = x.prescription?.tempo
  return t
    ? [
        { name: 'down', seconds: t.loweringS },
        { name: 'hold low', seconds: t.lowS },
        { name: 'up', seconds: t.liftingS },
        { name: 'hold', seconds: t.topS },
      ].filter((p) => p.seconds > 0)
    : []
}
