import type { Region } from '../../api/client'

/** The regions of a group by one word, when all of them are meant; otherwise one by one, by coach's name. */
export function regionWords(regions: Region[], ids: string[]): string {
  const wanted = new Set(ids)
  const words: string[] = []
  if (wanted.has('ERECTORS')) words.push('lower back')
  const groups = [...new Set(regions.map((r) => r.group))]
  for (const group of groups) {
    const members = regions.filter((r) => r.group === group)
    const chosen = members.filter((r) => wanted.has(r.id))
    if (members.length > 1 && chosen.length === members.length) words.push(`all ${group}`)
    else words.push(...chosen.map((r) => r.coachName.replace(/ \(.*\)/, '')))
  }
  return words.length === 0 ? 'nothing yet' : words.join(', ')
}
