import type { Load } from '../../api/client'
import { massRange } from '../../quantity/format'

/** What to ask or to know about this client, and why an exercise is left out for them, if it is. */
export function ClientWarnings({
  refusal,
  statements,
  who,
}: {
  refusal?: string
  statements: string[]
  who: string
}) {
  if (!refusal && statements.length === 0) return null
  return (
    <div
      className="my-1 max-h-32 overflow-auto border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
      data-testid="cautions"
      role="group"
      aria-label="Cautions"
      tabIndex={0}
    >
      {refusal && (
        <p role="alert" data-testid="refusal">
          <b>Left out for {who}:</b> {refusal}
        </p>
      )}
      {statements.map((statement) => (
        <p key={statement}>{statement}</p>
      ))}
    </div>
  )
}

/** A first load in the coach's words. */
export function LoadWords({ load }: { load: Load }) {
  const { lowKg, highKg } = load
  return (
    <p className="text-sm" data-testid="load">
      <b>First load:</b>{' '}
      {highKg === 0 ? (
        <>nothing added, for {load.repetitions}, two in reserve.</>
      ) : (
        <>
          {massRange(lowKg, highKg)} for {load.repetitions}, two in reserve; begin at the low end.
        </>
      )}{' '}
      <span className="text-ink-2">({load.basis})</span>
    </p>
  )
}
