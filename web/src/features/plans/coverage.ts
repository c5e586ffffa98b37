import type { Catalogue, Coverage, WeekItem } from '../../api/client'

/** The group of regions that an exercise gives most to: the colour of its sets. */
export function groupOf(item: WeekItem, catalogue: Catalogue): string {
  let best = 'shin'
  let most = -1
  for (const r of catalogue.regions) {
    const v = item.shares[r.id] ?? 0
    if (v > most) {
      most = v
      best = r.group
    }
  }
  return best
}

/** For the chart: effective sets beside what is asked, or beside what would be much where nothing is. */
export function covered(coverage: Coverage): Record<string, number> {
  const usual = Math.max(6, ...Object.values(coverage.targets))
  return Object.fromEntries(
    Object.entries(coverage.sets).map(([id, has]) => [
      id,
      Math.min(1, has / Math.max(1, coverage.targets[id] ?? usual)),
    ]),
  )
}
