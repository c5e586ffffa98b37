import { trim } from './number'
import { KG_PER_LB, massUnit } from './units'
import type { MassUnit } from './units'

export type PlatePairs = { kg: number; pairs: number }

/** "20 x 4, 2.5 x 2": heaviest first, in the coach's unit; a plate made in the other one says so. */
export function plateWords(plates: PlatePairs[]): string {
  return [...plates]
    .sort((first, second) => second.kg - first.kg)
    .map((plate) => `${plateMass(plate.kg)} x ${plate.pairs}`)
    .join(', ')
}

const inUnit = (kg: number, unit: MassUnit) => (unit === 'kg' ? kg : kg / KG_PER_LB)

/** Whether a plate was made in a unit: it weighs a round number of it, to a quarter. */
function isMadeIn(kg: number, unit: MassUnit): boolean {
  const quarters = 4 * inUnit(kg, unit)
  return Math.abs(quarters - Math.round(quarters)) < 2e-3
}

function plateMass(kg: number): string {
  const own = massUnit()
  const other = own === 'kg' ? 'lb' : 'kg'
  if (isMadeIn(kg, own)) return trim(inUnit(kg, own), 2)
  if (isMadeIn(kg, other)) return `${trim(inUnit(kg, other), 2)} ${other}`
  return own === 'kg' ? String(kg) : `${kg} kg`
}

/** The same read back, in either unit ("45 lb x 4"); null when it cannot be read. Nothing written is no plates. A comma between figures is a decimal comma where no blank follows it. */
export function readPlates(text: string): PlatePairs[] | null {
  if (text.trim() === '') return []
  const plates: PlatePairs[] = []
  for (const part of text.split(/;|,(?!\d)|,\s+/)) {
    const found = /^\s*(\d+(?:[.,]\d+)?)\s*(kg|lb)?\s*[x×*]\s*(\d+)\s*$/i.exec(part)
    if (!found) return null
    const mass = Number(found[1]!.replace(',', '.'))
    plates.push({
      kg:
        (found[2]?.toLowerCase() ?? massUnit()) === 'lb'
          ? Number((mass * KG_PER_LB).toFixed(4))
          : mass,
      pairs: Number(found[3]),
    })
  }
  return plates
}
