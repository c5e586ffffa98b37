import { centre, down } from './territories'
import type { Territory } from './territories'

/** 12 px at the usual size of the chart. */
export const TYPE = 0.31
/** A letter of that size, on average. */
const LETTER = 0.158
/** The round mark of a painted territory. */
export const MARK_RADIUS = 0.19
const GAP = 0.08

/** How long a name is on the chart. */
export const nameLength = (name: string): number => LETTER * name.length

/**
 * Where the mark of a painted territory stands, and where its name begins that runs down from it;
 * both together in its middle, and the mark alone where there is no room for both.
 */
export function marked(t: Territory): { mark: number; name?: number } {
  const middle = centre(t.points)[1]
  const ys = t.points.map((point) => down(point[1]))
  const length = 2 * MARK_RADIUS + GAP + nameLength(t.name ?? '')
  if (!t.name || !t.upright || length > Math.max(...ys) - Math.min(...ys)) return { mark: middle }
  const top = middle - length / 2
  return { mark: top + MARK_RADIUS, name: top + 2 * MARK_RADIUS + GAP }
}
