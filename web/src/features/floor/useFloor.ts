import { useCallback, useEffect, useMemo, useState } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { FloorSwap, Walk } from '../../api/client'
import {
  changeSet,
  keepMessage,
  keepProgress,
  keepSet,
  keepWalk,
  onChange,
  progressOf,
  setsOf,
  waiting,
  walkOf,
  walksOf,
} from './store'
import type { Figures, KeptSet, KeptWalk, Progress } from './store'
import { sendOnce, startSync } from './sync'
import type { SyncState } from './sync'
import { open, nextStep, restUntil, shown, swapped } from './walk'
import type { NextStep, ShownItem, ShownSet } from './walk'

/** Something kept on this device, read anew whenever anything there changes. */
export function useKept<T>(read: () => Promise<T>, deps: unknown[]): T | undefined {
  const [value, setValue] = useState<T>()
  // eslint-disable-next-line react-hooks/exhaustive-deps, react-hooks/use-memo
  const stable = useCallback(read, deps)
  useEffect(() => {
    let gone = false
    let turn = 0
    const load = () => {
      const mine = ++turn
      void stable().then((nullable) => {
        if (!gone && mine === turn) setValue(nullable)
      })
    }
    load()
    const off = onChange(load)
    return () => {
      gone = true
      off()
    }
  }, [stable])
  return value
}

/** Sends what waits, for as long as the page is open. */
export function useSync(coachId: string): SyncState {
  const [state, setState] = useState<SyncState>('idle')
  useEffect(() => startSync(coachId, setState), [coachId])
  return state
}

export const useWaiting = (coachId: string) => useKept(() => waiting(coachId), [coachId])

/** Sessions that were taken along to this device and are not finished. */
export const useTaken = (coachId: string): KeptWalk[] | undefined =>
  useKept(
    async () =>
      (await walksOf(coachId))
        .filter((walk) => !walk.walk.finishedAt)
        .sort(
          (first, second) =>
            first.walk.createdAt.localeCompare(second.walk.createdAt) ||
            first.sessionId.localeCompare(second.sessionId),
        ),
    [coachId],
  )

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

export type Floor = {
  walk: Walk
  items: ShownItem[]
  progress: Progress
  nextStep: NextStep | null
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

/** One session on the floor. */
export function useFloor(
  coachId: string,
  sessionId: string,
): { floor?: Floor; error?: Error; missing: boolean } {
  const kept = useKept(
    async () => ({
      walk: await walkOf(sessionId),
      sets: await setsOf(sessionId),
      progress: await progressOf(sessionId),
    }),
    [sessionId],
  )
  const [error, setError] = useState<Error>()
  const [asked, setAsked] = useState(false)
  useEffect(() => {
    let gone = false
    const load = () =>
      void take(coachId, sessionId)
        .then(() => !gone && setError(undefined))
        .catch((otherError: Error) => !gone && setError(otherError))
        .finally(() => !gone && setAsked(true))
    load()
    window.addEventListener('online', load)
    return () => {
      gone = true
      window.removeEventListener('online', load)
    }
  }, [coachId, sessionId])
  const mine = kept?.walk?.coachId === coachId ? kept : undefined
  const floor = useMemo((): Floor | undefined => {
    if (!mine?.walk) return undefined
    const walk = mine.walk.walk
    const progress = mine.progress
    const items = shown(walk, mine.sets, coachId, progress.extra)
    return {
      walk,
      items,
      progress,
      nextStep: nextStep(items, progress),
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
      edit: async (set, figures, removed = false) => {
        const keptSet = await changeSet(set.base, figures, removed)
        return keptSet
      },
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
  }, [mine, coachId, sessionId])
  const missing = asked && kept !== undefined && !mine?.walk
  return {
    missing,
    ...(floor ? { floor } : {}),
    ...(error && !(error instanceof Problem && error.status === 0 && floor) ? { error } : {}),
  }
}
