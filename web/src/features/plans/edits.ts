import type { Plan, PlanDay, PlanItem, Prescription } from '../../api/client'

/** Edits of a planned week: each takes a plan and gives the next one. What an edit does to time, coverage and loads the server says. */

export type BoutPosition = { day: number; bout: number }

function withDay(plan: Plan, day: number, change: (d: PlanDay) => PlanDay): Plan {
  return {
    ...plan,
    days: plan.days.map((dayDocument, k) => (k === day ? change(dayDocument) : dayDocument)),
  }
}

function withBouts(plan: Plan, day: number, bouts: PlanItem[][]): Plan {
  return withDay(plan, day, (dayDocument) => ({
    ...dayDocument,
    bouts: bouts.filter((bout) => bout.length > 0),
  }))
}

export function bouts(plan: Plan, day: number): PlanItem[][] {
  return plan.days[day]?.bouts ?? []
}

export function positionOf(plan: Plan, itemId: string): BoutPosition | null {
  for (let day = 0; day < plan.days.length; day++) {
    const bout = bouts(plan, day).findIndex((documents) =>
      documents.some((itemDocument) => itemDocument.id === itemId),
    )
    if (bout >= 0) return { day, bout }
  }
  return null
}

/** Moves a bout before the bout that stands at an index now; an index past the end puts it last. */
export function moveBout(plan: Plan, from: BoutPosition, to: BoutPosition): Plan {
  const moved = bouts(plan, from.day)[from.bout]
  if (!moved || !plan.days[to.day]) return plan
  const without = bouts(plan, from.day).filter((_, k) => k !== from.bout)
  const target = from.day === to.day ? without : [...bouts(plan, to.day)]
  const at = from.day === to.day && to.bout > from.bout ? to.bout - 1 : to.bout
  target.splice(Math.max(0, Math.min(target.length, at)), 0, moved)
  return from.day === to.day
    ? withBouts(plan, from.day, target)
    : withBouts(withBouts(plan, from.day, without), to.day, target)
}

function mapItem(plan: Plan, itemId: string, change: (i: PlanItem) => PlanItem | null): Plan {
  return {
    ...plan,
    days: plan.days.map((day) => ({
      ...day,
      bouts: (day.bouts ?? [])
        .map((bout) =>
          bout
            .map((itemDocument) =>
              itemDocument.id === itemId ? change(itemDocument) : itemDocument,
            )
            .filter((itemDocument): itemDocument is PlanItem => itemDocument !== null),
        )
        .filter((documents) => documents.length > 0),
    })),
  }
}

/** What the coach has touched stays when the week is composed again. */
export function prescribe(plan: Plan, itemId: string, change: Partial<Prescription>): Plan {
  return mapItem(plan, itemId, (itemDocument) => ({
    ...itemDocument,
    pinned: true,
    prescription: { ...itemDocument.prescription, ...change },
  }))
}

export function pin(plan: Plan, itemId: string, pinned: boolean): Plan {
  return mapItem(plan, itemId, (itemDocument) => ({ ...itemDocument, pinned }))
}

export function takeOut(plan: Plan, itemId: string): Plan {
  return mapItem(plan, itemId, () => null)
}

export function swap(
  plan: Plan,
  itemId: string,
  candidateId: string,
  prescription: Prescription,
): Plan {
  return mapItem(plan, itemId, (itemDocument) => ({
    ...itemDocument,
    candidateId,
    pinned: true,
    prescription: { ...prescription, sets: itemDocument.prescription.sets },
  }))
}

export function add(plan: Plan, day: number, item: PlanItem): Plan {
  return withBouts(plan, day, [...bouts(plan, day), [item]])
}

/** Joins a bout with the one after it, to be done in turn. */
export function joinWithNext(plan: Plan, at: BoutPosition): Plan {
  const all = bouts(plan, at.day)
  const next = all[at.bout + 1]
  if (!next) return plan
  return withBouts(plan, at.day, [
    ...all.slice(0, at.bout),
    [...all[at.bout]!, ...next],
    ...all.slice(at.bout + 2),
  ])
}

/** Takes a bout apart: one after the other again. */
export function takeApart(plan: Plan, at: BoutPosition): Plan {
  const all = bouts(plan, at.day)
  return withBouts(plan, at.day, [
    ...all.slice(0, at.bout),
    ...all[at.bout]!.map((itemDocument) => [itemDocument]),
    ...all.slice(at.bout + 1),
  ])
}

export function setDay(plan: Plan, day: number, change: Partial<PlanDay>): Plan {
  return withDay(plan, day, (dayDocument) => ({ ...dayDocument, ...change }))
}

/** Another number of sessions: on the usual weekdays for it, which the server says; days that the coach chose by hand stay, and free ones come to them. */
export function setTimes(plan: Plan, times: number, spread: number[][]): Plan {
  const usual = (n: number) => spread[n - 1] ?? []
  const chosen = plan.days.map((day) => day.weekday)
  const asUsual = usual(chosen.length).join() === chosen.join()
  const kept = plan.days.slice(0, times)
  const free = [...usual(times), ...usual(7)].filter((w) => !chosen.includes(w))
  const weekdays = asUsual
    ? usual(times)
    : [...kept.map((dayDocument) => dayDocument.weekday), ...new Set(free)].slice(0, times)
  const days = weekdays.map((weekday, k) => ({
    ...(kept[k] ?? { minutes: plan.days[0]?.minutes ?? 60, oneStation: false, bouts: [] }),
    weekday,
  }))
  return { ...plan, days: days.sort((first, second) => first.weekday - second.weekday) }
}

/** A day on another weekday; days stay in the order of the week. A weekday that is taken changes nothing. */
export function setWeekday(plan: Plan, day: number, weekday: number): Plan {
  if (plan.days.some((dayDocument) => dayDocument.weekday === weekday)) return plan
  return {
    ...plan,
    days: plan.days
      .map((dayDocument, k) => (k === day ? { ...dayDocument, weekday } : dayDocument))
      .sort((first, second) => first.weekday - second.weekday),
  }
}
