import { useCallback, useRef } from 'react'
import type { Drawing, Parameter } from '../../api/client'
import type { Point } from '../smooth'
import { smoothLoop } from '../smooth'
import { useSize } from '../useSize'
import { Figure } from './Figure'
import type { MusclesShown } from './Figure'
import { Grip } from './Grip'
import type { Handle } from './Grip'
import { path, planPoint, sidePoint } from './scene'
import type { Box } from './scene'
import { Steel } from './Steel'
import { coachUnit, lengthWords } from '../../quantity/format'

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
  muscles?: MusclesShown
  /** a small picture without lengths, which could not be read */
  plain?: boolean
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
  muscles,
  plain = false,
  className = '',
}: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const [measure, size] = useSize<SVGSVGElement>(USUAL)
  const take = useCallback(
    (of: SVGSVGElement | null) => {
      svg.current = of
      measure(plain ? null : of)
    },
    [measure, plain],
  )
  const type = TYPE_PX / Math.min(size.width / box.width, size.height / box.height)
  const to = plan ? planPoint : sidePoint
  return (
    <svg
      ref={take}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className={className}
      role="group"
      aria-label={label}
    >
      {ghost && <Ghost drawing={ghost} to={to} plan={plan} />}
      <g role="img" aria-label={label}>
        {plan ? (
          <Plan drawing={drawing} />
        ) : (
          <>
            <Steel drawing={drawing} />
            <Figure drawing={drawing} muscles={muscles} />
            <Plumb drawing={drawing} />
            {!plain && <Force drawing={drawing} />}
          </>
        )}
      </g>
      {!plan && !plain && <Levers drawing={drawing} type={type} />}
      {!plain && <ScaleBar box={box} type={type} />}
      {onMove &&
        handles.map((handle) => {
          const parameter = parameters.find(
            (otherParameter) => otherParameter.id === handle.parameterId,
          )
          return parameter ? (
            <Grip
              key={handle.parameterId}
              handle={handle}
              to={to}
              parameter={parameter}
              value={setup[handle.parameterId] ?? parameter.usual}
              onMove={onMove}
              svg={svg}
            />
          ) : null
        })}
    </svg>
  )
}

/** Another set-up behind this one: outlines alone. */
function Ghost({
  drawing,
  to,
  plan,
}: {
  drawing: Drawing
  to: (p: Point) => Point
  plan: boolean
}) {
  const lines = plan ? drawing.lines : [...drawing.body, ...drawing.lines.filter(isMachine)]
  return (
    <g opacity={0.55} aria-hidden fill="none" stroke="var(--ink-2)" strokeDasharray="4 4">
      {lines.map((line, k) => (
        <path
          key={k}
          d={
            drawing.body.includes(line)
              ? smoothLoop(line.points.map(to))
              : path(line.points.map(to), line.closed)
          }
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  )
}

const MACHINE = new Set(['rail', 'plate', 'pad', 'block', 'lever', 'cable', 'post', 'stack'])
const isMachine = (l: { role: string }) => MACHINE.has(l.role)

/** The feet from above. */
function Plan({ drawing }: { drawing: Drawing }) {
  return (
    <>
      {drawing.lines.map((line, k) => {
        const foot = line.role.startsWith('foot')
        return (
          <path
            key={k}
            data-role={line.role}
            d={foot ? smoothLoop(line.points.map(planPoint)) : path(line.points.map(planPoint))}
            fill={foot ? 'var(--paper-2)' : 'none'}
            stroke={foot ? 'var(--ink)' : 'var(--steel)'}
            strokeWidth={foot ? 2 : 3}
            vectorEffect="non-scaling-stroke"
          />
        )
      })}
      {drawing.circles.map((otherCircle, k) => {
        const at = planPoint(otherCircle.centre)
        return <circle key={k} cx={at.x} cy={at.y} r={otherCircle.radius} fill="var(--accent)" />
      })}
    </>
  )
}

/** The line of the force that the levers are measured to. */
function Force({ drawing }: { drawing: Drawing }) {
  return (
    <>
      {drawing.lines
        .filter((line) => line.role === 'force')
        .map((line, k) => (
          <path
            key={k}
            data-role="force"
            d={path(line.points.map(sidePoint))}
            fill="none"
            stroke="var(--accent)"
            strokeWidth={1.5}
            strokeDasharray="5 3"
            vectorEffect="non-scaling-stroke"
          />
        ))}
    </>
  )
}

/** From the front: the plumb line from each knee, and where the toes end. */
function Plumb({ drawing }: { drawing: Drawing }) {
  return (
    <>
      {drawing.lines
        .filter((line) => line.role === 'plumb')
        .map((line, k) => (
          <path
            key={k}
            data-role="plumb"
            d={path(line.points.map(sidePoint), false)}
            fill="none"
            stroke="var(--accent)"
            strokeWidth={1.5}
            strokeDasharray="5 3"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      {drawing.circles
        .filter((circle) => circle.role === 'toe')
        .map((otherCircle, k) => {
          const at = sidePoint(otherCircle.centre)
          return <circle key={k} cx={at.x} cy={at.y} r={otherCircle.radius} fill="var(--accent)" />
        })}
    </>
  )
}

/** Text on the stage, px whatever the scale, and the size that a stage has until it is measured. */
const TYPE_PX = 13
const USUAL = { width: 500, height: 400 }

/** Lever arms as dimension lines: from the joint square to the line of the force, in cm. */
function Levers({ drawing, type }: { drawing: Drawing; type: number }) {
  return (
    <g aria-hidden>
      {drawing.levers.map((lever) => {
        const [point, otherPoint] = [sidePoint(lever.from), sidePoint(lever.to)]
        const colour = LEVER_COLOUR[lever.joint] ?? 'var(--accent)'
        const left = point.x < otherPoint.x // the name stands on the joint's side, away from the force line
        return (
          <g key={lever.joint}>
            <line
              x1={point.x}
              y1={point.y}
              x2={otherPoint.x}
              y2={otherPoint.y}
              stroke={colour}
              strokeWidth={2}
              vectorEffect="non-scaling-stroke"
            />
            <circle cx={otherPoint.x} cy={otherPoint.y} r={0.008} fill={colour} />
            <text
              x={point.x + (left ? -1.1 : 1.1) * type}
              y={point.y + 0.3 * type}
              textAnchor={left ? 'end' : 'start'}
              fontSize={type}
              fontWeight={600}
              fill={colour}
              stroke="var(--paper)"
              strokeWidth={0.3 * type}
              paintOrder="stroke"
            >
              {lever.joint} {lengthWords(Math.round(100 * lever.metres) / 100)}
            </text>
          </g>
        )
      })}
    </g>
  )
}

function ScaleBar({ box, type }: { box: Box; type: number }) {
  const { unit, perStored } = coachUnit('m')
  const [wide, close] = unit === 'cm' ? [50, 10] : [20, 4]
  const shown = box.width > 1 ? wide : close
  const length = shown / perStored
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
        fontSize={type}
        fill="var(--ink-2)"
        stroke="var(--paper)"
        strokeWidth={0.3 * type}
        paintOrder="stroke"
      >
        {shown} {unit}
      </text>
    </g>
  )
}
