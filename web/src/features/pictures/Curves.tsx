import { scaleLinear } from 'd3-scale'
import { useSize } from '../../chart/useSize'
import type { Schemas } from '../../api/client'

type Film = Schemas['FilmView']

const HEIGHT = 200
const LEFT = 40
const BOTTOM = 24

/** Knee bend and lean of the trunk through the film; lines stand at the low ends. */
export function Curves({ film }: { film: Film }) {
  const [take, { width }] = useSize<SVGSVGElement>({ width: 640, height: HEIGHT })
  const { timeS, kneeBendDeg, trunkDeg } = film.curves
  const all = [...kneeBendDeg, ...trunkDeg]
  const x = scaleLinear()
    .domain([timeS[0] ?? 0, timeS.at(-1) ?? 1])
    .range([LEFT, width - 4])
  const y = scaleLinear()
    .domain([Math.min(0, ...all), Math.max(10, ...all)])
    .nice()
    .range([HEIGHT - BOTTOM, 6])
  const path = (values: number[]) =>
    values.map((value, k) => `${k ? 'L' : 'M'}${x(timeS[k]!)},${y(value)}`).join('')
  return (
    <figure>
      <svg
        ref={take}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        style={{ height: HEIGHT }}
        className="w-full"
        role="img"
        aria-label={`Knee bend up to ${Math.round(Math.max(0, ...kneeBendDeg))}°, trunk up to ${Math.round(Math.max(0, ...trunkDeg))}° from the vertical`}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={width} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
            <text x={LEFT - 6} y={y(tick) + 5} textAnchor="end" fontSize="13" fill="var(--ink-2)">
              {tick}°
            </text>
          </g>
        ))}
        {x.ticks(Math.max(2, Math.floor(width / 90))).map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={HEIGHT - 6}
            textAnchor="middle"
            fontSize="13"
            fill="var(--ink-2)"
          >
            {tick} s
          </text>
        ))}
        {film.repetitions.map((repetition) => (
          <line
            key={repetition.number}
            x1={x(repetition.startS)}
            x2={x(repetition.startS)}
            y1={6}
            y2={HEIGHT - BOTTOM}
            stroke="var(--edge)"
            strokeDasharray="3 4"
          />
        ))}
        <path d={path(kneeBendDeg)} fill="none" stroke="var(--accent-2)" strokeWidth="2.5" />
        <path
          d={path(trunkDeg)}
          fill="none"
          stroke="var(--accent)"
          strokeWidth="2.5"
          strokeDasharray="8 4"
        />
      </svg>
      <figcaption className="text-sm text-ink-2">
        Solid: knee bend. Dashed: trunk from the vertical. Upright lines: low ends.
      </figcaption>
    </figure>
  )
}
