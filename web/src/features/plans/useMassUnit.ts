import { useSyncExternalStore } from 'react'
import type { MassUnit } from './words'

const KEY = 'istmo.mass-unit'
const CHANGED = 'istmo:mass-unit'

const kept = (): MassUnit => (localStorage.getItem(KEY) === 'lb' ? 'lb' : 'kg')

function subscribe(listener: () => void): () => void {
  window.addEventListener(CHANGED, listener)
  window.addEventListener('storage', listener)
  return () => {
    window.removeEventListener(CHANGED, listener)
    window.removeEventListener('storage', listener)
  }
}

function choose(unit: MassUnit) {
  localStorage.setItem(KEY, unit)
  window.dispatchEvent(new Event(CHANGED))
}

/** Kilograms or pounds, kept on this device; every screen follows at once. */
export function useMassUnit(): [MassUnit, (u: MassUnit) => void] {
  return [useSyncExternalStore(subscribe, kept), choose]
}
