import type { Bench, Region } from '../../api/client'

/** What each region gets, before and after; what the model cannot tell apart is said so, not shown as a change. */
export function Changes({
  bench,
  regions,
  aimed,
  from,
  to,
}: {
  bench: Bench
  regions: Region[]
  aimed: string[]
  from: string
  to: string
}) {
  const rows = bench.changes
    .filter((c) => aimed.includes(c.regionId) || c.toldApart)
    .sort(
      (a, b) =>
        Number(aimed.includes(b.regionId)) - Number(aimed.includes(a.regionId)) ||
        Math.abs(b.to - b.from) - Math.abs(a.to - a.from),
    )
    .slice(0, 9)
  if (bench.changes.length === 0) return null
  return (
    <table className="w-full text-sm" data-testid="changes">
      <thead>
        <tr className="border-b border-ink text-left text-xs">
          <th scope="col" className="font-semibold">
            Region
          </th>
          <th scope="col" className="pl-2 text-right font-semibold">
            {from}
          </th>
          <th scope="col" className="pl-2 text-right font-semibold">
            {to}
          </th>
          <th scope="col" className="pl-2 font-semibold">
            change
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((c) => (
          <tr key={c.regionId} className="border-b border-rule/60">
            <th
              scope="row"
              className={`py-0.5 text-left ${aimed.includes(c.regionId) ? 'font-semibold' : 'font-normal'}`}
            >
              {regions.find((r) => r.id === c.regionId)?.coachName}
            </th>
            <td className="pl-2 text-right">{c.from.toFixed(2)}</td>
            <td className="pl-2 text-right">{c.to.toFixed(2)}</td>
            <td className={`pl-2 ${c.toldApart ? 'font-semibold' : 'text-ink-2'}`}>
              {!c.toldApart
                ? 'cannot be told'
                : c.from < 0.05
                  ? 'new'
                  : `${c.to > c.from ? '+' : '−'}${Math.abs(Math.round(100 * (c.to / c.from - 1)))} %`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
