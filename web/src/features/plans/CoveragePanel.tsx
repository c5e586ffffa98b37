import { useState } from 'react'
import type { Catalogue, Week } from '../../api/client'
import { useShortfall } from '../../api/queries'
import { Fingerprint } from '../../chart/limb/LimbChart'
import { GROUPS } from '../../chart/limb/Hatch'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import type { Edit } from './usePlanEdits'
import { trim } from '../../quantity/number'

/** What the week brings beside what it should: on the limb chart and as a table, while it is edited. */
export function CoveragePanel({
  week,
  catalogue,
  edit,
}: {
  week: Week
  catalogue: Catalogue
  edit: Edit
}) {
  const coverage = week.coverage
  const [all, setAll] = useState(false)
  const rows = catalogue.regions.filter(
    (region) =>
      coverage.targets[region.id] !== undefined || (all && (coverage.sets[region.id] ?? 0) > 0.05),
  )
  const most = Math.max(
    1,
    ...rows.map((row) => Math.max(coverage.sets[row.id] ?? 0, coverage.targets[row.id] ?? 0)),
  )
  const asks = (id: string, by: number, name: string) =>
    edit(`${name}: ${by > 0 ? 'a set more' : 'a set less'} asked`, (planDocument) => ({
      ...planDocument,
      targets: {
        ...planDocument.targets,
        [id]: Math.max(0, Math.min(30, Math.round(coverage.targets[id] ?? 0) + by)),
      },
    }))
  return (
    <section aria-label="Coverage" className="flex min-h-0 flex-col gap-2 overflow-auto">
      <div className="flex gap-3">
        <Fingerprint
          regions={catalogue.regions}
          amount={coverage.filled}
          label="Coverage of the week on the limb chart"
          className="h-48 shrink-0"
        />
        <p className="text-xs leading-snug text-ink-2">
          Effective sets a week: a set counts by what it gives a region beside the best here. Denser
          is nearer to what is asked.
          {coverage.balance && (
            <span className="mt-1 block">
              Thigh: front {trim(coverage.front, 1)}, back {trim(coverage.back, 1)}.
            </span>
          )}
        </p>
      </div>
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left text-xs text-ink-2">
            <th className="font-normal">region</th>
            <th className="w-24 font-normal" aria-hidden />
            <th className="text-right font-normal">sets</th>
            <th className="text-right font-normal">asked</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <RegionRow
              key={row.id}
              region={row}
              coverage={coverage}
              most={most}
              onAsk={(by) => asks(row.id, by, row.coachName)}
            />
          ))}
          {coverage.functions.map((otherFunction) => (
            <tr
              key={otherFunction.label}
              className="border-b border-rule/60 text-ink-2"
              title={otherFunction.examples}
            >
              <th scope="row" colSpan={2} className="py-0.5 text-left font-normal">
                {otherFunction.label}
              </th>
              <td
                className={`text-right ${otherFunction.has < otherFunction.asked - 0.25 ? 'font-semibold text-warn' : ''}`}
              >
                {trim(otherFunction.has, 1)}
              </td>
              <td className="pr-5 text-right">{trim(otherFunction.asked, 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button look="bare" className="!min-h-6 self-start !p-0" onClick={() => setAll(!all)}>
        {all ? 'Only what is asked' : 'All regions'}
      </Button>
      {coverage.findings.length > 0 && (
        <ul className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm">
          {coverage.findings.map(({ words }) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <WhyShort week={week} />
    </section>
  )
}

/** What a region gets of what is asked, and one set more or less of it. */
function RegionRow({
  region,
  coverage,
  most,
  onAsk,
}: {
  region: Catalogue['regions'][number]
  coverage: Week['coverage']
  most: number
  onAsk: (by: number) => void
}) {
  const has = coverage.sets[region.id] ?? 0
  const asked = coverage.targets[region.id]
  const short = asked !== undefined && has < asked - 0.25
  return (
    <tr data-coverage={region.id} className="border-b border-rule/60">
      <th scope="row" className="py-0.5 pr-1 text-left font-normal">
        {region.coachName}
        {coverage.held.includes(region.id) && (
          <span className="text-xs text-ink-2"> maintained</span>
        )}
      </th>
      <td>
        <svg aria-hidden viewBox="0 0 100 10" preserveAspectRatio="none" className="h-2.5 w-full">
          <rect
            x={0}
            y={2}
            width={(100 * has) / most}
            height={6}
            fill={GROUPS[region.group]?.colour}
            opacity={0.75}
          />
          {asked !== undefined && (
            <line
              x1={(100 * asked) / most}
              x2={(100 * asked) / most}
              y1={0}
              y2={10}
              stroke="var(--ink)"
              strokeWidth={1.6}
              vectorEffect="non-scaling-stroke"
            />
          )}
        </svg>
      </td>
      <td className={`pl-1 text-right ${short ? 'font-semibold text-warn' : ''}`}>
        {trim(has, 1)}
      </td>
      <td className="text-right whitespace-nowrap">
        {asked !== undefined ? (
          <>
            <button
              type="button"
              aria-label={`A set less asked of ${region.coachName}`}
              className="px-1 text-ink-2 hover:text-ink"
              onClick={() => onAsk(-1)}
            >
              −
            </button>
            {trim(asked, 1)}
            <button
              type="button"
              aria-label={`A set more asked of ${region.coachName}`}
              className="px-1 text-ink-2 hover:text-ink"
              onClick={() => onAsk(1)}
            >
              +
            </button>
          </>
        ) : (
          '–'
        )}
      </td>
    </tr>
  )
}

/** Why the week falls short and what would help, when the coach asks. */
function WhyShort({ week }: { week: Week }) {
  const [asked, setAsked] = useState<number | null>(null)
  const why = useShortfall(week.id, week.version, asked === week.version)
  const short = Object.entries(week.coverage.targets).some(
    ([id, t]) => (week.coverage.sets[id] ?? 0) < t - 0.25,
  )
  if (!short) return null
  if (asked !== week.version)
    return (
      <Button className="self-start" onClick={() => setAsked(week.version)}>
        Why short, and what would help?
      </Button>
    )
  if (why.isError) return <Trouble error={why.error} retry={() => void why.refetch()} />
  if (!why.data)
    return (
      <p role="status" className="text-sm text-ink-2">
        Trying ways, some seconds …
      </p>
    )
  return (
    <div role="status" className="text-sm">
      {why.data.map((s) => (
        <div key={s.region}>
          <p className="font-semibold">{s.reason.words}</p>
          <ul className="list-disc pl-5">
            {s.ways.map((way) => (
              <li key={way.words}>{way.words}</li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  )
}
