import type { BenchSide, Region, Schemas } from '../../api/client'
import { LengthStrip, MomentStrip } from '../../chart/Strips'
import { Quiet } from '../../ui/Notice'
import { StripsTable } from './StripsTable'

/** Tension along the length of the aimed regions, the moments, and what gives out first. */
export function BenchStrips({
  start,
  now,
  moved,
  at,
  aim,
  aimed,
  regions,
}: {
  start: BenchSide
  now: BenchSide
  moved: boolean
  at: number
  aim: NonNullable<Schemas['BriefInput']['aim']>
  aimed: string[]
  regions: Region[]
}) {
  const k = Math.min(at, now.phases.length - 1)
  const strips = (
    aimed.length > 0
      ? [...aimed].sort((first, second) => aim[second]! - aim[first]!)
      : strongest(now)
  ).slice(0, 3)
  const nameOf = (id: string) => regions.find((region) => region.id === id)?.coachName ?? id
  const top = Math.max(
    1,
    ...strips.flatMap((id) => [
      ...(now.strips[id]?.tension ?? []),
      ...(start.strips[id]?.tension ?? []),
    ]),
  )
  return (
    <div role="group" tabIndex={0} aria-label="Strips" className="min-h-0 overflow-auto">
      {now.obstacle ? (
        <Quiet>No figures for a posture that cannot be taken.</Quiet>
      ) : (
        <>
          {strips.map((id) => (
            <LengthStrip
              key={id}
              title={nameOf(id)}
              now={now.strips[id]!}
              ghost={moved ? start.strips[id] : undefined}
              at={k}
              top={top}
            />
          ))}
          <MomentStrip
            moments={now.phases.map((phase) => phase.moments)}
            ghost={moved ? start.phases.map((phase) => phase.moments) : undefined}
            at={k}
            sticking={now.stickingPhase}
          />
          <StripsTable now={now} regions={strips.map((id) => ({ id, name: nameOf(id) }))} />
          <p className="mt-1 text-xs">
            <b>Gives out first:</b>{' '}
            {now.limiters
              .filter((limiter) => limiter.share >= 0.05)
              .slice(0, 3)
              .map((limiter) => `${limiter.name} ${Math.round(100 * limiter.share)} %`)
              .join(', ')}
          </p>
        </>
      )}
    </div>
  )
}

function strongest(side: BenchSide): string[] {
  return Object.entries(side.stimulus)
    .sort((first, second) => second[1] - first[1])
    .map(([id]) => id)
}
