import { scaleLinear } from 'd3-scale'
import type { Schemas } from '../api/client'
import { JOINTS } from './joints'
import { useSize } from './useSize'

type Strip = Schemas['StripView']

const HEAVIEST: Record<Strip['heaviest'], string> = {
  NOTHING: 'nothing',
  HELD: 'held at one length',
  SHORT: 'heaviest where short',
  NEAR_BEST: 'heaviest near its best length',
  LONG: 'heaviest where long',
}

const USUAL = { width: 260, height: 100 }
const H = USUAL.height
const PAD = { left: 28, right: 8, top: 10, bottom: 24 }
/** Right of the moments: a joint's name and its share. */
const NAMES = 70
/** How far names stand apart at least. */
const APART = 13

function line(xs: number[], ys: number[]): string {
  return xs.map((x, k) => `${k === 0 ? 'M' : 'L'}${x.toFixed(1)} ${ys[k]!.toFixed(1)}`).join('')
}

/** Length strip: what counts for a region against how long its fibres are, over the repetition. */
export function LengthStrip({
  title,
  now,
  ghost,
  at,
  top,
}: {
  title: string
  now: Strip
  ghost?: Strip
  at: number
  top: number
}) {
  const [take, { width }] = useSize<SVGSVGElement>(USUAL)
  const lengths = [...now.length, ...(ghost?.length ?? [])]
  const toX = scaleLinear(
    [Math.min(0.6, ...lengths), Math.max(1.5, ...lengths)],
    [PAD.left, width - PAD.right],
  )
  const toY = scaleLinear([0, top], [H - PAD.bottom, PAD.top])
  const k = Math.min(at, now.tension.length - 1)
  return (
    <figure>
      <figcaption className="text-xs">
        <b className="font-semibold">{title}</b>{' '}
        <span className="text-ink-2">
          {HEAVIEST[now.heaviest]}; here {now.tension[k]!.toFixed(2)}
          {now.heaviest === 'HELD'
            ? null
            : ` at ${Math.round(100 * now.length[k]!)} % of its best length`}
        </span>
      </figcaption>
      <svg
        ref={take}
        style={{ height: H }}
        viewBox={`0 0 ${width} ${H}`}
        className="w-full"
        role="img"
        aria-label={`${title}: tension from ${now.tension[0]} at length ${now.length[0]} (top) to ${now.tension.at(-1)} at length ${now.length.at(-1)} (bottom)`}
      >
        <line
          x1={toX(1)}
          x2={toX(1)}
          y1={PAD.top}
          y2={H - PAD.bottom}
          stroke="var(--rule)"
          strokeDasharray="2 3"
        />
        <line
          x1={PAD.left}
          x2={width - PAD.right}
          y1={H - PAD.bottom}
          y2={H - PAD.bottom}
          stroke="var(--ink-2)"
        />
        <g fontSize={12} fill="var(--ink-2)">
          <text x={PAD.left} y={H - 8}>
            short
          </text>
          {width > 180 && (
            <text x={toX(1)} y={H - 8} textAnchor="middle">
              best length
            </text>
          )}
          <text x={width - PAD.right} y={H - 8} textAnchor="end">
            long
          </text>
          <text x={2} y={PAD.top + 6}>
            {top.toFixed(1)}
          </text>
          <text x={8} y={H - PAD.bottom}>
            0
          </text>
        </g>
        {ghost && (
          <path
            d={line(ghost.length.map(toX), ghost.tension.map(toY))}
            fill="none"
            stroke="var(--ink-2)"
            strokeDasharray="4 3"
            strokeWidth={1.3}
          />
        )}
        <path
          d={line(now.length.map(toX), now.tension.map(toY))}
          fill="none"
          stroke="var(--accent-2)"
          strokeWidth={2.2}
        />
        <circle
          cx={toX(now.length[k]!)}
          cy={toY(now.tension[k]!)}
          r={4}
          fill="var(--accent)"
          stroke="var(--paper)"
        />
      </svg>
    </figure>
  )
}

/** Moments over the repetition, each as a share of the largest: extension above the line, flexion below. */
export function MomentStrip({
  moments,
  ghost,
  at,
  sticking,
}: {
  moments: Record<string, number>[]
  ghost?: Record<string, number>[]
  at: number
  sticking?: number
}) {
  const [take, { width }] = useSize<SVGSVGElement>(USUAL)
  const right = width - NAMES
  const wide = width > 210 // else there is no room for both ends and where it sticks
  const n = moments.length - 1
  const toX = scaleLinear([0, n], [PAD.left, right])
  const toY = scaleLinear([-0.5, 1], [H - PAD.bottom, PAD.top]).clamp(true)
  const shown = JOINTS.filter(({ key }) => moments[0]?.[key] !== undefined)
  // labels at the right end, pushed apart so that they can be read
  const ends = shown
    .map(({ key, name, colour }) => ({
      name,
      colour,
      share: moments[Math.min(at, n)]![key]!,
      at: toY(moments[n]![key]!),
    }))
    .sort((first, second) => first.at - second.at)
  for (let k = 1; k < ends.length; k++) ends[k]!.at = Math.max(ends[k]!.at, ends[k - 1]!.at + APART)
  return (
    <figure>
      <figcaption className="text-xs">
        <b className="font-semibold">Moments</b>{' '}
        <span className="text-ink-2">share of the largest; extending above, bending below</span>
      </figcaption>
      <svg
        ref={take}
        style={{ height: H }}
        viewBox={`0 0 ${width} ${H}`}
        className="w-full"
        role="img"
        aria-label={`Moments at the bottom: ${shown.map(({ key, name }) => `${name} ${moments[n]![key]}`).join(', ')}`}
      >
        <line x1={PAD.left} x2={right} y1={toY(0)} y2={toY(0)} stroke="var(--ink-2)" />
        {sticking !== undefined && (
          <line
            x1={toX(sticking * n)}
            x2={toX(sticking * n)}
            y1={PAD.top}
            y2={H - PAD.bottom}
            stroke="var(--warn)"
            strokeDasharray="2 2"
          />
        )}
        {ghost?.length === moments.length &&
          shown.map(({ key }) => (
            <path
              key={key}
              d={line(
                ghost.map((_, k) => toX(k)),
                ghost.map((m) => toY(m[key] ?? 0)),
              )}
              fill="none"
              stroke="var(--ink-2)"
              strokeDasharray="4 3"
              strokeWidth={1}
            />
          ))}
        {shown.map(({ key, colour }) => (
          <path
            key={key}
            d={line(
              moments.map((_, k) => toX(k)),
              moments.map((moment) => toY(moment[key]!)),
            )}
            fill="none"
            stroke={colour}
            strokeWidth={2}
          />
        ))}
        <line
          x1={toX(Math.min(at, n))}
          x2={toX(Math.min(at, n))}
          y1={PAD.top}
          y2={H - PAD.bottom}
          stroke="var(--accent)"
          strokeWidth={1.2}
        />
        <g fontSize={12} fill="var(--ink-2)">
          {wide && (
            <text x={PAD.left} y={H - 8}>
              top
            </text>
          )}
          {wide && (sticking ?? 0) < 0.7 && (
            <text x={right} y={H - 8} textAnchor="end">
              bottom
            </text>
          )}
          {sticking !== undefined && (
            <text
              x={
                sticking >= 0.7
                  ? right
                  : Math.max(PAD.left + 56, Math.min(right - 66, toX(sticking * n)))
              }
              y={H - 8}
              textAnchor={sticking >= 0.7 ? 'end' : 'middle'}
              fill="var(--warn)"
            >
              {wide && sticking >= 0.95 ? 'bottom: sticks here' : 'sticks here'}
            </text>
          )}
        </g>
        {ends.map((end) => (
          <text
            key={end.name}
            x={right + 4}
            y={end.at + 4}
            fontSize={12}
            fontWeight={600}
            fill={end.colour}
          >
            {end.name} {end.share.toFixed(2)}
          </text>
        ))}
      </svg>
    </figure>
  )
}
