import { useMemo } from 'react'
import type { Schemas } from '../../api/client'
import { usePictures } from '../../api/queries'
import { smoothLoop } from '../smooth'
import { path, sidePoint } from './scene'

type Picture = Schemas['PictureView']

/** Air around the figure, and the half width of an outline, m. */
const AIR = 0.1
const LINE = 0.025

const ring = ({ centre, radius }: Picture['rounds'][number]) => {
  const { x, y } = sidePoint(centre)
  return `M${x - radius} ${y}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0Z`
}

/** Paths and frame of a picture; the floor and rails may run out of it. */
function drawn(p: Picture) {
  const points = [
    ...p.body.flatMap((l) => l.points),
    ...p.machine.filter((l) => ['plate', 'pad', 'block'].includes(l.role)).flatMap((l) => l.points),
    ...p.rounds
      .filter((c) => c.role === 'head')
      .flatMap(({ centre: c, radius: r }) => [
        { x: c.x - r, y: c.y - r },
        { x: c.x + r, y: c.y + r },
      ]),
  ].map(sidePoint)
  const [left, right] = [Math.min(...points.map((q) => q.x)), Math.max(...points.map((q) => q.x))]
  const [top, low] = [Math.min(...points.map((q) => q.y)), Math.max(...points.map((q) => q.y))]
  const size = Math.max(right - left, low - top) + 2 * AIR
  const [x, y] = [(left + right - size) / 2, (top + low - size) / 2]
  const heads = p.rounds.filter((c) => c.role === 'head').map(ring)
  return {
    box: `${x.toFixed(2)} ${y.toFixed(2)} ${size.toFixed(2)} ${size.toFixed(2)}`,
    machine: p.machine.map((l) => path(l.points.map(sidePoint), l.closed)).join(''),
    rounds: p.rounds
      .filter((c) => c.role !== 'head')
      .map(ring)
      .join(''),
    body: [...p.body.map((l) => smoothLoop(l.points.map(sidePoint))), ...heads].join(''),
  }
}

/** The small picture of an exercise, by which it is recognised before its name is read. */
export function Thumb({ candidateId, className }: { candidateId: string; className: string }) {
  const pictures = usePictures().data
  const picture = useMemo(
    () =>
      pictures?.find((p) => p.candidateId === candidateId) ??
      pictures?.find((p) => p.candidateId.startsWith(candidateId.split('/')[0] + '/')),
    [pictures, candidateId],
  )
  const d = useMemo(() => picture && drawn(picture), [picture])
  if (!d) return <span className={`inline-block shrink-0 ${className}`} />
  return (
    <svg viewBox={d.box} className={`shrink-0 ${className}`} aria-hidden data-thumb={candidateId}>
      <path d={d.machine} fill="none" stroke="var(--steel)" strokeWidth={0.045} />
      <path
        d={d.rounds}
        fill="var(--steel)"
        fillOpacity={0.7}
        stroke="var(--ink)"
        strokeWidth={LINE}
      />
      <path d={d.body} fill="none" stroke="var(--ink)" strokeWidth={2 * LINE} />
      <path d={d.body} fill="var(--flesh)" />
    </svg>
  )
}
