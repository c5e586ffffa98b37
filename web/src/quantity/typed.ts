import { z } from 'zod/mini'
import { coachUnit, typedOf } from './format'

/** A number as a coach types it, with a point or a comma; an empty box is no number. */
export function readNumber(text: string): number | undefined {
  return text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'))
}

/** Reads a box for a number. What a number may be is the server's to say, not ours. */
export const typedNumber = z.pipe(
  z.string(),
  z.transform((text: string, context) => {
    const number = readNumber(text)
    if (number === undefined || Number.isFinite(number)) return number
    context.issues.push({
      code: 'custom',
      message: `“${text.trim()}” is not a number`,
      input: text,
    })
    return z.NEVER
  }),
)

/** Reads a box for a day; an empty box is no day. */
export const typedDay = z.pipe(
  z.string(),
  z.transform((text: string) => text || undefined),
)

/** What is stored of a number in the coach's unit, of which so many make one stored; no number stays none. */
export function stored(number: number | undefined, perStored: number): number | undefined {
  return number === undefined ? undefined : number / perStored
}

/** The same of a value that was there before: what still says what it began with stays, to the last digit. */
export function storedOr(
  before: number | undefined,
  number: number | undefined,
  of: { unit: string; perStored: number },
): number | undefined {
  return before !== undefined && number === readNumber(typedOf(before, of))
    ? before
    : stored(number, of.perStored)
}

/** Reads a box in the coach's unit of a mass ("kg") or a length ("m") as it is stored. */
export const typedIn = (unit: 'kg' | 'm', before?: number) =>
  z.pipe(
    typedNumber,
    z.transform((number: number | undefined) => storedOr(before, number, coachUnit(unit))),
  )

/** What was chosen on the screen and can be nothing else; it is sent as it is. */
export const chosen = <T>() => z.custom<T>((value) => value !== undefined)
