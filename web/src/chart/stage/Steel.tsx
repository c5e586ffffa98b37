import type { Drawing } from '../../api/client'
import { extent, path, sidePoint } from './scene'
import type { Point } from '../smooth'

/** How thick a bar of steel or a pad is, m; what has no thickness is a thin line. */
const THICK: Record<string, number> = {
  plate: 0.035,
  pad: 0.06,
  lever: 0.03,
  rail: 0.035,
  'bar-across': 0.028,
  post: 0.04,
}

/** The machine: rail, plate, pad and lever as wide as they are, on a hatched floor. */
export function Steel({ drawing }: { drawing: Drawing }) {
  return (
    <>
      {drawing.lines.map((line, k) => {
        const text = path(line.points.map(sidePoint), line.closed)
        const thick = THICK[line.role]
        if (line.role === 'floor') return <Floor key={k} points={line.points} />
        if (line.role === 'block')
          return (
            <path
              key={k}
              data-role="block"
              d={text}
              fill="var(--steel-fill)"
              stroke="var(--ink)"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          )
        if (line.role === 'stack') return <Stack key={k} points={line.points.map(sidePoint)} />
        if (line.role === 'cable')
          return (
            <path
              key={k}
              data-role="cable"
              d={text}
              fill="none"
              stroke="var(--steel)"
              strokeWidth={2}
              vectorEffect="non-scaling-stroke"
            />
          )
        if (thick === undefined) return null
        return (
          <g
            key={k}
            data-role={line.role}
            fill="none"
            strokeLinecap={line.role === 'pad' ? 'round' : 'butt'}
            strokeLinejoin="round"
          >
            <path d={text} stroke="var(--ink)" strokeWidth={thick} />
            <path
              d={text}
              stroke={line.role === 'pad' ? 'var(--pad)' : 'var(--steel-fill)'}
              strokeWidth={thick - 0.012}
            />
          </g>
        )
      })}
      {drawing.circles.map((circle, k) => {
        const at = sidePoint(circle.centre)
        return circle.role in ROUND ? (
          <Round key={k} role={circle.role} at={at} radius={circle.radius} />
        ) : null
      })}
    </>
  )
}

const ROUND: Record<string, string> = {
  bar: 'var(--steel-fill)',
  'bar-sleeve': 'var(--steel)',
  roller: 'var(--pad)',
  weight: 'var(--steel)',
  belt: 'var(--steel)',
  pivot: 'var(--paper)',
}

function Round({ role, at, radius }: { role: string; at: Point; radius: number }) {
  return (
    <g data-role={role}>
      <circle
        cx={at.x}
        cy={at.y}
        r={radius}
        fill={ROUND[role]}
        fillOpacity={role === 'bar' ? 0.55 : 1}
        stroke="var(--ink)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      {role === 'bar' && (
        <circle
          cx={at.x}
          cy={at.y}
          r={0.8 * radius}
          fill="none"
          stroke="var(--steel)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </g>
  )
}

const PLATE_M = 0.05

/** A stack: its plates lie on one another between two guide rods. */
function Stack({ points }: { points: Point[] }) {
  const { left, right, top, low } = extent(points)
  const gaps = Array.from(
    { length: Math.floor((low - top) / PLATE_M) - 1 },
    (_, k) => `M${left.toFixed(3)} ${(low - (k + 1) * PLATE_M).toFixed(3)}H${right.toFixed(3)}`,
  ).join('')
  return (
    <g data-role="stack">
      <path
        d={path(points, true)}
        fill="var(--steel-fill)"
        stroke="var(--ink)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={gaps}
        fill="none"
        stroke="var(--steel)"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  )
}

const HATCH_M = 0.05

/** The floor with the short strokes of a section under it. */
function Floor({ points }: { points: Point[] }) {
  const [point, otherPoint] = [sidePoint(points[0]!), sidePoint(points[points.length - 1]!)]
  const long = Math.hypot(otherPoint.x - point.x, otherPoint.y - point.y)
  const [ux, uy] = [(otherPoint.x - point.x) / long, (otherPoint.y - point.y) / long]
  const strokes = Array.from({ length: Math.floor(long / HATCH_M) }, (_, k) => {
    const [x, y] = [point.x + k * HATCH_M * ux, point.y + k * HATCH_M * uy]
    return `M${(x + 0.03 * ux).toFixed(3)} ${(y + 0.03 * uy).toFixed(3)}l${(-0.025 * ux - 0.025 * uy).toFixed(3)} ${(-0.025 * uy + 0.025 * ux).toFixed(3)}`
  }).join('')
  return (
    <g data-role="floor" fill="none">
      <path d={strokes} stroke="var(--rule)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <path
        d={path(points.map(sidePoint))}
        stroke="var(--ink)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  )
}
