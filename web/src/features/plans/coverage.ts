import type { Catalogue, WeekItem } from '../../api/client'

/** The group of regions that an exercise gives most to: the colour of its sets. */
export function groupOf(item: WeekItem, catalogue: Catalogue): string {
  let best = 'shin'
  let most = -1
  for (const region of catalogue.regions) {
    const v = item.shares[region.id] ?? 0
    if (v > most) {
      most = v
      best = region.group
    }
  }
  return best
}
