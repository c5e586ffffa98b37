import type { Finding } from '../../api/client'

const FOUND: Record<Finding['direction'], string> = {
  MORE: 'more',
  LESS: 'less',
  ONLY: 'more; the other did not grow',
  ALIKE: 'no difference',
  NEITHER: 'neither grew',
}

/** What one study found, in one line; the caller names the study. */
export function FindingLine({ finding: finding }: { finding: Finding }) {
  const facts = [
    finding.how,
    finding.measure,
    finding.site !== 'whole' && `${finding.site} site`,
    finding.people && `${finding.people} people`,
    finding.weeks && `${finding.weeks} weeks`,
    finding.population,
  ]
    .filter(Boolean)
    .join(', ')
  const small = [
    finding.note,
    finding.caution,
    finding.memory === 'LOW' && 'remembered only roughly',
    finding.notUsed && `shown only: ${finding.notUsed}`,
  ]
    .filter(Boolean)
    .join('; ')
  return (
    <>
      {finding.conditionA} against {finding.conditionB}, {finding.region}:{' '}
      <b className="font-medium">{FOUND[finding.direction]}</b>
      {finding.resultA !== undefined &&
        finding.resultB !== undefined &&
        ` (${finding.resultA} against ${finding.resultB})`}
      .{' '}
      <span className="text-ink-2">
        {facts}. {small}
      </span>
    </>
  )
}
