import { useSyncExternalStore } from 'react'
import { trim } from './number'

/** A pound, kg (exact by definition; the core says the same, see conformance.test.ts). */
export const KG_PER_LB = 0.45359237

/** An inch, m (exact by definition). */
export const M_PER_INCH = 0.0254

/** What a scale that reads kilograms says in newtons: standard gravity, m/s². */
export const NEWTONS_PER_KG = 9.80665

export type MassUnit = 'kg' | 'lb'
export type LengthUnit = 'cm' | 'in'

const MASS_KEY = 'istmo.mass-unit'
const LENGTH_KEY = 'istmo.length-unit'
const CHANGED = 'istmo:units'

function subscribe(listener: () => void): () => void {
  window.addEventListener(CHANGED, listener)
  window.addEventListener('storage', listener)
  return () => {
    window.removeEventListener(CHANGED, listener)
    window.removeEventListener('storage', listener)
  }
}

function choose(key: string, unit: string) {
  localStorage.setItem(key, unit)
  window.dispatchEvent(new Event(CHANGED))
}

/** In what loads and body weights are shown and typed on this device. */
export const massUnit = (): MassUnit => (localStorage.getItem(MASS_KEY) === 'lb' ? 'lb' : 'kg')

/** In what lengths are shown and typed on this device. */
export const lengthUnit = (): LengthUnit =>
  localStorage.getItem(LENGTH_KEY) === 'in' ? 'in' : 'cm'

/** Kilograms or pounds, kept on this device; every screen follows at once. */
export function useMassUnit(): [MassUnit, (unit: MassUnit) => void] {
  return [useSyncExternalStore(subscribe, massUnit), (unit) => choose(MASS_KEY, unit)]
}

/** Centimetres or inches, kept on this device; every screen follows at once. */
export function useLengthUnit(): [LengthUnit, (unit: LengthUnit) => void] {
  return [useSyncExternalStore(subscribe, lengthUnit), (unit) => choose(LENGTH_KEY, unit)]
}

/** Both units in one word, which changes with either. */
export function useUnits(): string {
  const [mass] = useMassUnit()
  const [length] = useLengthUnit()
  return `${mass} ${length}`
}

/** A mass without its unit: kilograms to ten grams, pounds to the half. */
export function mass(kg: number, unit: MassUnit): string {
  return unit === 'kg' ? trim(kg, 2) : trim(Math.round((2 * kg) / KG_PER_LB) / 2, 1)
}

/** A length without its unit: centimetres to the half, inches to the tenth. */
export function length(metres: number, unit: LengthUnit): string {
  return unit === 'cm' ? trim(Math.round(metres * 200) / 2, 1) : trim(metres / M_PER_INCH, 1)
}

/** A figure, or a range of two, that the core has bound to its unit by no-break spaces. */
const BOUND = /(\d+(?:\.\d+)?)(?:\u00a0to\u00a0(\d+(?:\.\d+)?))?\u00a0(kg|cm)\b/g

/** A sentence of the core in the units of this device. What a coach has typed stays as it was. */
export function inUnits(sentence: string): string {
  if (massUnit() === 'kg' && lengthUnit() === 'cm') return sentence
  return sentence.replace(BOUND, (_, from: string, to: string | undefined, unit: 'kg' | 'cm') => {
    const said = (figure: string) =>
      unit === 'kg' ? mass(Number(figure), massUnit()) : length(Number(figure) / 100, lengthUnit())
    const figures = to === undefined ? said(from) : `${said(from)}\u00a0to\u00a0${said(to)}`
    return `${figures}\u00a0${unit === 'kg' ? massUnit() : lengthUnit()}`
  })
}

/** The same of every sentence in what the server has answered. */
export function allInUnits<T>(told: T): T {
  if (massUnit() === 'kg' && lengthUnit() === 'cm') return told
  return everyText(told) as T
}

function everyText(told: unknown): unknown {
  if (typeof told === 'string') return inUnits(told)
  if (Array.isArray(told)) return told.map(everyText)
  if (typeof told === 'object' && told !== null)
    return Object.fromEntries(Object.entries(told).map(([key, value]) => [key, everyText(value)]))
  return told
}
