import { useId } from 'react'
import type { Drawing } from '../../api/client'
import { fill, GROUPS, Hatches } from '../limb/Hatch'
import { smoothLoop, spindle } from '../smooth'
import { sidePoint } from './scene'

/** Which muscles lie on the figure, each at its share of the greatest tension, 0 to 1. */
export type MusclesShown = {
  tension: Record<string, number>
  group: (regionId: string) => string
  /** the group that ends the set, if muscles end it */
  givesOut?: string
}

/** One map unit of the limb chart's hatches, m. */
const HATCH_UNIT_M = 0.05

/** What lies behind what, from the back of the picture to the front. */
const LAYERS = [
  (role: string) => role.startsWith('far-'),
  (role: string) => role === 'trunk',
  (role: string) => ['foot', 'shank', 'thigh'].includes(role),
]
const isArm = (role: string) => role === 'upper-arm' || role === 'forearm'

/** The lifter: outlines in ink, the muscles in the chart's hues. */
export function Figure({ drawing, muscles }: { drawing: Drawing; muscles?: MusclesShown }) {
  const head = drawing.circles.find((circle) => circle.role === 'head')
  const parts = drawing.body.map((line) => ({
    role: line.role,
    d: smoothLoop(line.points.map(sidePoint)),
  }))
  if (head) {
    const at = sidePoint(head.centre)
    const [r, x, y] = [head.radius, at.x, at.y]
    parts.push({
      role: 'trunk',
      d: `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`,
    })
  }
  const within = (layer: (role: string) => boolean) => parts.filter((part) => layer(part.role))
  return (
    <>
      {LAYERS.map((layer, k) => (
        <Layer key={k} parts={within(layer)} far={k === 0} />
      ))}
      {muscles && <Muscles drawing={drawing} shown={muscles} />}
      <Layer parts={within(isArm)} clear />
      <Joints drawing={drawing} />
    </>
  )
}

/** Parts that grow into one another: every outline first, then every inside. */
function Layer({
  parts,
  far = false,
  clear = false,
}: {
  parts: { role: string; d: string }[]
  far?: boolean
  clear?: boolean
}) {
  return (
    <g opacity={clear ? 0.75 : 1}>
      {parts.map((part, k) => (
        <path
          key={k}
          data-role={`body-${part.role}`}
          d={part.d}
          fill="none"
          stroke={far ? 'var(--ink-2)' : 'var(--ink)'}
          strokeWidth={far ? 2 : 3.5}
          strokeDasharray={far ? '5 3' : undefined}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {parts.map((part, k) => (
        <path key={k} d={part.d} fill={far ? 'var(--paper)' : 'var(--flesh)'} />
      ))}
    </g>
  )
}

function Joints({ drawing }: { drawing: Drawing }) {
  return (
    <>
      {drawing.circles
        .filter((circle) => circle.role.startsWith('joint'))
        .map((otherCircle, k) => {
          const at = sidePoint(otherCircle.centre)
          return (
            <circle
              key={k}
              cx={at.x}
              cy={at.y}
              r={0.6 * otherCircle.radius}
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          )
        })}
    </>
  )
}

/** Bands where the regions lie, wide by tension. */
function Muscles({ drawing, shown }: { drawing: Drawing; shown: MusclesShown }) {
  const prefix = useId().replaceAll(':', '')
  return (
    <g aria-hidden>
      <Hatches prefix={prefix} unit={HATCH_UNIT_M} />
      {drawing.muscles
        .filter((muscle) => muscle.regionId in shown.tension)
        .map((muscle) => {
          const pull = Math.max(0, Math.min(1, shown.tension[muscle.regionId]!))
          const group = shown.group(muscle.regionId)
          const text = spindle(muscle.course.map(sidePoint), muscle.widthM * (0.35 + 0.85 * pull))
          return (
            <g key={muscle.regionId} data-muscle={muscle.regionId}>
              <path d={text} fill="var(--paper)" />
              <path
                d={text}
                fill={fill(prefix, group, 1 + Math.round(4 * pull))}
                stroke={GROUPS[group]?.colour}
                strokeWidth={shown.givesOut === group ? 2 : 1}
                vectorEffect="non-scaling-stroke"
              />
            </g>
          )
        })}
    </g>
  )
}
