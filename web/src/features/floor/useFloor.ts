import { useCallback, useEffect, useMemo, useState } from 'react'
import { Problem } from '../../api/client'
import type { Walk } from '../../api/client'
import { floorActs, take } from './floorActs'
import type { FloorActs } from './floorActs'
import { onChange, progressOf, setsOf, waiting, walkOf, walksOf } from './store'
import type { KeptWalk, Progress } from './store'
import { startSync } from './sync'
import type { SyncState } from './sync'
import { nextStep, shown } from './walk'
import type { NextStep, ShownItem } from './walk'

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

export type Floor = FloorActs & {
  walk: Walk
  items: ShownItem[]
  progress: Progress
  nextStep: NextStep | null
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
      ...floorActs({ coachId, sessionId, walk, items, progress }),
    }
  }, [mine, coachId, sessionId])
  const missing = asked && kept !== undefined && !mine?.walk
  return {
    missing,
    ...(floor ? { floor } : {}),
    ...(error && !(error instanceof Problem && error.status === 0 && floor) ? { error } : {}),
  }
}
