import type { Schemas } from '../../api/client'

type Comparison = Schemas['ComparisonView']

/** What studies and coaches say: of these exercises side by side, and of one of them. */
export function Told({ comparison }: { comparison: Pick<Comparison, 'studies' | 'members'> }) {
  const { studies, members } = comparison
  const between = studies.filter((study) => study.betweenThem)
  const others = studies.filter((study) => !study.betweenThem)
  return (
    <div>
      <h2 className="border-b border-ink text-lg">Studies and common practice</h2>
      {between.length === 0 && (
        <p className="mt-1 text-sm text-ink-2">
          None sets {members.length === 2 ? 'these two' : 'two of these'} side by side
          {others.length > 0 ? '.' : ': mechanics only.'}
        </p>
      )}
      {between.length > 0 && <Findings of={between} />}
      {others.length > 0 && (
        <>
          <h3 className="mt-2 text-sm font-medium">About one of them, or about the same muscles</h3>
          <Findings of={others} />
        </>
      )}
    </div>
  )
}

function Findings({ of }: { of: Comparison['studies'] }) {
  return (
    <ul className="mt-1 space-y-1 text-sm leading-snug">
      {of.map((study) => (
        <li key={study.findingId}>
          <b className="font-medium">{study.citation}</b>: {study.conditions}, {study.region}:{' '}
          {study.found}.
        </li>
      ))}
    </ul>
  )
}
