/** How often marks are looked for, a second: a squat moves a few centimetres in between. */
export const STEP_S = 1 / 15

/** The moments to look at from where the marks were set: on to the end, then back to the start. */
export function moments(fromS: number, lengthS: number): { on: number[]; back: number[] } {
  const steps = (spanS: number) => Array.from({ length: Math.floor(spanS / STEP_S + 1e-6) })
  const on = steps(lengthS - fromS).map((_, k) => Math.min(lengthS, fromS + (k + 1) * STEP_S))
  const back = steps(fromS).map((_, k) => Math.max(0, fromS - (k + 1) * STEP_S))
  return { on, back }
}

/** A list in parts of so many. */
export const chunks = <One>(list: One[], length: number): One[][] =>
  Array.from({ length: Math.ceil(list.length / length) }, (_, k) =>
    list.slice(k * length, (k + 1) * length),
  )

/** Followed points of a smaller picture in the pixels of the whole one; what was lost is missing. */
export function enlarged<Name extends string>(
  names: Name[],
  points: ([number, number] | null)[],
  scale: number,
): { landmark: Name; xPx: number; yPx: number }[] {
  return names.flatMap((landmark, k) => {
    const point = points[k]
    return point ? [{ landmark, xPx: round(point[0] / scale), yPx: round(point[1] / scale) }] : []
  })
}

const round = (px: number) => Math.round(10 * px) / 10
