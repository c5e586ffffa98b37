import { scaleLinear, scaleTime } from 'd3-scale'
import { momentOf } from '../quantity/day'

export type Reading = { side: string; value: number; on: string }

const W = 180
const H = 40

/** Readings over time as they are: a dot for right or both, a ring for left; no line is drawn through what was not measured. */
export function ReadingsPlot({ readings, label }: { readings: Reading[]; label: string }) {
  if (readings.length === 0) return null
  const days = readings.map((reading) => momentOf(reading.on).getTime())
  const values = readings.map((reading) => reading.value)
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const air = Math.max((high - low) * 0.2, high * 0.02)
  const month = 30 * 24 * 3600e3
  const time = scaleTime(
    [Math.min(...days) - month / 4, Math.max(...days, Math.min(...days) + month) + month / 4],
    [6, W - 6],
  )
  const linear = scaleLinear([low - air, high + air], [H - 5, 5])
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="h-9 w-44" role="img" aria-label={label}>
      <line x1={6} x2={W - 6} y1={H - 2} y2={H - 2} stroke="var(--rule)" />
      {readings.map((reading, k) => (
        <circle
          key={k}
          cx={time(days[k]!)}
          cy={linear(reading.value)}
          r={3}
          fill={reading.side === 'LEFT' ? 'var(--paper)' : 'var(--accent-2)'}
          stroke="var(--accent-2)"
          strokeWidth={1.5}
        />
      ))}
    </svg>
  )
}

type Mark = { from: [number, number]; to: [number, number]; around?: boolean }

/** Where to put the tape, on a plain standing figure seen from the right; y down from the crown, stature 100. */
const MARKS: Record<string, Mark> = {
  STATURE: { from: [12, 0], to: [12, 100] },
  THIGH: { from: [25, 47], to: [25, 71.5] },
  SHANK: { from: [25, 71.5], to: [25, 96] },
  TRUNK: { from: [25, 18], to: [25, 47] },
  FOOT: { from: [21, 100], to: [36, 100] },
  KNEE_TO_WALL: { from: [36, 100], to: [46, 100] },
  THIGH_GIRTH: { from: [18, 59], to: [33, 59], around: true },
  CALF_GIRTH: { from: [20, 79], to: [30, 79], around: true },
}

export function Landmarks({ kind }: { kind: string }) {
  const mark = MARKS[kind]
  if (!mark) return null
  return (
    <svg
      viewBox="0 -4 56 110"
      className="h-64"
      role="img"
      aria-label="Where to measure, on a standing figure seen from the side"
    >
      <g fill="none" stroke="var(--ink-2)" strokeWidth={1} strokeLinejoin="round">
        <ellipse cx={26} cy={6.5} rx={5} ry={6.5} />
        <path d="M23 14C18 17 18 22 18.5 28 19 36 18 42 17.5 48 17 58 19.5 66 20.5 72 20 80 21.5 90 22 96L20.5 100H36C36 97 31 96.5 28.5 95 30 86 31 79 29.5 72 32 64 34 56 33 48 34 40 33 34 33.5 28 34 20 31 16 29 14" />
        <path d="M0 100H56" />
      </g>
      {kind === 'KNEE_TO_WALL' && <path d="M46 100V60" stroke="var(--ink)" strokeWidth={1.5} />}
      <g stroke="var(--accent)" strokeWidth={1.6} fill="none">
        {mark.around ? (
          <ellipse
            cx={(mark.from[0] + mark.to[0]) / 2}
            cy={mark.from[1]}
            rx={(mark.to[0] - mark.from[0]) / 2 + 0.6}
            ry={1.8}
          />
        ) : (
          <path d={`M${mark.from[0]} ${mark.from[1]}L${mark.to[0]} ${mark.to[1]}`} />
        )}
        {[mark.from, mark.to].map(
          ([x, y]) =>
            !mark.around && <circle key={`${x} ${y}`} cx={x} cy={y} r={1.8} fill="var(--paper)" />,
        )}
      </g>
    </svg>
  )
}
