export type Point = { x: number; y: number }

/** Points between the second and the third of four, on a Catmull-Rom curve through them. */
export function between(
  [point, otherPoint, c, d]: [Point, Point, Point, Point],
  share: number,
): Point {
  const on = (p: number, q: number, r: number, s: number) =>
    0.5 *
    (2 * q +
      (r - p) * share +
      (2 * p - 5 * q + 4 * r - s) * share ** 2 +
      (3 * q - p - 3 * r + s) * share ** 3)
  return { x: on(point.x, otherPoint.x, c.x, d.x), y: on(point.y, otherPoint.y, c.y, d.y) }
}

/** A smooth closed curve through the points (Catmull-Rom as cubic Béziers). */
export function smoothLoop(points: Point[]): string {
  const n = points.length
  const at = (i: number) => points[(i + n) % n]!
  const say = (x: number, y: number) => `${x.toFixed(3)} ${y.toFixed(3)}`
  let text = `M${say(at(0).x, at(0).y)}`
  for (let i = 0; i < n; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    text += `C${say(p1.x + (p2.x - p0.x) / 6, p1.y + (p2.y - p0.y) / 6)}`
    text += ` ${say(p2.x - (p3.x - p1.x) / 6, p2.y - (p3.y - p1.y) / 6)} ${say(p2.x, p2.y)}`
  }
  return text + 'Z'
}

const PIECES = 6

/** A muscle's belly along its course: thin at both ends, so wide in the middle. */
export function spindle(course: Point[], width: number): string {
  const n = course.length
  const at = (i: number) => course[Math.max(0, Math.min(n - 1, i))]!
  const line: Point[] = []
  for (let i = 0; i < n - 1; i++)
    for (let k = 0; k < PIECES; k++)
      line.push(between([at(i - 1), at(i), at(i + 1), at(i + 2)], k / PIECES))
  line.push(at(n - 1))
  const sides: [Point[], Point[]] = [[], []]
  line.forEach((point, i) => {
    const [before, after] = [line[Math.max(0, i - 1)]!, line[Math.min(line.length - 1, i + 1)]!]
    const long = Math.hypot(after.x - before.x, after.y - before.y) || 1
    const half = (width / 2) * (0.25 + 0.75 * Math.sin((Math.PI * i) / (line.length - 1)))
    const [dx, dy] = [(-(after.y - before.y) / long) * half, ((after.x - before.x) / long) * half]
    sides[0].push({ x: point.x + dx, y: point.y + dy })
    sides[1].unshift({ x: point.x - dx, y: point.y - dy })
  })
  return (
    'M' +
    [...sides[0], ...sides[1]]
      .map((point) => `${point.x.toFixed(3)} ${point.y.toFixed(3)}`)
      .join('L') +
    'Z'
  )
}
