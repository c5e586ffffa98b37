import { scaleLinear } from 'd3-scale'
import { NEWTONS_PER_KG } from '../quantity/units'
import { useSize } from './useSize'
import { lengthWords, massWords } from '../quantity/format'

type Point = { at: number; measured: number; fitted: number; generic: number }

const H = 160
const LEFT = 48

/** Pulls as dots, the fit as a line, the generic type dashed. */
export function FitPlot({
  points,
  unit,
  atUnit,
  perAt,
}: {
  points: Point[]
  unit: string
  atUnit: string
  perAt: number
}) {
  const [take, { width }] = useSize<SVGSVGElement>({ width: 280, height: H })
  const sorted = [...points].sort((first, second) => first.at - second.at)
  const values = sorted.flatMap((point) => [point.measured, point.fitted, point.generic])
  const ats = sorted.map((point) => point.at * perAt)
  const air = Math.max(1e-6, 0.05 * (Math.max(...ats) - Math.min(...ats)) || 1)
  const toX = scaleLinear([Math.min(...ats) - air, Math.max(...ats) + air], [LEFT, width - 14])
  const toY = scaleLinear([0, 1.1 * Math.max(...values)], [H - 22, 8])
  const shown = (v: number) =>
    unit === 'm' ? lengthWords(v) : massWords(Math.round(v / NEWTONS_PER_KG))
  const path = (of: (p: Point) => number) =>
    sorted
      .map((point, k) => `${k === 0 ? 'M' : 'L'}${toX(point.at * perAt)},${toY(of(point))}`)
      .join('')
  const words = sorted
    .map(
      (point) =>
        `${Math.round(point.at * perAt)} ${atUnit}: ${shown(point.measured)}, fit ${shown(point.fitted)}, generic ${shown(point.generic)}`,
    )
    .join('; ')
  return (
    <figure>
      <svg
        ref={take}
        style={{ height: H }}
        viewBox={`0 0 ${width} ${H}`}
        className="w-full max-w-96"
        role="img"
        aria-label={`Resistance over the travel. ${words}`}
      >
        {toY.ticks(3).map((t) => (
          <g key={t}>
            <line x1={LEFT} x2={width - 8} y1={toY(t)} y2={toY(t)} stroke="var(--rule)" />
            <text x={LEFT - 5} y={toY(t) + 4} textAnchor="end" fontSize={12} fill="var(--ink-2)">
              {shown(t)}
            </text>
          </g>
        ))}
        {toX.ticks(4).map((t) => (
          <text key={t} x={toX(t)} y={H - 8} textAnchor="middle" fontSize={12} fill="var(--ink-2)">
            {`${t}${atUnit === '°' ? '' : ' '}${atUnit}`}
          </text>
        ))}
        <path
          d={path((point) => point.generic)}
          fill="none"
          stroke="var(--ink-2)"
          strokeDasharray="4 3"
        />
        <path
          d={path((point) => point.fitted)}
          fill="none"
          stroke="var(--accent-2)"
          strokeWidth={2}
        />
        {sorted.map((point, k) => (
          <circle
            key={k}
            cx={toX(point.at * perAt)}
            cy={toY(point.measured)}
            r={3.5}
            fill="var(--accent)"
          >
            <title>{`${Math.round(point.at * perAt)} ${atUnit}: ${shown(point.measured)}, fit ${shown(point.fitted)}`}</title>
          </circle>
        ))}
      </svg>
      <figcaption className="text-xs text-ink-2">
        {unit === 'm' ? 'Lever of the stack' : 'Force, as weight'}: dots pulls, line the fit, dashed
        the generic type.
      </figcaption>
    </figure>
  )
}
