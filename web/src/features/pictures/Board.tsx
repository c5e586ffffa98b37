import { useRef, useState } from 'react'
import type { KeyboardEvent, PointerEvent, RefObject } from 'react'
import type { Landmark, PictureReading } from '../../api/client'
import { Magnifier } from './Magnifier'
import { BONES, markAt, within } from './marks'
import type { Marks, Place } from './marks'

export type Size = { width: number; height: number }

/** A mark under the finger, and how many of the picture's pixels one of the screen's is. */
type Held = { landmark: Landmark; at: Place; pxPerCss: number }

/** How near a finger must be to take hold of a mark, and while the next one waits to be set. */
const REACH_CSS = 22
const CLOSE_CSS = 7
const STEP_CSS = 1
const LONG_STEP = 10

const ARROWS: Record<string, Place> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
}

/** The marks over the picture: set and moved by finger, mouse or keys. */
export function Board({
  source,
  size,
  marks,
  current,
  asked,
  label,
  reading,
  onPlace,
  onTake,
}: {
  source: RefObject<HTMLImageElement | HTMLVideoElement | null>
  size: Size
  marks: Marks
  current: Landmark | undefined
  /** chosen by the coach: set where the finger is, even upon another mark */
  asked: Landmark | null
  label: string
  reading?: PictureReading
  onPlace: (landmark: Landmark, place: Place) => void
  onTake: (landmark: Landmark) => void
}) {
  const board = useRef<SVGSVGElement>(null)
  const [held, setHeld] = useState<Held | null>(null)
  const pxPerCss = () => size.width / Math.max(1, board.current?.clientWidth ?? size.width)
  const placeOf = (event: PointerEvent): Place => {
    const box = board.current!.getBoundingClientRect()
    return within(
      {
        x: ((event.clientX - box.left) / box.width) * size.width,
        y: ((event.clientY - box.top) / box.height) * size.height,
      },
      size,
    )
  }
  const take = (event: PointerEvent) => {
    const at = placeOf(event)
    const open = current && !marks[current]
    const reach = open ? CLOSE_CSS : REACH_CSS
    const near = open && asked ? undefined : markAt(marks, at, reach * pxPerCss())
    const landmark = near ?? current
    if (!landmark) return
    board.current!.setPointerCapture(event.pointerId)
    onTake(landmark)
    setHeld({ landmark, at, pxPerCss: pxPerCss() })
  }
  const drop = () => {
    if (held) onPlace(held.landmark, held.at)
    setHeld(null)
  }
  const byKey = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key]
    if (!arrow || !current) return
    event.preventDefault()
    const from = marks[current] ?? { x: size.width / 2, y: size.height / 2 }
    const step = (event.shiftKey ? LONG_STEP : STEP_CSS) * pxPerCss()
    onPlace(current, within({ x: from.x + step * arrow.x, y: from.y + step * arrow.y }, size))
  }
  const shown: Marks = held ? { ...marks, [held.landmark]: held.at } : marks
  const thick = size.width / 300
  return (
    <>
      <svg
        ref={board}
        viewBox={`0 0 ${size.width} ${size.height}`}
        role="application"
        tabIndex={0}
        aria-label={label}
        className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
        onPointerDown={take}
        onPointerMove={(event) => held && setHeld({ ...held, at: placeOf(event) })}
        onPointerUp={drop}
        onPointerCancel={() => setHeld(null)}
        onKeyDown={byKey}
      >
        {reading && !held && (
          <>
            <Bones places={places(reading.expected)} className="stroke-black" width={thick * 2.4} />
            <Bones
              places={places(reading.expected)}
              className="stroke-white"
              width={thick * 1.2}
              dashed
            />
          </>
        )}
        <Bones places={shown} className="stroke-white" width={thick * 2.6} />
        <Bones places={shown} className="stroke-[#1f5b73]" width={thick * 1.4} />
        {(Object.entries(shown) as [Landmark, Place][]).map(([landmark, place]) => (
          <g key={landmark} data-mark={landmark}>
            <circle
              cx={place.x}
              cy={place.y}
              r={thick * (landmark === current ? 3.2 : 2.2)}
              className={landmark === current ? 'fill-[#99391a]' : 'fill-[#1f5b73]'}
              stroke="white"
              strokeWidth={thick * 0.8}
            />
          </g>
        ))}
      </svg>
      {held && (
        <Magnifier source={source} at={held.at} pxPerCss={held.pxPerCss} width={size.width} />
      )}
    </>
  )
}

const places = (marks: PictureReading['expected']): Marks =>
  Object.fromEntries(marks.map((mark) => [mark.landmark, { x: mark.xPx, y: mark.yPx }]))

function Bones({
  places,
  className,
  width,
  dashed = false,
}: {
  places: Marks
  className: string
  width: number
  dashed?: boolean
}) {
  return BONES.map((bone) => {
    const joined = bone.flatMap((landmark) => places[landmark] ?? [])
    return (
      <polyline
        key={bone.join()}
        points={joined.map((place) => `${place.x},${place.y}`).join(' ')}
        className={`fill-none ${className}`}
        strokeWidth={width}
        strokeLinecap="round"
        strokeLinejoin="round"
        {...(dashed ? { strokeDasharray: `${width * 2} ${width * 3}` } : {})}
      />
    )
  })
}
