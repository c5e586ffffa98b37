import type { Finding } from '../../api/client'

const FOUND: Record<Finding['direction'], string> = {
  MORE: 'more',
  LESS: 'less',
  ALIKE: 'no difference',
  NEITHER: 'neither grew',
}

/** What one study found, in one line; the caller names the study. */
export function FindingLine({ finding: f }: { finding: Finding }) {
  const facts = [
    f.how,
    f.measure,
    f.site !== 'whole' && `${f.site} site`,
    f.people && `${f.people} people`,
    f.weeks && `${f.weeks} weeks`,
    f.population,
  ]
    .filter(Boolean)
    .join(', ')
  const small = [
    f.note,
    f.caution,
    f.memory === 'LOW' && 'remembered only roughly',
    f.notUsed && `shown only: ${f.notUsed}`,
  ]
    .filter(Boolean)
    .join('; ')
  return (
    <>
      {f.conditionA} against {f.conditionB}, {f.region}:{' '}
      <b className="font-medium">{FOUND[f.direction]}</b>
      {f.resultA !== undefined && f.resultB !== undefined && ` (${f.resultA} against ${f.resultB})`}
      .{' '}
      <span className="text-ink-2">
        {facts}. {small}
      </span>
    </>
  )
}
