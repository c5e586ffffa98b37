import type { Entry } from '../../api/client'

/** Chooses a candidate that has no strip of its own. */
export function CandidateButton({
  entry,
  chosen,
  onChoose,
  before = '',
}: {
  entry: Entry
  chosen?: string
  onChoose: (id: string) => void
  before?: string
}) {
  const here = entry.candidateId === chosen
  return (
    <button
      type="button"
      data-candidate={entry.candidateId}
      aria-pressed={here}
      onClick={() => onChoose(entry.candidateId)}
      className={`min-h-6 text-left hover:text-ink ${here ? 'font-semibold text-ink underline decoration-accent' : ''}`}
    >
      {before}
      {entry.name}
    </button>
  )
}
