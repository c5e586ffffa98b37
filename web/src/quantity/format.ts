import { momentOf } from './day'
import { KG_PER_LB, M_PER_INCH, NEWTONS_PER_KG, length, lengthUnit, mass, massUnit } from './units'
import { trim } from './number'

/** Stored in SI, shown in the coach's units. */

export type Quantity = { label: string; unit: string; choices: string[] }

/** A set-up value in the coach's units: lengths in theirs, whole degrees, a word for a choice. */
export function setupValue(parameter: Quantity, value: number): string {
  if (parameter.choices.length > 0) return parameter.choices[Math.round(value)] ?? String(value)
  switch (parameter.unit) {
    case 'm':
      return lengthWords(value)
    case 'deg':
      return `${Math.round(value)}°`
    case 'kg':
      return massWords(value)
    default:
      return `${Math.round(100 * value)} %`
  }
}

/** A length with its unit. */
export const lengthWords = (metres: number): string =>
  `${length(metres, lengthUnit())} ${lengthUnit()}`

/** A mass with its unit. */
export const massWords = (kg: number): string => `${mass(kg, massUnit())} ${massUnit()}`

/** Masses from the lower to the higher with their unit. */
export const massRange = (lowKg: number, highKg: number): string =>
  lowKg === highKg ? massWords(lowKg) : `${mass(lowKg, massUnit())} to ${massWords(highKg)}`

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
  const load = s.loadKg > 0 ? massWords(s.loadKg) : 'body weight'
  return `${load} × ${s.repetitions}, ${trim(s.reserve, 1)} in reserve`
}

/** A reading in the coach's units, with half a centimetre as the finest that a tape gives. */
export function readingValue(unit: string, value: number): string {
  return unit === 'm'
    ? lengthWords(value)
    : unit === 'deg'
      ? `${Math.round(value)}°`
      : massWords(value)
}

/** The coach's unit of a kind of reading, and how many of it make one stored. */
export function coachUnit(unit: string): { unit: string; perStored: number } {
  switch (unit) {
    case 'm':
      return lengthUnit() === 'cm'
        ? { unit: 'cm', perStored: 100 }
        : { unit: 'in', perStored: 1 / M_PER_INCH }
    case 'kg':
      return massUnit() === 'kg'
        ? { unit: 'kg', perStored: 1 }
        : { unit: 'lb', perStored: 1 / KG_PER_LB }
    default:
      return { unit: unit === 'deg' ? 'degrees' : unit, perStored: 1 }
  }
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

/** What a form begins with: a stored value in the coach's unit, as fine as it was typed. */
export const typedOf = (value: number, of: { unit: string; perStored: number }): string =>
  trim(value * of.perStored, of.unit === 'cm' ? 1 : 2)

/** A range that the server names as it stores it, in the unit that the coach typed in. */
export function faultIn(of: { unit: string; perStored: number }, fault?: string) {
  if (!fault?.includes(' is not within ') || of.perStored === 1) return fault
  const figures = fault.replace(/ (m|kg)$/, '')
  return `${figures.replace(/-?[\d.]+/g, (figure) => trim(Number(figure) * of.perStored, 1))} ${of.unit}`
}

/** What a hanging scale reads, and how many of it make a newton. */
export function scaleUnit(): { unit: string; perStored: number } {
  const { unit, perStored } = coachUnit('kg')
  return { unit, perStored: perStored / NEWTONS_PER_KG }
}
