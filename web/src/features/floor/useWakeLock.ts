import { useEffect } from 'react'

/** The screen stays lit while a session is open, where the browser allows it. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    let gone = false
    const ask = () => {
      if (gone || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
      navigator.wakeLock
        .request('screen')
        .then((sentinel) => {
          if (gone) void sentinel.release()
          else lock = sentinel
        })
        .catch(() => undefined) // low battery, or not allowed: the screen goes dark as it always did
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      gone = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
}
