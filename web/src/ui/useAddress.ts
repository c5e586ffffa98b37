import { useCallback } from 'react'
import { useSearchParams } from 'react-router'

/** Values to write; null or nothing takes the word out. */
export type AddressChange = Record<string, string | null>

/** A copy of the address' words with a change. */
export function changed(words: URLSearchParams, change: AddressChange): URLSearchParams {
  const next = new URLSearchParams(words)
  for (const [key, value] of Object.entries(change)) {
    if (value) next.set(key, value)
    else next.delete(key)
  }
  return next
}

/**
 * What the screen keeps in its address, and how to change it. A change is on the screen before the
 * next key is heard, so that none is lost. `step` makes it a step of the browser's Back; `later` is
 * for effects, which must not draw at once.
 */
export function useAddress() {
  const [words, setWords] = useSearchParams()
  const put = useCallback(
    (change: AddressChange, how: 'step' | 'here' | 'later' = 'here') =>
      setWords((old) => changed(old, change), {
        replace: how !== 'step',
        flushSync: how !== 'later',
      }),
    [setWords],
  )
  return [words, put] as const
}
