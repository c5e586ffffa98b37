import { useRef } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import type { Drawing, Parameter, Schemas } from '../../api/client'
import { setupValue } from '../../quantity/format'
import type { Box, Point } from './scene'

type Handle = Schemas['GripView']

const LOOK: Record<string, { stroke: string; width: number; dash?: string; fill?: string }> = {
  floor: { stroke: 'var(--ink)', width: 1.5 },
  rail: { stroke: 'var(--ink-2)', width: 1.5, dash: '7 3' },
  plate: { stroke: 'var(--ink)', width: 4 },
  pad: { stroke: 'var(--ink-2)', width: 7 },
  lever: { stroke: 'var(--ink-2)', width: 2 },
  block: { stroke: 'var(--ink)', width: 1.5, fill: 'var(--paper-2)' },
  other: { stroke: 'var(--ink-2)', width: 2.5, dash: '2 4' },
  cable: { stroke: 'var(--ink-2)', width: 1.5, dash: '7 3' },
  arm: { stroke: 'var(--ink-2)', width: 2 },
  trunk: { stroke: 'var(--ink)', width: 5 },
  thigh: { stroke: 'var(--ink)', width: 5 },
  shank: { stroke: 'var(--ink)', width: 4 },
  foot: { stroke: 'var(--ink)', width: 2, fill: 'var(--paper-2)' },
  force: { stroke: 'var(--accent)', width: 1.5, dash: '5 3' },
  'bar-plan': { stroke: 'var(--ink-2)', width: 1.5, dash: '7 3' },
  'foot-right': { stroke: 'var(--ink)', width: 2, fill: 'var(--paper-2)' },
  'foot-left': { stroke: 'var(--ink)', width: 2, fill: 'var(--paper-2)' },
}

const LEVER_COLOUR: Record<string, string> = {
  hip: 'var(--glutes)',
  knee: 'var(--quads)',
  ankle: 'var(--calves)',
}

type Props = {
  drawing: Drawing
  ghost?: Drawing
  box: Box
  label: string
  /** plan: x to the right, y up along the feet */
  plan?: boolean
  handles?: Handle[]
  parameters?: Parameter[]
  setup?: Record<string, number>
  onMove?: (parameter: string, value: number) => void
  className?: string
}

/** One drawing to scale, in metres, with what can be taken hold of. */
export function Stage({
  drawing,
  ghost,
  box,
  label,
  plan = false,
  handles = [],
  parameters = [],
  setup = {},
  onMove,
  className = '',
}: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const to = plan ? planPoint : sidePoint
  return (
    <svg
      ref={svg}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className={className}
      role="group"
      aria-label={label}
    >
      {ghost && (
        <g opacity={0.45} aria-hidden>
          <Shapes drawing={ghost} to={to} ghost />
        </g>
      )}
      <g role="img" aria-label={label}>
        <Shapes drawing={drawing} to={to} />
      </g>
      {!plan && <Levers drawing={drawing} size={Math.max(box.width, box.height)} />}
      <ScaleBar box={box} />
      {onMove &&
        handles.map((h) => {
          const parameter = parameters.find((p) => p.id === h.parameterId)
          return parameter ? (
            <Grip
              key={h.parameterId}
              handle={h}
              to={to}
              parameter={parameter}
              value={setup[h.parameterId] ?? parameter.usual}
              onMove={onMove}
              svg={svg}
            />
          ) : null
        })}
    </svg>
  )
}

const sidePoint = (p: Point): Point => ({ x: p.x, y: -p.y })
const planPoint = (p: Point): Point => ({ x: p.y, y: -p.x })

function path(points: Point[], closed: boolean): string {
  return (
    'M' + points.map((p) => `${p.x.toFixed(3)} ${p.y.toFixed(3)}`).join('L') + (closed ? 'Z' : '')
  )
}

function Shapes({
  drawing,
  to,
  ghost = false,
}: {
  drawing: Drawing
  to: (p: Point) => Point
  ghost?: boolean
}) {
  const steel = new Set([
    'floor',
    'rail',
    'plate',
    'pad',
    'block',
    'lever',
    'bar-plan',
    'other',
    'cable',
  ])
  const lines = drawing.lines.filter((l) => !ghost || (l.role !== 'force' && l.role !== 'floor'))
  const ordered = [
    ...lines.filter((l) => steel.has(l.role)),
    ...lines.filter((l) => !steel.has(l.role)),
  ]
  return (
    <>
      {ordered.map((l, k) => {
        const look = LOOK[l.role] ?? { stroke: 'var(--ink-2)', width: 2 }
        return (
          <path
            key={k}
            data-role={l.role}
            d={path(l.points.map(to), l.closed)}
            fill={ghost ? 'none' : (look.fill ?? 'none')}
            stroke={look.stroke}
            strokeWidth={ghost ? Math.min(2, look.width) : look.width}
            strokeDasharray={ghost ? '4 4' : look.dash}
            strokeLinecap="round"
            strokeLinejoin="round"
            vectorEffect="non-scaling-stroke"
          />
        )
      })}
      {drawing.circles.map((c, k) => {
        const at = to(c.centre)
        const joint = c.role.startsWith('joint') || c.role === 'pivot'
        return (
          <circle
            key={k}
            cx={at.x}
            cy={at.y}
            r={c.radius}
            fill={
              joint
                ? 'var(--paper)'
                : c.role === 'pressure'
                  ? 'var(--accent)'
                  : c.role === 'roller' ||
                      c.role === 'bar-sleeve' ||
                      c.role === 'weight' ||
                      c.role === 'belt'
                    ? 'var(--ink-2)'
                    : c.role === 'head'
                      ? 'var(--paper)'
                      : 'none'
            }
            stroke={c.role === 'bar' ? 'var(--ink-2)' : 'var(--ink)'}
            strokeWidth={ghost ? 1 : c.role === 'head' ? 3 : 1.5}
            strokeDasharray={ghost ? '4 4' : undefined}
            vectorEffect="non-scaling-stroke"
          />
        )
      })}
    </>
  )
}

/** Lever arms as dimension lines: from the joint square to the line of the force, in cm. */
function Levers({ drawing, size }: { drawing: Drawing; size: number }) {
  return (
    <g aria-hidden>
      {drawing.levers.map((l) => {
        const [a, b] = [sidePoint(l.from), sidePoint(l.to)]
        const colour = LEVER_COLOUR[l.joint] ?? 'var(--accent)'
        const left = a.x < b.x // the name stands on the joint's side, away from the force line
        return (
          <g key={l.joint}>
            <line
              x1={a.x}
              y1={a.y}
              x2={b.x}
              y2={b.y}
              stroke={colour}
              strokeWidth={2}
              vectorEffect="non-scaling-stroke"
            />
            <circle cx={b.x} cy={b.y} r={0.008} fill={colour} />
            <text
              x={a.x + (left ? -0.03 : 0.03) * size}
              y={a.y + 0.008 * size}
              textAnchor={left ? 'end' : 'start'}
              fontSize={0.026 * size}
              fontWeight={600}
              fill={colour}
              stroke="var(--paper)"
              strokeWidth={0.008 * size}
              paintOrder="stroke"
            >
              {l.joint} {Math.round(100 * l.metres)} cm
            </text>
          </g>
        )
      })}
    </g>
  )
}

function ScaleBar({ box }: { box: Box }) {
  const length = box.width > 1 ? 0.5 : 0.1
  const x = box.x + box.width - length - 0.03
  const y = box.y + box.height - 0.025
  return (
    <g aria-hidden stroke="var(--ink-2)" vectorEffect="non-scaling-stroke">
      <path
        d={`M${x} ${y - 0.012}V${y}H${x + length}V${y - 0.012}`}
        fill="none"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      <text
        x={x + length / 2}
        y={y - 0.018}
        textAnchor="middle"
        fontSize={0.022 * Math.max(box.width, box.height)}
        fill="var(--ink-2)"
        stroke="none"
      >
        {length * 100} cm
      </text>
    </g>
  )
}

/** A handle: dragged by pointer or touch, or moved by arrow keys in natural steps. */
function Grip({
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
  const toMetres = (e: PointerEvent) => {
    const m = svg.current!.getScreenCTM()!.inverse()
    return {
      x: m.a * e.clientX + m.c * e.clientY + m.e,
      y: m.b * e.clientX + m.d * e.clientY + m.f,
    }
  }
  const within = (v: number) => Math.max(parameter.min, Math.min(parameter.max, v))
  const onDown = (e: PointerEvent<SVGGElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId)
    start.current = { from: toMetres(e), value, axis, perMetre: handle.perMetre }
  }
  const onDrag = (e: PointerEvent<SVGGElement>) => {
    if (!start.current) return
    const { from, axis: along, perMetre } = start.current
    const p = toMetres(e)
    const dragged = (p.x - from.x) * along.x + (p.y - from.y) * along.y
    onMove(parameter.id, within(start.current.value + dragged * perMetre))
  }
  const onKey = (e: KeyboardEvent) => {
    const sign = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[e.key]
    if (sign === undefined) return
    e.preventDefault()
    onMove(parameter.id, within(value + sign * parameter.step * (e.shiftKey ? 5 : 1)))
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
