import type { Region } from '../../api/client'

/** The regions of a group by one word, when all of them are meant; otherwise one by one, by coach's name. */
export function regionWords(regions: Region[], ids: string[]): string {
  const wanted = new Set(ids)
  const words: string[] = []
  if (wanted.has('ERECTORS')) words.push('lower back')
  const groups = [...new Set(regions.map((region) => region.group))]
  for (const group of groups) {
    const members = regions.filter((region) => region.group === group)
    const chosen = members.filter((member) => wanted.has(member.id))
    if (members.length > 1 && chosen.length === members.length) words.push(`all ${group}`)
    else words.push(...chosen.map((region) => region.coachName.replace(/ \(.*\)/, '')))
  }
  return words.length === 0 ? 'nothing yet' : words.join(', ')
}
