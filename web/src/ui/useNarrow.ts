import { useSyncExternalStore } from 'react'

const NARROW = '(max-width: 1023px)'

function subscribe(listener: () => void): () => void {
  const query = window.matchMedia(NARROW)
  query.addEventListener('change', listener)
  return () => query.removeEventListener('change', listener)
}

/** Whether the screen has one column: a telephone, or a small tablet. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(subscribe, () => window.matchMedia(NARROW).matches)
