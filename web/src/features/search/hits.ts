import type { Hit } from '../../api/client'

export const KIND: Record<Hit['kind'], string> = {
  CLIENT: 'client',
  EXERCISE: 'exercise',
  BY_WORD: 'by word',
  SET_UP: 'set-up',
  MACHINE: 'equipment',
  GYM: 'gym',
  CLAIM: 'saying',
}

/** Where a hit leads, with the brief of the screen that asked. */
export function placeOf(hit: Pick<Hit, 'kind' | 'id' | 'name'>, brief: string): string {
  const with_ = (params: Record<string, string>) => {
    const uRLSearchParams = new URLSearchParams(brief)
    for (const [key, value] of Object.entries(params)) uRLSearchParams.set(key, value)
    return uRLSearchParams.toString()
  }
  switch (hit.kind) {
    case 'CLIENT':
      return `/clients/${hit.id}`
    case 'EXERCISE':
    case 'SET_UP':
      return `/bench?${with_({ candidate: hit.id })}`
    case 'BY_WORD':
      return `/exercises/by-word?${with_({ show: hit.id })}`
    case 'MACHINE':
      return '/gyms'
    case 'GYM':
      return `/gyms/${hit.id}`
    case 'CLAIM':
      return `/claims?${with_({ claim: hit.id, words: hit.name })}`
  }
}
