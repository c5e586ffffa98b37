import type { Region } from '../../api/client'

/** A whole group; one that is a single muscle goes without "all". */
export function groupWord(regions: Region[], group: string): string {
  const word = group.replace('-', ' ')
  return regions.filter((region) => region.group === group).length > 1 ? `all ${word}` : word
}

/** The regions of a group by one word, when all of them are meant; otherwise one by one, by coach's name. */
export function regionWords(regions: Region[], ids: string[]): string {
  const wanted = new Set(ids)
  const words: string[] = []
  const groups = [...new Set(regions.map((region) => region.group))]
  for (const group of groups) {
    const members = regions.filter((region) => region.group === group)
    const chosen = members.filter((member) => wanted.has(member.id))
    if (members.length > 1 && chosen.length === members.length)
      words.push(groupWord(regions, group))
    else words.push(...chosen.map((region) => region.coachName.replace(/ \(.*\)/, '')))
  }
  return words.length === 0 ? 'nothing yet' : words.join(', ')
}
