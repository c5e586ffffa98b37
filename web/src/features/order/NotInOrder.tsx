import { Link, useLocation } from 'react-router'
import type { Entry, Order } from '../../api/client'
import { CandidateButton } from './CandidateButton'

const KIND: Partial<Record<Order['excluded'][number]['kind'], string>> = {
  PAIN: 'left out',
  CAUTION: 'left out',
  BODY: 'out of reach',
  PRESET: 'not for this occasion',
  NOT_COMPUTED: 'not computed well enough',
  BY_WORD: 'by word, not computed',
}

/** What is here and hardly trains the aim: it takes no place. */
export function Hardly({
  entries,
  chosen,
  onChoose,
}: {
  entries: Entry[]
  chosen?: string
  onChoose: (id: string) => void
}) {
  if (entries.length === 0) return null
  return (
    <details className="mt-3 text-sm" data-testid="hardly">
      <summary className="py-1">{entries.length} here that hardly train this</summary>
      <p className="flex flex-wrap gap-x-3 text-ink-2">
        {entries
          .flatMap((entry) => [entry, ...entry.variants])
          .map((entry) => (
            <CandidateButton
              key={entry.candidateId}
              entry={entry}
              chosen={chosen}
              onChoose={onChoose}
            />
          ))}
      </p>
    </details>
  )
}

/** Nothing here trains the aim: what would, and how it is done without a machine. */
export function Shortage({ shortage }: { shortage: NonNullable<Order['shortage']> }) {
  return (
    <div className="border-b border-ink py-2" data-testid="shortage">
      <p className="font-serif text-lg font-semibold">{shortage.fact.words}</p>
      {shortage.elsewhere.length > 1 && (
        <p className="text-sm text-ink-2">
          Also:{' '}
          {shortage.elsewhere
            .slice(1)
            .map((elsewhere) => `${elsewhere.name} (${elsewhere.needs.join(', ')})`)
            .join('; ')}
          .
        </p>
      )}
      {shortage.improvised.map((improvisation) => (
        <Improvised key={improvisation.title} way={improvisation} />
      ))}
    </div>
  )
}

type Reason = Order['excluded'][number]

/** Set-ups that follow one another and are out for the same reason are told in one line. */
function byReason(excluded: Reason[]): { first: Reason; names: string[] }[] {
  const lines: { first: Reason; names: string[] }[] = []
  for (const each of excluded) {
    const last = lines.at(-1)
    if (
      last &&
      each.kind !== 'BY_WORD' &&
      each.kind === last.first.kind &&
      each.reason.words === last.first.reason.words &&
      each.instead?.name === last.first.instead?.name
    )
      last.names.push(each.name)
    else lines.push({ first: each, names: [each.name] })
  }
  return lines
}

export function Excluded({ order }: { order: Order }) {
  const { search } = useLocation()
  const address = (candidateId: string) => {
    const params = new URLSearchParams(search)
    params.set('show', candidateId)
    return `/exercises/by-word?${params}`
  }
  if (order.excluded.length === 0) return null
  return (
    <details className="mt-3 mb-2 text-sm" open={order.entries.length === 0}>
      <summary className="py-1">{order.excluded.length} not in the order, and why</summary>
      <ul className="mt-1 space-y-1">
        {byReason(order.excluded).map(({ first: excluded, names }) => (
          <li key={excluded.candidateId}>
            <b className="font-medium">{names.join('; ')}</b>{' '}
            <span className="text-ink-2">
              — {KIND[excluded.kind] && `${KIND[excluded.kind]}: `}
              {excluded.reason.words}
            </span>
            {excluded.kind === 'BY_WORD' && (
              <>
                {' '}
                <Link className="text-accent-2 underline" to={address(excluded.candidateId)}>
                  Use it by word
                </Link>
              </>
            )}
            {excluded.improvised.map((improvisation) => (
              <Improvised key={improvisation.title} way={improvisation} />
            ))}
            {excluded.instead && (
              <span className="block pl-3 text-ink-2">
                Here instead: <b className="font-medium text-ink">{excluded.instead.name}</b>,{' '}
                {excluded.instead.lost}.
              </span>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}

/** How it is done without the equipment: common practice, not computed. */
export function Improvised({ way }: { way: Order['excluded'][number]['improvised'][number] }) {
  return (
    <details className="pl-3">
      <summary className="py-0.5">Without it: {way.title}</summary>
      <ol className="list-decimal pl-5">
        {way.setUp.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ol>
      <ul className="border-l-2 border-warn pl-2">
        {way.safety.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      <p className="text-xs text-ink-2">Common practice, in this client's centimetres.</p>
    </details>
  )
}
