import { useEffect, useState } from 'react'

/** The time now, in ms, renewed while it is needed. */
export function useNow(everyMs: number, running: boolean): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (!running) return
    const tick = () => setNow(Date.now())
    tick()
    const timer = setInterval(tick, everyMs)
    return () => clearInterval(timer)
  }, [everyMs, running])
  return now
}

/** "1:05". Whole seconds, rounded up, so that 0 is over. */
export function clock(ms: number): string {
  const s = Math.max(0, Math.ceil(ms / 1000))
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}
