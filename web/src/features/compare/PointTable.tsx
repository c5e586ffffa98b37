import type { CSSProperties } from 'react'
import type { Region, Schemas } from '../../api/client'
import { IntervalBar } from '../../chart/IntervalBar'
import { Fingerprint } from '../../chart/limb/LimbChart'
import { LengthStrip, MomentStrip } from '../../chart/Strips'
import { massRange } from '../../quantity/format'
import { COLUMNS, columnsOf } from './columns'

type Comparison = Schemas['ComparisonView']

/** Every point of two to four exercises: a row each, a column for each exercise. */
export function PointTable({
  comparison,
  regions,
  aimed,
  at,
}: {
  comparison: Comparison
  regions: Region[]
  aimed: string[]
  at: number
}) {
  const { members, computed } = comparison
  const value = (region: string, member: number) =>
    comparison.regions.find((points) => points.regionId === region)?.members[
      computed.indexOf(member)
    ]
  const top = Math.max(
    0.5,
    ...comparison.regions.flatMap((region) => region.members.map((member) => member.high)),
  )
  const regionName = (id: string) => regions.find((region) => region.id === id)?.coachName ?? id
  const stripTop = Math.max(
    0.2,
    ...members.flatMap((member) => aimed.flatMap((id) => member.strips[id]?.tension ?? [])),
  )
  const columns = columnsOf(members.length)
  const rest = comparison.regions.filter(
    (region) =>
      !aimed.includes(region.regionId) && region.members.some((member) => member.value > 0.1),
  )
  return (
    <div role="table" aria-label="Point by point" className="text-sm">
      <div role="row" className={`items-end border-b border-ink py-1 ${COLUMNS}`} style={columns}>
        <span role="columnheader" className="sr-only">
          Point
        </span>
        <span aria-hidden className="hidden sm:block" />
        {members.map((member, k) => (
          <span role="columnheader" key={k} className="flex flex-wrap items-end gap-2">
            <Fingerprint
              regions={regions}
              amount={member.stimulus}
              className="h-16 w-12 shrink-0"
            />
            <b className="font-serif text-base leading-tight">{member.name}</b>
          </span>
        ))}
      </div>
      {aimed.map((id) => (
        <Row key={id} label={regionName(id)} columns={columns}>
          {members.map((_, k) => (
            <Bar key={k} point={value(id, k)} top={top} />
          ))}
        </Row>
      ))}
      {aimed.slice(0, 3).map((id) => (
        <Row key={`strip${id}`} label={`${regionName(id)}: tension by length`} columns={columns}>
          {members.map((member, k) => (
            <span key={k} className="block max-w-64">
              {member.strips[id] ? (
                <LengthStrip title="" now={member.strips[id]} at={at} top={stripTop} />
              ) : (
                '–'
              )}
            </span>
          ))}
        </Row>
      ))}
      <EffortRows comparison={comparison} columns={columns} at={at} />
      {rest.map((points) => (
        <Row key={points.regionId} label={regionName(points.regionId)} columns={columns} quiet>
          {members.map((_, k) => (
            <Bar key={k} point={value(points.regionId, k)} top={top} />
          ))}
        </Row>
      ))}
      <PracticalRows comparison={comparison} columns={columns} />
      <Row label="For this client" columns={columns} quiet>
        {members.map((member, k) => (
          <span key={k}>
            {[
              ...(member.refusal ? [member.refusal] : []),
              ...[...member.cautions, ...member.changes, ...member.notes].map((fact) => fact.words),
            ].join(' ') || 'as usual'}
          </span>
        ))}
      </Row>
    </div>
  )
}

/** The joint moments, what gives out first, and how many repetitions are compared. */
function EffortRows({
  comparison,
  columns,
  at,
}: {
  comparison: Comparison
  columns: CSSProperties
  at: number
}) {
  const { members, computed } = comparison
  return (
    <>
      <Row label="Moments" columns={columns}>
        {members.map((member, k) =>
          member.obstacle || member.phases.length === 0 ? (
            <span key={k}>–</span>
          ) : (
            <span key={k} className="block max-w-64">
              <MomentStrip
                moments={member.phases.map((phase) => phase.moments)}
                at={at}
                {...(member.stickingPhase !== undefined ? { sticking: member.stickingPhase } : {})}
              />
            </span>
          ),
        )}
      </Row>
      <Row label="Gives out first" columns={columns}>
        {members.map((member, k) => (
          <span key={k}>
            {member.obstacle
              ? member.obstacle.reason
              : member.limiters
                  .slice(0, 3)
                  .map((limiter) => `${limiter.name} ${Math.round(100 * limiter.share)} %`)
                  .join(', ')}
          </span>
        ))}
      </Row>
      <Row label="Repetitions compared" columns={columns}>
        {members.map((member, k) => (
          <span key={k}>
            {computed.includes(k)
              ? `${comparison.repetitions[computed.indexOf(k)]!.toFixed(0)} to failure`
              : '–'}
            {member.load ? `, first load ${massRange(member.load.lowKg, member.load.highKg)}` : ''}
          </span>
        ))}
      </Row>
    </>
  )
}

/** What is practical about each: a figure of 100 and its reason. */
function PracticalRows({
  comparison,
  columns,
}: {
  comparison: Comparison
  columns: CSSProperties
}) {
  const { members, computed } = comparison
  return (
    <>
      {(comparison.practical[0] ?? []).map((practical, row) => (
        <Row key={practical.criterion} label={practical.label} columns={columns} quiet>
          {members.map((_, k) => {
            const judged = comparison.practical[computed.indexOf(k)]?.[row]
            return (
              <span key={k}>
                {judged ? (
                  <>
                    <b className="font-medium">{Math.round(100 * judged.value)}</b>{' '}
                    <span className="text-ink-2">{judged.reason.words}</span>
                  </>
                ) : (
                  '–'
                )}
              </span>
            )
          })}
        </Row>
      ))}
    </>
  )
}

/** A row: its label above its members on a narrow screen, before them on a wide one. */
function Row({
  label,
  columns,
  quiet = false,
  children,
}: {
  label: string
  columns: CSSProperties
  quiet?: boolean
  children: React.ReactNode[]
}) {
  return (
    <div
      role="row"
      className={`items-center border-b border-rule/60 py-1 break-inside-avoid ${COLUMNS}`}
      style={columns}
    >
      <span
        role="rowheader"
        className={`col-span-full sm:col-span-1 ${quiet ? 'text-ink-2' : 'font-medium'}`}
      >
        {label}
      </span>
      {children.map((c, k) => (
        <div role="cell" key={k} className="min-w-0">
          {c}
        </div>
      ))}
    </div>
  )
}

function Bar({ point, top }: { point?: Schemas['MemberPointView']; top: number }) {
  if (!point) return <span>–</span>
  const x = (v: number) => (100 * v) / top
  return (
    <span className="grid items-center gap-x-2 sm:grid-cols-[minmax(0,1fr)_9.5rem]">
      <IntervalBar low={x(point.low)} value={x(point.value)} high={x(point.high)} />
      <span className="text-xs">
        <b className="text-sm font-medium">{point.value.toFixed(2)}</b>{' '}
        <span className="text-ink-2">most: {Math.round(100 * point.chanceOfMost)} % likely</span>
      </span>
    </span>
  )
}
