import { useMemo } from 'react'
import type { Schemas } from '../../api/client'
import { usePictures } from '../../api/queries'
import { smoothLoop } from '../smooth'
import { extent, path, sidePoint } from './scene'

type Picture = Schemas['PictureView']

/** Air around the figure, and the half width of an outline, m. */
const AIR = 0.1
const LINE = 0.025

const ring = ({ centre, radius }: Picture['rounds'][number]) => {
  const { x, y } = sidePoint(centre)
  return `M${x - radius} ${y}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0Z`
}

/** Paths and frame of a picture; the floor and rails may run out of it. */
function drawn(picture: Picture) {
  const points = [
    ...picture.body.flatMap((line) => line.points),
    ...picture.machine
      .filter((line) => ['plate', 'pad', 'block'].includes(line.role))
      .flatMap((line) => line.points),
    ...picture.rounds
      .filter((round) => round.role === 'head')
      .flatMap(({ centre: point, radius: r }) => [
        { x: point.x - r, y: point.y - r },
        { x: point.x + r, y: point.y + r },
      ]),
  ].map(sidePoint)
  const { left, right, top, low } = extent(points)
  const size = Math.max(right - left, low - top) + 2 * AIR
  const [x, y] = [(left + right - size) / 2, (top + low - size) / 2]
  const heads = picture.rounds.filter((round) => round.role === 'head').map(ring)
  return {
    box: `${x.toFixed(2)} ${y.toFixed(2)} ${size.toFixed(2)} ${size.toFixed(2)}`,
    machine: picture.machine
      .filter((line) => line.role !== 'stack') // outside the frame
      .map((line) => path(line.points.map(sidePoint), line.closed))
      .join(''),
    rounds: picture.rounds
      .filter((round) => round.role !== 'head')
      .map(ring)
      .join(''),
    body: [...picture.body.map((line) => smoothLoop(line.points.map(sidePoint))), ...heads].join(
      '',
    ),
  }
}

/** The small picture of an exercise, by which it is recognised before its name is read. */
export function Thumb({ candidateId, className }: { candidateId: string; className: string }) {
  const pictures = usePictures().data
  const picture = useMemo(
    () =>
      pictures?.find((otherPicture) => otherPicture.candidateId === candidateId) ??
      pictures?.find((otherPicture) =>
        otherPicture.candidateId.startsWith(candidateId.split('/')[0] + '/'),
      ),
    [pictures, candidateId],
  )
  const memo = useMemo(() => picture && drawn(picture), [picture])
  if (!memo) return <span className={`inline-block shrink-0 ${className}`} />
  return (
    <svg
      viewBox={memo.box}
      className={`shrink-0 ${className}`}
      aria-hidden
      data-thumb={candidateId}
    >
      <path d={memo.machine} fill="none" stroke="var(--steel)" strokeWidth={0.045} />
      <path
        d={memo.rounds}
        fill="var(--steel)"
        fillOpacity={0.7}
        stroke="var(--ink)"
        strokeWidth={LINE}
      />
      <path d={memo.body} fill="none" stroke="var(--ink)" strokeWidth={2 * LINE} />
      <path d={memo.body} fill="var(--flesh)" />
    </svg>
  )
}
