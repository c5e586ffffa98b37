import type { Catalogue, Client } from '../../api/client'

export const ANKLE_WORDS: Record<Client['ankle'], string> = {
  STIFF: 'stiff',
  USUAL: 'usual',
  FREE: 'mobile',
}

/** Cautions in a few words; what still waits for a clinician says so. */
export function cautionWords(c: Client, known: Catalogue['cautions']): string {
  const words = c.cautions.map((x) => {
    const k = known.find((k) => k.id === x.caution)
    return `${k?.label ?? x.caution}${k?.asksClearance && !x.clearedBy ? ' (not cleared)' : ''}`
  })
  if (c.restrictions.length > 0)
    words.push(
      c.restrictions.length === 1
        ? 'a written restriction'
        : `${c.restrictions.length} written restrictions`,
    )
  return words.join(', ') || '–'
}
