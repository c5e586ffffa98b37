import type { Catalogue, Client } from '../../api/client'

export const ANKLE_WORDS: Record<Client['ankle'], string> = {
  STIFF: 'stiff',
  USUAL: 'usual',
  FREE: 'mobile',
}

/** Cautions in a few words; what still waits for a clinician says so. */
export function cautionWords(client: Client, known: Catalogue['cautions']): string {
  const words = client.cautions.map((caution) => {
    const listed = known.find((k) => k.id === caution.caution)
    return `${listed?.label ?? caution.caution}${listed?.asksClearance && !caution.clearedBy ? ' (not cleared)' : ''}`
  })
  if (client.restrictions.length > 0)
    words.push(
      client.restrictions.length === 1
        ? 'a written restriction'
        : `${client.restrictions.length} written restrictions`,
    )
  return words.join(', ') || '–'
}
