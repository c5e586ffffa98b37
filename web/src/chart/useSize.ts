import { useCallback, useRef, useState } from 'react'

type Size = { width: number; height: number }

/**
 * How large a drawing stands on the screen, px, so that what is drawn fits it and its text keeps
 * the size of other text. Until it stands there, and where nothing can be measured, it is what is
 * usual.
 */
export function useSize<E extends Element>(usual: Size): [(of: E | null) => void, Size] {
  const [size, setSize] = useState(usual)
  const watch = useRef<ResizeObserver>(undefined)
  const take = useCallback((of: E | null) => {
    watch.current?.disconnect()
    if (!of || typeof ResizeObserver === 'undefined') return
    watch.current = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect
      if (width > 0 && height > 0) setSize({ width, height })
    })
    watch.current.observe(of)
  }, [])
  return [take, size]
}
