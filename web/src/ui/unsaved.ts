import { useEffect, useSyncExternalStore } from 'react'

/** Forms in which something is typed that is not saved. */
const forms = new Set<symbol>()
const listeners = new Set<() => void>()

function tell() {
  listeners.forEach((listener) => listener())
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Whether something is typed that leaving the page would lose. */
export const isUnsaved = (): boolean => forms.size > 0

/** The same, for a screen that follows it. */
export const useIsUnsaved = (): boolean => useSyncExternalStore(subscribe, isUnsaved)

/** The coach leaves what is typed: nothing asks again. */
export function letGo() {
  forms.clear()
  tell()
}

/** A form says that leaving would lose what is typed in it, until it is saved or gone. */
export function useUnsaved(unsaved: boolean) {
  useEffect(() => {
    if (!unsaved) return
    const form = Symbol('form')
    forms.add(form)
    tell()
    return () => {
      forms.delete(form)
      tell()
    }
  }, [unsaved])
}
