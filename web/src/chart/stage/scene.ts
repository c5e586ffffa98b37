import type { Drawing } from '../../api/client'
import type { Point } from '../smooth'

export type Box = { x: number; y: number; width: number; height: number }

/** The smallest frame, in metres with y up turned to y down, that holds every drawing, with some air. */
export function frame(drawings: Drawing[], air = 0.08): Box {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  const add = (p: Point, r = 0) => {
    left = Math.min(left, p.x - r)
    right = Math.max(right, p.x + r)
    low = Math.min(low, p.y - r)
    high = Math.max(high, p.y + r)
  }
  for (const d of drawings) {
    for (const l of d.lines)
      if (l.role !== 'floor' && l.role !== 'force' && l.role !== 'rail')
        l.points.forEach((p) => add(p))
    for (const c of d.circles) add(c.centre, c.radius)
    for (const part of d.body) part.points.forEach((p) => add(p))
  }
  if (left > right) return { x: -1, y: -2, width: 2, height: 2 }
  return {
    x: left - air,
    y: -high - air,
    width: right - left + 2 * air,
    height: high - low + 2 * air,
  }
}

/** Frames of one size, each with its own figure in the middle and on its own floor: one scale for all. */
export function toOneScale(boxes: Box[]): Box[] {
  const width = Math.max(...boxes.map((b) => b.width))
  const height = Math.max(...boxes.map((b) => b.height))
  return boxes.map((b) => ({
    x: b.x - (width - b.width) / 2,
    y: b.y - (height - b.height),
    width,
    height,
  }))
}

/** The drawing turned and moved so that the sole of the foot lies level at a height of nothing with the ankle above the origin: two exercises on one floor. Steel and force lines of a machine turn along. */
export function toTheFloor(d: Drawing): Drawing {
  const foot = d.lines.find((l) => l.role === 'foot')?.points
  const ankle = pointOf(d, 'joint-ankle')
  if (!foot || foot.length < 3 || !ankle) return d
  // heel and toes are the points furthest apart
  let [heel, toe] = [foot[0]!, foot[1]!]
  for (const p of foot)
    for (const q of foot)
      if (Math.hypot(p.x - q.x, p.y - q.y) > Math.hypot(heel.x - toe.x, heel.y - toe.y))
        [heel, toe] = [p, q]
  let angle = Math.atan2(toe.y - heel.y, toe.x - heel.x)
  // the ankle stands above the sole, the toes point forward
  const above = (toe.x - heel.x) * (ankle.y - heel.y) - (toe.y - heel.y) * (ankle.x - heel.x)
  if (above < 0) angle += Math.PI
  const [c, s] = [Math.cos(-angle), Math.sin(-angle)]
  const sole = -(heel.x - ankle.x) * Math.sin(angle) + (heel.y - ankle.y) * Math.cos(angle)
  const turn = (p: Point): Point => ({
    x: (p.x - ankle.x) * c - (p.y - ankle.y) * s,
    y: (p.x - ankle.x) * s + (p.y - ankle.y) * c - sole,
  })
  return {
    from: d.from,
    lines: d.lines.map((l) => ({ ...l, points: l.points.map(turn) })),
    circles: d.circles.map((k) => ({ ...k, centre: turn(k.centre) })),
    levers: d.levers.map((l) => ({ ...l, from: turn(l.from), to: turn(l.to) })),
    body: d.body.map((l) => ({ ...l, points: l.points.map(turn) })),
    muscles: d.muscles.map((m) => ({ ...m, course: m.course.map(turn) })),
  }
}

/** From where a figure is seen, as the start of its label. */
export const SEEN: Record<Drawing['from'], string> = {
  RIGHT_SIDE: 'Side view',
  FRONT: 'Front view',
  ON_THE_LEFT_SIDE: 'Front view, lying on the left side',
}

export const sidePoint = (p: Point): Point => ({ x: p.x, y: -p.y })
export const planPoint = (p: Point): Point => ({ x: p.y, y: -p.x })

/** Straight lines through points, as a path. */
export function path(points: Point[], closed = false): string {
  return (
    'M' + points.map((p) => `${p.x.toFixed(3)} ${p.y.toFixed(3)}`).join('L') + (closed ? 'Z' : '')
  )
}

/** Where a part of a drawing is: the centre of a circle, or a point of a line. */
export function pointOf(d: Drawing, role: string, index = 0): Point | undefined {
  return (
    d.circles.find((c) => c.role === role)?.centre ??
    d.lines.find((l) => l.role === role)?.points[index]
  )
}
