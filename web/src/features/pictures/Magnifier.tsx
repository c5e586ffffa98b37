import { useEffect, useRef } from 'react'
import type { RefObject } from 'react'
import type { Place } from './marks'

const SIZE = 144
const TIMES = 3

/** What is under the finger, three times as large, in the corner away from it. */
export function Magnifier({
  source,
  at,
  pxPerCss,
  width,
}: {
  source: RefObject<HTMLImageElement | HTMLVideoElement | null>
  at: Place
  pxPerCss: number
  width: number
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const seen = (SIZE / TIMES) * pxPerCss
  useEffect(() => {
    const brush = canvas.current?.getContext('2d')
    if (!brush || !source.current) return
    brush.fillStyle = '#000'
    brush.fillRect(0, 0, SIZE, SIZE)
    brush.drawImage(source.current, at.x - seen / 2, at.y - seen / 2, seen, seen, 0, 0, SIZE, SIZE)
    brush.strokeStyle = '#fff'
    brush.lineWidth = 1
    brush.beginPath()
    brush.moveTo(SIZE / 2, 0)
    brush.lineTo(SIZE / 2, SIZE)
    brush.moveTo(0, SIZE / 2)
    brush.lineTo(SIZE, SIZE / 2)
    brush.stroke()
  }, [source, at.x, at.y, seen])
  return (
    <canvas
      ref={canvas}
      width={SIZE}
      height={SIZE}
      aria-hidden
      className={`pointer-events-none absolute top-1 border-2 border-ink ${at.x > width / 2 ? 'left-1' : 'right-1'}`}
    />
  )
}
