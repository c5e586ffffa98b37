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
    .filter((change) => aimed.includes(change.regionId) || change.toldApart)
    .sort(
      (first, second) =>
        Number(aimed.includes(second.regionId)) - Number(aimed.includes(first.regionId)) ||
        Math.abs(second.to - second.from) - Math.abs(first.to - first.from),
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
        {rows.map((row) => (
          <tr key={row.regionId} className="border-b border-rule/60">
            <th
              scope="row"
              className={`py-0.5 text-left ${aimed.includes(row.regionId) ? 'font-semibold' : 'font-normal'}`}
            >
              {regions.find((region) => region.id === row.regionId)?.coachName}
            </th>
            <td className="pl-2 text-right">{row.from.toFixed(2)}</td>
            <td className="pl-2 text-right">{row.to.toFixed(2)}</td>
            <td className={`pl-2 ${row.toldApart ? 'font-semibold' : 'text-ink-2'}`}>
              {!row.toldApart
                ? 'cannot be told'
                : row.from < 0.05
                  ? 'new'
                  : `${row.to > row.from ? '+' : '−'}${Math.abs(Math.round(100 * (row.to / row.from - 1)))} %`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
