export type PlatePairs = { kg: number; pairs: number }

/** "20 x 4, 2.5 x 2": heaviest first. */
export function plateWords(plates: PlatePairs[]): string {
  return [...plates].sort((a, b) => b.kg - a.kg).map((p) => `${p.kg} x ${p.pairs}`).join(', ')
}

/** The same read back; null when it cannot be read. Nothing written is no plates. A comma between figures is a decimal comma where no blank follows it. */
export function readPlates(text: string): PlatePairs[] | null {
  if (text.trim() === '') return []
  const plates: PlatePairs[] = []
  for (const part of text.split(/;|,(?!\d)|,\s+/)) {
    const found = /^\s*(\d+(?:[.,]\d+)?)\s*(?:kg)?\s*[x×*]\s*(\d+)\s*$/i.exec(part)
    if (!found) return null
    plates.push({ kg: Number(found[1]!.replace(',', '.')), pairs: Number(found[2]) })
  }
  return plates
}
