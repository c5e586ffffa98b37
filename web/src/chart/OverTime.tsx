import { scaleLinear, scaleTime } from 'd3-scale'
import { useState } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { momentOf } from '../quantity/day'
import { useSize } from './useSize'
import { trim } from '../quantity/number'

export type Point = { on: string; value: number; error?: number; ring?: boolean; words: string }

type Props = { points: Point[]; label: string; unit: string; zero?: boolean; height?: number }

const LEFT = 52
/** Room for a date under the plot. */
const DATE_W = 46
const BOTTOM = 22
/** Room that one date asks for among others. */
const DATE_EVERY = 90

/**
 * Readings over time with their errors, as they were: nothing is smoothed, no line goes through
 * what was not measured. Arrow keys and the pointer read them one by one; a table stands behind.
 */
export function OverTime({ points, label, unit, zero = false, height = 210 }: Props) {
  const [take, { width }] = useSize<SVGSVGElement>({ width: 640, height })
  const [read, setRead] = useState<number>()
  if (points.length === 0) return null
  const days = points.map((point) => momentOf(point.on).getTime())
  const { x, y } = scales(points, days, zero, width, height)
  const rows = y.ticks(5)
  // a date that would stand half beside the plot is left out
  const dates = x
    .ticks(Math.max(2, Math.floor(width / DATE_EVERY)))
    .filter((date) => x(date) > LEFT + DATE_W / 2 && x(date) < width - DATE_W / 2)
  const shown = read === undefined ? undefined : points[read]
  const onKeyDown = (event: KeyboardEvent) => {
    const to = KEYS[event.key]?.(read, points.length)
    if (to === undefined) return
    event.preventDefault()
    setRead(to)
  }
  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    const at = event.clientX - event.currentTarget.getBoundingClientRect().left
    setRead(nearest(days.map(x), at))
  }
  return (
    <figure className="max-w-[720px]">
      <svg
        ref={take}
        viewBox={`0 0 ${width} ${height}`}
        style={{ height }}
        className="w-full touch-pan-y"
        role="img"
        tabIndex={0}
        aria-label={`${label}: ${points.map((point) => point.words).join('; ')}. Arrow keys read one after another.`}
        onKeyDown={onKeyDown}
        onPointerMove={onPointerMove}
        onPointerLeave={() => setRead(undefined)}
        onBlur={() => setRead(undefined)}
      >
        {rows.map((row) => (
          <g key={row}>
            <line
              x1={LEFT}
              x2={width - 8}
              y1={y(row)}
              y2={y(row)}
              stroke="var(--rule)"
              strokeWidth={row === 0 && zero ? 1.4 : 0.5}
            />
            <text x={LEFT - 5} y={y(row) + 4} textAnchor="end" fontSize={12} fill="var(--ink-2)">
              {row === rows.at(-1) ? `${row} ${unit}` : row}
            </text>
          </g>
        ))}
        {dates.map((date) => (
          <text
            key={date.getTime()}
            x={x(date)}
            y={height - 5}
            textAnchor="middle"
            fontSize={12}
            fill="var(--ink-2)"
          >
            {DAY.format(date)}
          </text>
        ))}
        {points.map((point, k) => (
          <g key={k} stroke="var(--accent-2)">
            {point.error !== undefined && point.error > 0 && (
              <path
                d={`M${x(days[k]!)} ${y(point.value - point.error)}V${y(point.value + point.error)}M${x(days[k]!) - 4} ${y(point.value - point.error)}h8M${x(days[k]!) - 4} ${y(point.value + point.error)}h8`}
                fill="none"
                strokeWidth={1.2}
              />
            )}
            <circle
              cx={x(days[k]!)}
              cy={y(point.value)}
              r={k === read ? 6.5 : 4.2}
              fill={point.ring ? 'var(--paper)' : 'var(--accent-2)'}
              strokeWidth={k === read ? 3 : 1.6}
            />
          </g>
        ))}
      </svg>
      <figcaption className="flex min-h-6 flex-wrap items-baseline justify-between gap-x-3 text-sm">
        <span role="status">{shown?.words}</span>
        <details className="no-print ml-auto text-ink-2">
          <summary className="text-right text-xs">As a table</summary>
          <Table points={points} label={label} unit={unit} />
        </details>
      </figcaption>
    </figure>
  )
}

function scales(points: Point[], days: number[], zero: boolean, width: number, height: number) {
  const ends = points.flatMap((point) => [
    point.value - (point.error ?? 0),
    point.value + (point.error ?? 0),
  ])
  const low = Math.min(...ends, ...(zero ? [0] : []))
  const high = Math.max(...ends, ...(zero ? [0] : []))
  const air = Math.max((high - low) * 0.1, Math.abs(high) * 0.01, 0.5)
  return {
    x: scaleTime(
      [Math.min(...days) - WEEK / 2, Math.max(...days, Math.min(...days) + 4 * WEEK) + WEEK / 2],
      [LEFT, width - 8],
    ),
    y: scaleLinear([zero && low >= 0 ? 0 : low - air, high + air], [height - BOTTOM, 8]).nice(5),
  }
}

function Table({ points, label, unit }: { points: Point[]; label: string; unit: string }) {
  return (
    <table className="text-sm text-ink">
      <caption className="sr-only">{label}</caption>
      <thead>
        <tr className="text-left text-xs text-ink-2">
          <th scope="col" className="pr-4 font-normal">
            day
          </th>
          <th scope="col" className="pr-4 text-right font-normal">
            {unit}
          </th>
          <th scope="col" className="text-right font-normal">
            give or take
          </th>
        </tr>
      </thead>
      <tbody>
        {points.map((point, k) => (
          <tr key={k}>
            <td className="pr-4">{DAY.format(momentOf(point.on))}</td>
            <td className="pr-4 text-right">{trim(point.value, 1)}</td>
            <td className="text-right">{point.error ? trim(point.error, 1) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function nearest(places: number[], to: number): number {
  return places.reduce(
    (best, p, k) => (Math.abs(p - to) < Math.abs(places[best]! - to) ? k : best),
    0,
  )
}

/** Which reading a key goes to from the one that is read. */
const KEYS: Record<string, (read: number | undefined, of: number) => number> = {
  ArrowRight: (read, of) => Math.min(of - 1, (read ?? -1) + 1),
  ArrowLeft: (read, of) => Math.max(0, (read ?? of) - 1),
  Home: () => 0,
  End: (_, of) => of - 1,
}

const WEEK = 7 * 24 * 3600e3
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
