import { KG_PER_LB } from './units'

export type PlatePairs = { kg: number; pairs: number }

/** "20 x 4, 2.5 x 2": heaviest first. */
export function plateWords(plates: PlatePairs[]): string {
  return [...plates]
    .sort((first, second) => second.kg - first.kg)
    .map((plate) => `${plate.kg} x ${plate.pairs}`)
    .join(', ')
}

/** The same read back, pounds too ("45 lb x 4"); null when it cannot be read. Nothing written is no plates. A comma between figures is a decimal comma where no blank follows it. */
export function readPlates(text: string): PlatePairs[] | null {
  if (text.trim() === '') return []
  const plates: PlatePairs[] = []
  for (const part of text.split(/;|,(?!\d)|,\s+/)) {
    const found = /^\s*(\d+(?:[.,]\d+)?)\s*(kg|lb)?\s*[x×*]\s*(\d+)\s*$/i.exec(part)
    if (!found) return null
    const mass = Number(found[1]!.replace(',', '.'))
    plates.push({
      kg: found[2]?.toLowerCase() === 'lb' ? Number((mass * KG_PER_LB).toFixed(4)) : mass,
      pairs: Number(found[3]),
    })
  }
  return plates
}
