import { useRef } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import type { Parameter, Schemas } from '../../api/client'
import { setupValue } from '../../quantity/format'
import type { Point } from '../smooth'

export type Handle = Schemas['GripView']

/** A handle: dragged by pointer or touch, or moved by arrow keys in natural steps. */
export function Grip({
  handle,
  to,
  parameter,
  value,
  onMove,
  svg,
}: {
  handle: Handle
  to: (p: Point) => Point
  parameter: Parameter
  value: number
  onMove: (p: string, v: number) => void
  svg: React.RefObject<SVGSVGElement | null>
}) {
  const at = to(handle.at)
  const axis = to(handle.axis)
  // a drag goes by the handle as it was taken hold of; the drawing moves under it
  const start = useRef<{ from: Point; value: number; axis: Point; perMetre: number } | null>(null)
  const toMetres = (event: PointerEvent) => {
    const matrix = svg.current!.getScreenCTM()!.inverse()
    return {
      x: matrix.a * event.clientX + matrix.c * event.clientY + matrix.e,
      y: matrix.b * event.clientX + matrix.d * event.clientY + matrix.f,
    }
  }
  const within = (v: number) => Math.max(parameter.min, Math.min(parameter.max, v))
  const onDown = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    start.current = { from: toMetres(event), value, axis, perMetre: handle.perMetre }
  }
  const onDrag = (event: PointerEvent<SVGGElement>) => {
    if (!start.current) return
    const { from, axis: along, perMetre } = start.current
    const inMetres = toMetres(event)
    const dragged = (inMetres.x - from.x) * along.x + (inMetres.y - from.y) * along.y
    onMove(parameter.id, within(start.current.value + dragged * perMetre))
  }
  const onKey = (event: KeyboardEvent) => {
    const sign = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key]
    if (sign === undefined) return
    event.preventDefault()
    onMove(parameter.id, within(value + sign * parameter.step * (event.shiftKey ? 5 : 1)))
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={parameter.label}
      aria-valuemin={parameter.min}
      aria-valuemax={parameter.max}
      aria-valuenow={value}
      aria-valuetext={setupValue(parameter, value)}
      data-handle={parameter.id}
      className="group cursor-grab touch-none outline-none active:cursor-grabbing"
      onPointerDown={onDown}
      onPointerMove={onDrag}
      onPointerUp={() => (start.current = null)}
      onPointerCancel={() => (start.current = null)}
      onKeyDown={onKey}
    >
      <title>{`${parameter.label}: ${setupValue(parameter, value)}`}</title>
      <circle cx={at.x} cy={at.y} r={0.075} fill="transparent" />
      <circle
        cx={at.x}
        cy={at.y}
        r={0.03}
        fill="var(--paper)"
        stroke="var(--accent)"
        strokeWidth={2.5}
        vectorEffect="non-scaling-stroke"
        className="group-hover:[stroke-width:4] group-focus-visible:[stroke:var(--focus)] group-focus-visible:[stroke-width:5]"
      />
      <path
        d={`M${at.x - axis.x * 0.055} ${at.y - axis.y * 0.055}L${at.x + axis.x * 0.055} ${at.y + axis.y * 0.055}`}
        stroke="var(--accent)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  )
}
