import { useRef, useState } from 'react'
import { useAddress } from '../../ui/useAddress'
import { parseSetup, writeSetup } from './address'

type Values = Record<string, number>
export type SetupChanges = ReturnType<typeof useSetupChanges>

/** Undo step of a whole set-up, not of one control. */
const ALL = 'all'

/** What was moved on the bench, kept in the address, with its start and with undo. */
export function useSetupChanges() {
  const [params, put] = useAddress()
  const moved = parseSetup(params.get('set'))
  const [pinned, setPinned] = useState<Values | null>(() => parseSetup(params.get('pinned'))) // a link may bring a start along
  const held = useRef<string | null>(null)
  const [past, setPast] = useState<(string | null)[]>([])
  /** Keeps where it was before this control was moved: one act of undo for each control that is taken hold of. */
  const remember = (what: string) => {
    if (what !== held.current || what === ALL)
      setPast((oldPast) => [...oldPast.slice(-49), params.get('set')])
    held.current = what
  }
  return {
    moved,
    pinned,
    setPinned,
    canUndo: past.length > 0,
    move: (setup: Values, id: string, value: number) => {
      remember(id)
      put({ set: writeSetup({ ...setup, [id]: value }) })
    },
    take: (setup: Values, values: Values) => {
      remember(ALL)
      put({ set: writeSetup({ ...setup, ...values }) })
    },
    undo: () => {
      held.current = null
      const last = past[past.length - 1] ?? null
      setPast((oldPast) => oldPast.slice(0, -1))
      put({ set: last })
    },
    reset: () => {
      if (moved) remember(ALL)
      setPinned(null)
      put({ set: null }, 'step')
    },
  }
}
