import { answer, api } from '../../api/client'
import type { FloorSwap, Walk } from '../../api/client'
import { changeSet, keepMessage, keepProgress, keepSet, keepWalk } from './store'
import type { Figures, KeptSet, Progress } from './store'
import { sendOnce } from './sync'
import { open, restUntil, swapped } from './walk'
import type { NextStep, ShownItem, ShownSet } from './walk'

const TRIES = 4

/** Takes a session along, once what this device has to say of it was said; what was there stays when the server does not answer. */
export async function take(coachId: string, sessionId: string): Promise<void> {
  for (let k = 0; k < TRIES; k++) {
    await sendOnce(coachId)
    const askedAt = Date.now()
    const walk = await answer(
      api.GET('/api/floor/{sessionId}', { params: { path: { sessionId } } }),
    )
    if (await keepWalk(coachId, walk, askedAt)) return
  }
}

/** What can be done on the floor. All of it is kept on this device first. */
export type FloorActs = {
  log: (at: NextStep, figures: Figures) => Promise<void>
  pass: (at: NextStep) => Promise<void>
  passWarmUps: (at: NextStep) => Promise<void>
  choose: (itemId: string) => Promise<void>
  oneMore: (itemId: string) => Promise<void>
  restOver: () => Promise<void>
  restLonger: (seconds: number) => Promise<void>
  edit: (set: ShownSet, figures: Figures, removed?: boolean) => Promise<KeptSet>
  swap: (itemId: string, swap: FloorSwap) => Promise<void>
  /** any exercise at the end of the session, computed or by word; it needs the network */
  add: (candidateId: string) => Promise<void>
  mark: (candidateId: string, words: string) => Promise<void>
  finish: () => Promise<void>
}

type Standing = {
  coachId: string
  sessionId: string
  walk: Walk
  items: ShownItem[]
  progress: Progress
}

/** What can be done with a session as it stands on this device. */
export function floorActs({ coachId, sessionId, walk, items, progress }: Standing): FloorActs {
  return {
    ...progressActs(progress),
    ...setActs({ coachId, sessionId, walk, items, progress }),
    ...sessionActs({ coachId, sessionId, walk, items, progress }),
  }
}

/** Going on: what is next, what is passed over, and the rest. */
function progressActs(
  progress: Progress,
): Pick<FloorActs, 'pass' | 'passWarmUps' | 'oneMore' | 'choose' | 'restOver' | 'restLonger'> {
  return {
    pass: async (at) =>
      keepProgress({
        ...progress,
        passed: [...progress.passed, `${at.item.item.id} ${at.step.key}`],
      }),
    passWarmUps: async (at) =>
      keepProgress({
        ...progress,
        passed: [
          ...progress.passed,
          ...at.item.steps
            .filter((step) => step.kind === 'WARM_UP')
            .map((step) => `${at.item.item.id} ${step.key}`),
        ],
      }),
    oneMore: async (itemId) =>
      keepProgress({
        ...progress,
        chosen: itemId,
        extra: { ...progress.extra, [itemId]: (progress.extra?.[itemId] ?? 0) + 1 },
      }),
    choose: async (itemId) => keepProgress({ ...progress, chosen: itemId }),
    restOver: async () => {
      const { restUntil: _until, restFrom: _from, lastSet: _last, ...rest } = progress
      await keepProgress(rest)
    },
    restLonger: async (seconds) =>
      keepProgress({
        ...progress,
        restUntil: Math.max(Date.now(), progress.restUntil ?? Date.now()) + 1000 * seconds,
      }),
  }
}

/** The sets themselves. */
function setActs({
  coachId,
  sessionId,
  items,
  progress,
}: Standing): Pick<FloorActs, 'log' | 'edit'> {
  return {
    log: async (at, figures) => {
      const now = Date.now()
      const id = crypto.randomUUID()
      const after: Progress = {
        ...progress,
        ownEnd: { ...progress.ownEnd, [at.item.item.id]: now },
        lastSet: id,
        restFrom: now,
      }
      const left = open(items, progress).filter(
        (s) => s.step.key !== at.step.key || s.item !== at.item,
      )
      const next = left.find((s) => s.item.item.id === progress.chosen) ?? left[0] ?? null
      const until = restUntil(next, after, now)
      const { restUntil: _before, ...rest } = after
      await keepSet(
        {
          id,
          coachId,
          sessionId,
          itemId: at.item.item.id,
          figures,
          performedAt: new Date(now).toISOString(),
        },
        until === undefined ? rest : { ...rest, restUntil: until },
      )
    },
    edit: (set, figures, removed = false) => changeSet(set.base, figures, removed),
  }
}

/** The session: another exercise, one more, a mark for next time, and its end. */
function sessionActs({
  coachId,
  sessionId,
  walk,
  progress,
}: Standing): Pick<FloorActs, 'swap' | 'add' | 'mark' | 'finish'> {
  return {
    swap: async (itemId, swap) => {
      const newId = crypto.randomUUID()
      const prescription = swap.exercise.prescription
      await keepMessage(
        {
          coachId,
          sessionId,
          message: {
            item: {
              sessionId,
              itemId: newId,
              candidateId: swap.candidateId,
              setup: swap.setup,
              replaces: itemId,
              ...(prescription ? { prescription } : {}),
            },
          },
        },
        (otherFloor) => swapped(otherFloor, itemId, newId, swap),
      )
      await keepProgress({ ...progress, chosen: newId })
    },
    add: async (candidateId) => {
      const session = await answer(
        api.POST('/api/sessions/{id}/items', {
          params: { path: { id: sessionId } },
          body: { candidateId },
        }),
      )
      await take(coachId, sessionId)
      const added = session.items.find((item) => item.candidateId === candidateId)
      if (added) await keepProgress({ ...progress, chosen: added.id })
    },
    mark: async (candidateId, words) => {
      await keepMessage(
        {
          coachId,
          sessionId,
          message: {
            mark: {
              clientId: walk.clientId,
              gymId: walk.gymId,
              candidateId,
              words,
              at: new Date().toISOString(),
            },
          },
        },
        (otherFloor) => ({
          ...otherFloor,
          items: otherFloor.items.map((item) =>
            item.exercise.candidateId === candidateId
              ? { ...item, exercise: { ...item.exercise, mark: words } }
              : item,
          ),
        }),
      )
    },
    finish: async () => {
      const at = new Date().toISOString()
      await keepMessage(
        { coachId, sessionId, message: { finish: { sessionId, at } } },
        (otherFloor) => ({
          ...otherFloor,
          finishedAt: at,
        }),
      )
    },
  }
}
