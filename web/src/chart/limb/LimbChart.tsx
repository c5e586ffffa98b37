import { useId, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import type { Region } from '../../api/client'
import { GROUPS, Hatches, fill } from './Hatch'
import { MARK_RADIUS, TYPE, marked } from './marks'
import { HEIGHT, TERRITORIES, TOP, WIDTH, centre, down, outline, towards } from './territories'
import type { Territory } from './territories'

/** 0 to 3: how much it should grow; -1: keep it out. */
export type Paint = -1 | 0 | 1 | 2 | 3

const WORDS: Record<string, string> = {
  '-1': 'avoid',
  '0': 'not targeted',
  '1': 'a little',
  '2': 'much',
  '3': 'most',
}
const PAINT_LEVEL = [0, 1, 3, 5]

type Props = {
  regions: Region[]
  paint: (id: string) => Paint
  onPaint: (id: string, paint: Paint) => void
}

/** The large limb chart: paint the target on it. Each territory is a slider: click or Enter steps on, + and − go up and down, x avoids. The chart is one tab stop; arrows go from muscle to muscle. */
export function LimbChart({ regions, paint, onPaint }: Props) {
  const prefix = useId()
  const [named, setNamed] = useState<string | null>(null)
  const [stop, setStop] = useState(TERRITORIES[0]!.id)
  const svg = useRef<SVGSVGElement>(null)
  const go = (from: Territory, key: string) => {
    const to = towards(from, key)
    if (to) svg.current?.querySelector<SVGElement>(`[data-region="${to.id}"]`)?.focus()
  }
  const visit = (id: string | null) => {
    setNamed(id)
    if (id) setStop(id)
  }
  const byId = new Map(regions.map((region) => [region.id, region]))
  const shown = named === null ? undefined : byId.get(named)

  return (
    <figure className="flex h-full min-h-0 flex-col">
      <svg
        ref={svg}
        viewBox={`-0.85 ${TOP - 0.45} ${WIDTH + 0.95} ${HEIGHT + 0.45}`}
        className="min-h-0 w-full flex-1"
        role="group"
        aria-label="Limb chart: paint what should grow"
      >
        <Hatches prefix={prefix} />
        <Graticule />
        {TERRITORIES.map((territory) => {
          const region = byId.get(territory.id)
          return region ? (
            <PaintedTerritory
              key={territory.id}
              t={territory}
              region={region}
              prefix={prefix}
              value={paint(territory.id)}
              onPaint={onPaint}
              onName={setNamed}
              onVisit={visit}
              onGo={go}
              tabStop={territory.id === stop}
            />
          ) : null
        })}
      </svg>
      <figcaption
        className="min-h-9 border-t border-rule pt-1 text-xs leading-snug text-ink-2"
        aria-hidden
      >
        {shown ? (
          <>
            <b className="text-ink">{shown.coachName}</b> · {shown.anatomicalName} ·{' '}
            {WORDS[String(paint(shown.id))]}
            <span className="block">{STEER[shown.steer]}</span>
          </>
        ) : (
          'Click a muscle: a little, much, most, avoid. Keys: arrows go from muscle to muscle, + − x paint.'
        )}
      </figcaption>
    </figure>
  )
}

const STEER: Record<string, string> = {
  A: 'Can be trained well apart from its neighbours.',
  B: 'Can be trained partly apart from its neighbours.',
  C: 'Hardly, or disputedly, trained apart from its neighbours.',
}

/** Avoided, and targeted most. */
const LOWEST = -1
const HIGHEST = 3

function next(value: Paint): Paint {
  return value === 3 ? -1 : ((value + 1) as Paint)
}

function PaintedTerritory({
  t,
  region,
  prefix,
  value,
  onPaint,
  onName,
  onVisit,
  onGo,
  tabStop,
}: {
  t: Territory
  region: Region
  prefix: string
  value: Paint
  onPaint: Props['onPaint']
  onName: (id: string | null) => void
  /** the focus came to it, or left */
  onVisit: (id: string | null) => void
  /** an arrow was pressed on it */
  onGo: (from: Territory, key: string) => void
  /** whether Tab comes to this one */
  tabStop: boolean
}) {
  const set = (v: number) => onPaint(t.id, Math.max(LOWEST, Math.min(HIGHEST, v)) as Paint)
  const onKeyDown = (event: KeyboardEvent) => {
    const moves: Record<string, () => void> = {
      ArrowUp: () => onGo(t, event.key),
      ArrowRight: () => onGo(t, event.key),
      '+': () => set(value + 1),
      ArrowDown: () => onGo(t, event.key),
      ArrowLeft: () => onGo(t, event.key),
      '-': () => set(value - 1),
      Home: () => set(LOWEST),
      End: () => set(HIGHEST),
      x: () => set(-1),
      '0': () => set(0),
      '1': () => set(1),
      '2': () => set(2),
      '3': () => set(3),
      Enter: () => onPaint(t.id, next(value)),
      ' ': () => onPaint(t.id, next(value)),
    }
    const move = moves[event.key]
    if (move) {
      event.preventDefault()
      move()
    }
  }
  const cx = centre(t.points)[0]
  const cy = marked(t).mark
  const colour = GROUPS[region.group]?.colour ?? 'var(--ink-2)'
  const edge = outline(t.points)
  return (
    <g
      role="slider"
      tabIndex={tabStop ? 0 : -1}
      aria-label={`${region.coachName}, ${region.anatomicalName}`}
      aria-valuemin={LOWEST}
      aria-valuemax={HIGHEST}
      aria-valuenow={value}
      aria-valuetext={WORDS[String(value)]}
      data-region={t.id}
      className="group cursor-pointer outline-none"
      onClick={() => onPaint(t.id, next(value))}
      onKeyDown={onKeyDown}
      onFocus={() => onVisit(t.id)}
      onBlur={() => onVisit(null)}
      onPointerEnter={() => onName(t.id)}
      onPointerLeave={() => onName(null)}
    >
      <path d={edge} fill="var(--paper)" />
      <path
        d={edge}
        fill={
          value === -1 ? `url(#${prefix}-out)` : fill(prefix, region.group, PAINT_LEVEL[value] ?? 0)
        }
        stroke={value === -1 ? 'var(--warn)' : value > 0 ? colour : 'var(--ink-2)'}
        strokeWidth={value === 0 ? 0.022 : 0.055}
        strokeDasharray={t.inset ? '0.09 0.06' : undefined}
        className="group-hover:[stroke-width:0.06] group-focus-visible:[stroke:var(--focus)] group-focus-visible:[stroke-width:0.1]"
      />
      <Name t={t} below={value !== 0} />
      {value !== 0 && (
        <g aria-hidden className="pointer-events-none">
          <circle
            cx={cx}
            cy={cy}
            r={MARK_RADIUS}
            fill="var(--paper)"
            stroke={value === -1 ? 'var(--warn)' : colour}
            strokeWidth={0.03}
          />
          <text
            x={cx}
            y={cy + 0.095}
            textAnchor="middle"
            fontSize={TYPE}
            fontWeight={700}
            fill={value === -1 ? 'var(--warn)' : 'var(--ink)'}
          >
            {value === -1 ? '×' : value}
          </text>
        </g>
      )}
    </g>
  )
}

/** A territory's name in its middle, or below its mark. */
function Name({ t, below }: { t: Territory; below: boolean }) {
  const [x, middle] = centre(t.points)
  const y = below ? marked(t).name : middle
  if (!t.name || y === undefined) return null
  return (
    <text
      aria-hidden
      className="pointer-events-none"
      transform={`translate(${x} ${y})${t.upright ? ' rotate(90)' : ''}`}
      textAnchor={below ? 'start' : 'middle'}
      dy={0.1}
      fontSize={TYPE}
      fill="var(--ink)"
      stroke="var(--paper)"
      strokeWidth={0.08}
      paintOrder="stroke"
    >
      {t.name}
    </text>
  )
}

/** Meridians and parallels of the map, with their names. */
function Graticule() {
  const rows: [number, string][] = [
    [0, 'crest'],
    [2.0, 'hip'],
    [4.1, 'thigh'],
    [6.3, 'knee'],
    [7.6, 'calf'],
    [9.55, 'heel'],
  ]
  return (
    <g aria-hidden fontSize={TYPE} fill="var(--ink-2)">
      {[0, 2, 4, 6, 8].map((x) => (
        <line
          key={x}
          x1={x}
          x2={x}
          y1={TOP}
          y2={TOP + HEIGHT - 0.1}
          stroke="var(--rule)"
          strokeWidth={0.016}
          strokeDasharray={x === 0 || x === 8 ? undefined : '0.05 0.08'}
        />
      ))}
      {['FRONT', 'OUTER', 'BACK', 'INNER'].map((name, k) => (
        <text
          key={name}
          x={2 * k + 1}
          y={TOP - 0.14}
          textAnchor="middle"
          letterSpacing={0.05}
          fontWeight={600}
        >
          {name}
        </text>
      ))}
      {rows.map(([y, name]) => (
        <g key={name}>
          <line
            x1={0}
            x2={8}
            y1={down(y)}
            y2={down(y)}
            stroke="var(--rule)"
            strokeWidth={0.016}
            strokeDasharray="0.05 0.08"
          />
          <text x={-0.08} y={down(y) + 0.07} textAnchor="end">
            {name}
          </text>
        </g>
      ))}
      <ellipse
        cx={1.3}
        cy={down(6.2)}
        rx={0.3}
        ry={0.34}
        fill="none"
        stroke="var(--rule)"
        strokeWidth={0.03}
      />
      <text x={3.2} y={down(2.84)} textAnchor="middle" fontSize={TYPE}>
        deep
      </text>
      <text x={3.37} y={down(4.8)} textAnchor="middle" fontSize={TYPE}>
        deep
      </text>
    </g>
  )
}

/** The small limb chart beside an exercise: how much each region gets, 1 being full tension at the best length. */
export function Fingerprint({
  regions,
  amount,
  label,
  className = '',
}: {
  regions: Region[]
  amount: Record<string, number>
  label?: string
  className?: string
}) {
  const prefix = useId()
  const groups = new Map(regions.map((region) => [region.id, region.group]))
  return (
    <svg
      viewBox={`-0.1 ${TOP} ${WIDTH + 0.2} ${HEIGHT - 0.2}`}
      className={className}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      <Hatches prefix={prefix} bold />
      {TERRITORIES.map((territory) => {
        const group = groups.get(territory.id) ?? 'shin'
        const level = Math.max(0, Math.min(5, Math.round((amount[territory.id] ?? 0) * 6 - 0.4)))
        return (
          <path
            key={territory.id}
            d={outline(territory.points)}
            fill={fill(prefix, group, level)}
            stroke={level > 0 ? GROUPS[group]!.colour : 'var(--rule)'}
            strokeWidth={level > 0 ? 0.09 : 0.06}
          />
        )
      })}
    </svg>
  )
}
