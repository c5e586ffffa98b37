import { useState } from 'react'
import type { Region } from '../../api/client'
import { useRecordWeeks } from '../../api/queries'
import { GROUPS } from '../../chart/limb/Hatch'
import { day } from '../../quantity/format'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { trim } from '../../quantity/number'

const WEEKS = 10

/** Effective sets by region and week, beside what the newest aim asks. */
export function WeekSets({ clientId, regions }: { clientId: string; regions: Region[] }) {
  const weeks = useRecordWeeks(clientId, WEEKS)
  const [all, setAll] = useState(false)
  if (weeks.isError) return <Trouble error={weeks.error} retry={() => void weeks.refetch()} />
  if (!weeks.data) return <Waiting what="Counting effective sets" />
  const loaded = weeks.data
  const most = Math.max(
    1,
    ...loaded.weeks.flatMap((week) => Object.values(week.sets)),
    ...Object.values(loaded.asked),
  )
  const rows = regions.filter(
    (region) =>
      loaded.asked[region.id] !== undefined ||
      (all && loaded.weeks.some((week) => (week.sets[region.id] ?? 0) > 0.05)),
  )
  if (loaded.weeks.every((week) => Object.keys(week.sets).length === 0))
    return <Quiet>No sets in the last {WEEKS} weeks.</Quiet>
  return (
    <div
      role="group"
      aria-label="Effective sets a week"
      tabIndex={0}
      className="relative overflow-x-auto"
    >
      <table className="w-full text-sm">
        <caption className="border-b border-ink text-left">
          <b>Effective sets a week</b>{' '}
          <span className="text-ink-2">
            each set counted by what it gives the region beside the best
            {loaded.gymName ? ` at ${loaded.gymName}` : ' here'}; line: what the newest aim asks
          </span>
        </caption>
        <thead>
          <tr className="text-xs text-ink-2">
            <th scope="col">
              <span className="sr-only">region</span>
            </th>
            {loaded.weeks.map((week, k) => (
              <th key={week.monday} className="font-normal">
                {k === loaded.weeks.length - 1
                  ? 'this week'
                  : day(week.monday).replace(/^\w+,? /, '')}
              </th>
            ))}
            <th className="font-normal">asked</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id} className="border-b border-rule/60">
              <th scope="row" className="pr-2 text-left font-normal whitespace-nowrap">
                {row.coachName}
              </th>
              {loaded.weeks.map((week) => {
                const v = week.sets[row.id] ?? 0
                const asked = loaded.asked[row.id]
                return (
                  <td key={week.monday} className="px-0.5 text-center align-bottom">
                    <svg viewBox="0 0 30 26" className="mx-auto h-7 w-9" aria-hidden>
                      <rect
                        x={4}
                        width={22}
                        y={25 - (24 * v) / most}
                        height={(24 * v) / most}
                        fill={GROUPS[row.group]?.colour}
                        opacity={0.75}
                      />
                      {asked !== undefined && (
                        <line
                          x1={1}
                          x2={29}
                          y1={25 - (24 * asked) / most}
                          y2={25 - (24 * asked) / most}
                          stroke="var(--ink)"
                          strokeWidth={1}
                        />
                      )}
                    </svg>
                    <span className="block text-xs">{v > 0.05 ? trim(v, 1) : '–'}</span>
                  </td>
                )
              })}
              <td className="text-right">
                {loaded.asked[row.id] === undefined ? '' : trim(loaded.asked[row.id]!, 0)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <label className="flex items-center gap-1 py-1 text-xs text-ink-2">
        <input type="checkbox" checked={all} onChange={(event) => setAll(event.target.checked)} />{' '}
        regions that nothing is asked of, too
      </label>
      {loaded.unknown.length > 0 && (
        <p className="text-xs text-ink-2">
          Not counted, because not on offer there now: {loaded.unknown.join(', ')}.
        </p>
      )}
    </div>
  )
}
