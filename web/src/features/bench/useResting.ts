import { useEffect, useState } from 'react'

/** A value once it has not changed for some time, compared by content. */
export function useResting<T>(value: T, ms: number): T {
  const [rested, setRested] = useState(value)
  const text = JSON.stringify(value)
  useEffect(() => {
    const timer = setTimeout(() => setRested(JSON.parse(text) as T), ms)
    return () => clearTimeout(timer)
  }, [text, ms])
  return rested
}
