import { scaleLinear, scaleTime } from 'd3-scale'
import { momentOf } from '../quantity/day'

export type Point = { on: string; value: number; error?: number; ring?: boolean; words: string }

type Props = { points: Point[]; label: string; unit: string; zero?: boolean; height?: number }

const W = 640
const LEFT = 44
/** Room for a date under the plot. */
const DATE_W = 46
const BOTTOM = 20

/** Readings over time with their errors, as they were: nothing is smoothed, no line goes through what was not measured. */
export function OverTime({ points, label, unit, zero = false, height = 210 }: Props) {
  if (points.length === 0) return null
  const days = points.map((p) => momentOf(p.on).getTime())
  const ends = points.flatMap((p) => [p.value - (p.error ?? 0), p.value + (p.error ?? 0)])
  const [low, high] = [
    Math.min(...ends, ...(zero ? [0] : [])),
    Math.max(...ends, ...(zero ? [0] : [])),
  ]
  const air = Math.max((high - low) * 0.1, Math.abs(high) * 0.01, 0.5)
  const week = 7 * 24 * 3600e3
  const x = scaleTime(
    [Math.min(...days) - week / 2, Math.max(...days, Math.min(...days) + 4 * week) + week / 2],
    [LEFT, W - 8],
  )
  const y = scaleLinear([zero && low >= 0 ? 0 : low - air, high + air], [height - BOTTOM, 8]).nice(
    5,
  )
  const rows = y.ticks(5)
  // a date that would stand half beside the plot is left out
  const dates = x.ticks(6).filter((t) => x(t) > LEFT + DATE_W / 2 && x(t) < W - DATE_W / 2)
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${height}`}
        className="w-full max-w-[720px]"
        role="img"
        aria-label={`${label}: ${points.map((p) => p.words).join('; ')}`}
      >
        {rows.map((t) => (
          <g key={t}>
            <line
              x1={LEFT}
              x2={W - 8}
              y1={y(t)}
              y2={y(t)}
              stroke="var(--rule)"
              strokeWidth={t === 0 && zero ? 1.4 : 0.5}
            />
            <text x={LEFT - 5} y={y(t) + 4} textAnchor="end" fontSize={12} fill="var(--ink-2)">
              {t === rows.at(-1) ? `${t} ${unit}` : t}
            </text>
          </g>
        ))}
        {dates.map((t) => (
          <text
            key={t.getTime()}
            x={x(t)}
            y={height - 4}
            textAnchor="middle"
            fontSize={12}
            fill="var(--ink-2)"
          >
            {DAY.format(t)}
          </text>
        ))}
        {points.map((p, k) => (
          <g key={k} stroke="var(--accent-2)">
            <title>{p.words}</title>
            {p.error !== undefined && p.error > 0 && (
              <path
                d={`M${x(days[k]!)} ${y(p.value - p.error)}V${y(p.value + p.error)}M${x(days[k]!) - 4} ${y(p.value - p.error)}h8M${x(days[k]!) - 4} ${y(p.value + p.error)}h8`}
                fill="none"
                strokeWidth={1.2}
              />
            )}
            <circle
              cx={x(days[k]!)}
              cy={y(p.value)}
              r={4.2}
              fill={p.ring ? 'var(--paper)' : 'var(--accent-2)'}
              strokeWidth={1.6}
            />
          </g>
        ))}
      </svg>
    </figure>
  )
}

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
