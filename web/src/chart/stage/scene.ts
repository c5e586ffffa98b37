import type { Drawing } from '../../api/client'
import type { Point } from '../smooth'

export type Box = { x: number; y: number; width: number; height: number }

/** What may run out of the frame, so that the figure stays large. */
const RUNS_OUT = new Set(['floor', 'force', 'rail', 'post', 'stack'])

/** The smallest frame, in metres with y up turned to y down, that holds every drawing, with some air. */
export function frame(drawings: Drawing[], air = 0.08): Box {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  const add = (point: Point, r = 0) => {
    left = Math.min(left, point.x - r)
    right = Math.max(right, point.x + r)
    low = Math.min(low, point.y - r)
    high = Math.max(high, point.y + r)
  }
  for (const drawing of drawings) {
    for (const line of drawing.lines)
      if (!RUNS_OUT.has(line.role)) line.points.forEach((point) => add(point))
    for (const circle of drawing.circles) add(circle.centre, circle.radius)
    for (const part of drawing.body) part.points.forEach((point) => add(point))
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
  const width = Math.max(...boxes.map((box) => box.width))
  const height = Math.max(...boxes.map((box) => box.height))
  return boxes.map((box) => ({
    x: box.x - (width - box.width) / 2,
    y: box.y - (height - box.height),
    width,
    height,
  }))
}

/** The drawing turned and moved so that the sole of the foot lies level at a height of nothing with the ankle above the origin: two exercises on one floor. Steel and force lines of a machine turn along. */
export function toTheFloor(drawing: Drawing): Drawing {
  const foot = drawing.lines.find((line) => line.role === 'foot')?.points
  const ankle = pointOf(drawing, 'joint-ankle')
  if (!foot || foot.length < 3 || !ankle) return drawing
  // heel and toes are the points furthest apart
  let [heel, toe] = [foot[0]!, foot[1]!]
  for (const point of foot)
    for (const corner of foot)
      if (
        Math.hypot(point.x - corner.x, point.y - corner.y) >
        Math.hypot(heel.x - toe.x, heel.y - toe.y)
      )
        [heel, toe] = [point, corner]
  let angle = Math.atan2(toe.y - heel.y, toe.x - heel.x)
  // the ankle stands above the sole, the toes point forward
  const above = (toe.x - heel.x) * (ankle.y - heel.y) - (toe.y - heel.y) * (ankle.x - heel.x)
  if (above < 0) angle += Math.PI
  const [c, s] = [Math.cos(-angle), Math.sin(-angle)]
  const sole = -(heel.x - ankle.x) * Math.sin(angle) + (heel.y - ankle.y) * Math.cos(angle)
  const turn = (point: Point): Point => ({
    x: (point.x - ankle.x) * c - (point.y - ankle.y) * s,
    y: (point.x - ankle.x) * s + (point.y - ankle.y) * c - sole,
  })
  return {
    from: drawing.from,
    lines: drawing.lines.map((line) => ({ ...line, points: line.points.map(turn) })),
    circles: drawing.circles.map((circle) => ({ ...circle, centre: turn(circle.centre) })),
    levers: drawing.levers.map((lever) => ({
      ...lever,
      from: turn(lever.from),
      to: turn(lever.to),
    })),
    body: drawing.body.map((line) => ({ ...line, points: line.points.map(turn) })),
    muscles: drawing.muscles.map((muscle) => ({ ...muscle, course: muscle.course.map(turn) })),
  }
}

/** From where a figure is seen, as the start of its label. */
export const SEEN: Record<Drawing['from'], string> = {
  RIGHT_SIDE: 'Side view',
  FRONT: 'Front view',
  ON_THE_LEFT_SIDE: 'Front view, lying on the left side',
}

/** How far points reach, of a drawing with y down. */
export function extent(points: Point[]) {
  const [x, y] = [points.map((point) => point.x), points.map((point) => point.y)]
  return { left: Math.min(...x), right: Math.max(...x), top: Math.min(...y), low: Math.max(...y) }
}

export const sidePoint = (point: Point): Point => ({ x: point.x, y: -point.y })
export const planPoint = (point: Point): Point => ({ x: point.y, y: -point.x })

/** Straight lines through points, as a path. */
export function path(points: Point[], closed = false): string {
  return (
    'M' +
    points.map((point) => `${point.x.toFixed(3)} ${point.y.toFixed(3)}`).join('L') +
    (closed ? 'Z' : '')
  )
}

/** Where a part of a drawing is: the centre of a circle, or a point of a line. */
export function pointOf(drawing: Drawing, role: string, index = 0): Point | undefined {
  return (
    drawing.circles.find((circle) => circle.role === role)?.centre ??
    drawing.lines.find((line) => line.role === role)?.points[index]
  )
}
