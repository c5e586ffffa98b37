import { momentOf } from './day'
/** Stored in SI, shown in the coach's units. */

export type Quantity = { label: string; unit: string; choices: string[] }

/** A set-up value in the coach's units: cm for lengths, whole degrees, a word for a choice. */
export function setupValue(parameter: Quantity, value: number): string {
  if (parameter.choices.length > 0) return parameter.choices[Math.round(value)] ?? String(value)
  switch (parameter.unit) {
    case 'm':
      return `${centimetres(value)} cm`
    case 'deg':
      return `${Math.round(value)}°`
    case 'kg':
      return `${trim(value, 1)} kg`
    default:
      return `${Math.round(100 * value)} %`
  }
}

/** Whole centimetres, or halves where the number has them. */
export function centimetres(metres: number): string {
  return trim(Math.round(metres * 200) / 2, 1)
}

export function trim(value: number, digits: number): string {
  return Number(value.toFixed(digits)).toString()
}

export function percent(share: number): string {
  return `${Math.round(100 * share)} %`
}

const MOMENT = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})

/** A day and a time here, of milliseconds. */
export const moment = (ms: number): string => MOMENT.format(ms)

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })

export function day(iso: string): string {
  return DAY.format(momentOf(iso))
}

export function setWords(s: { loadKg: number; repetitions: number; reserve: number }): string {
  const load = s.loadKg > 0 ? `${trim(s.loadKg, 2)} kg` : 'body weight'
  return `${load} × ${s.repetitions}, ${trim(s.reserve, 1)} in reserve`
}

/** A reading in the coach's units, with half a centimetre as the finest that a tape gives. */
export function readingValue(unit: string, value: number): string {
  return unit === 'm'
    ? `${centimetres(value)} cm`
    : unit === 'deg'
      ? `${Math.round(value)}°`
      : `${trim(value, 1)} kg`
}

/** The coach's unit of a kind of reading, and how many of it make one stored. */
export function coachUnit(unit: string): { unit: string; perStored: number } {
  return unit === 'm'
    ? { unit: 'cm', perStored: 100 }
    : { unit: unit === 'deg' ? 'degrees' : unit, perStored: 1 }
}

/** The coach's unit of a machine's value, and how many of it make one stored; ratios as per cent. */
export function detailUnit(unit: string): { unit: string; perStored: number } {
  return unit === ''
    ? { unit: '%', perStored: 100 }
    : unit === 'yes'
      ? { unit: '', perStored: 1 }
      : unit === 'deg'
        ? { unit: '°', perStored: 1 }
        : coachUnit(unit)
}
