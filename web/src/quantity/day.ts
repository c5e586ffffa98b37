/** A day of the calendar, without a time and without a place, as the API writes it: 2026-11-29. */
export type Day = string

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/

/**
 * The moment that stands for a day or a moment of the API, for formatting and for drawing. A day is
 * its own noon here: a day that is read as midnight of Greenwich is the day before in the west.
 */
export function momentOf(text: Day): Date {
  const parts = DAY.exec(text)
  return parts
    ? new Date(Number(parts[1]), Number(parts[2]) - 1, Number(parts[3]), 12)
    : new Date(text)
}

/** The day that a moment falls on here. */
export function dayOf(moment: Date): Day {
  const two = (n: number) => String(n).padStart(2, '0')
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`
}

/** The coach's own day now. */
export function today(): Day {
  return dayOf(new Date())
}
