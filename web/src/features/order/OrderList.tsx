import { scaleLinear } from 'd3-scale'
import { Fragment, useState } from 'react'
import type { ReactNode } from 'react'
import { Link, useLocation } from 'react-router'
import type { Entry, Order, Region, SchoolPlaces } from '../../api/client'
import { Button } from '../../ui/Button'
import { CandidateButton } from './CandidateButton'
import { ClientWarnings } from './ForClient'
import { Excluded, Hardly, Shortage } from './NotInOrder'
import { Strip } from './Strip'
import { allEntries } from './entries'
import { useAddress } from '../../ui/useAddress'

type Props = {
  order: Order
  regions: Region[]
  chosen?: string
  onChoose: (id: string) => void
  stale: boolean
  bySchool?: SchoolPlaces[]
  school?: string
  /** what opens under the chosen strip, where there is no room beside */
  under?: ReactNode
  /** strips that are shown before the coach asks for the others */
  most?: number
}

/** A change of place that is worth a mark. */
const MOVES = 3
/** Most that can be set point by point. */
const MOST_COMPARED = 4

/** The order as strips on one scale. What is about equal shares a band. */
export function OrderList({
  order,
  regions,
  chosen,
  onChoose,
  stale,
  bySchool = [],
  school = '',
  under = null,
  most = 25,
}: Props) {
  const [whole, setWhole] = useState(false)
  const [params, put] = useAddress()
  const compared = (params.get('with') ?? '').split('~').filter(Boolean)
  const setCompared = (ids: string[]) => put({ with: ids.join('~') })
  if (order.entries.length === 0)
    return <NothingRanked order={order} chosen={chosen} onChoose={onChoose} />
  const all = allEntries(order)
  const first = order.entries.find((entry) => entry.candidateId === order.firstPick?.candidateId)
  const top = Math.max(...order.entries.map((entry) => entry.high), 1)
  const scale = scaleLinear([0, top], [0, 100])
  const bands = [...new Set(order.entries.map((entry) => entry.band))]
  // the chosen one stays in sight where a new order puts it further down
  const shown = order.entries.filter((entry, k) => whole || k < most || isOf(entry, chosen))
  return (
    <div className={`flex min-h-0 flex-col ${stale ? 'opacity-60' : ''}`}>
      <ClientWarnings statements={order.statements} who="" />
      {first && order.firstPick && (
        <p
          id="first"
          tabIndex={-1}
          className="border-b border-ink pb-1.5"
          data-testid="first-pick"
          aria-live="polite"
        >
          <span className="font-serif text-lg font-semibold">First pick: {first.name}.</span>{' '}
          <span className="text-sm text-ink-2">
            {order.firstPick.decidedBy.map((fact) => fact.words).join(' ')}
          </span>
        </p>
      )}
      {order.notes.map(({ words }) => (
        <p key={words} className="border-b border-rule py-1 text-sm">
          {words}
        </p>
      ))}
      <Together order={order} onChoose={onChoose} />
      <CompareBar
        order={order}
        compared={compared.filter((id) => all.some((entry) => entry.candidateId === id))}
        onClear={() => setCompared([])}
      />
      <div className="relative min-h-0 flex-1 overflow-auto pr-1">
        <ol>
          {bands.map((band) => {
            const members = order.entries.filter((entry) => entry.band === band)
            const seen = members.filter((member) => shown.includes(member))
            if (seen.length === 0) return null
            return (
              <Fragment key={band}>
                <li className="flex items-center gap-2 pt-1.5 text-xs text-ink-2" aria-hidden>
                  <span className="shrink-0">
                    {members.length > 1
                      ? `${members.length} about equal`
                      : band === bands[0]
                        ? 'clear first'
                        : 'by itself'}
                  </span>
                  <span className="h-px flex-1 bg-rule" />
                </li>
                {seen.map((entry) => (
                  <li key={entry.candidateId} className="relative border-b border-rule/60 pb-1">
                    <Strip
                      entry={entry}
                      rank={order.entries.indexOf(entry) + 1}
                      regions={regions}
                      chosen={entry.candidateId === chosen}
                      onChoose={() => onChoose(entry.candidateId)}
                      at={(v) => Math.max(0, scale(v))}
                      marks={marks(
                        entry.exerciseId,
                        order.entries.indexOf(entry) + 1,
                        bySchool,
                        school,
                      )}
                    />
                    <label
                      className="absolute top-9 left-0 flex size-7 items-center justify-center"
                      title="compare"
                    >
                      <input
                        type="checkbox"
                        aria-label={`compare ${entry.name}`}
                        className="accent-[var(--accent-2)]"
                        checked={compared.includes(entry.candidateId)}
                        disabled={
                          !compared.includes(entry.candidateId) && compared.length >= MOST_COMPARED
                        }
                        onChange={(event) =>
                          setCompared(
                            event.target.checked
                              ? [...compared, entry.candidateId]
                              : compared.filter((id) => id !== entry.candidateId),
                          )
                        }
                      />
                    </label>
                    {isOf(entry, chosen) && <Under>{under}</Under>}
                    {entry.variants.length > 0 && (
                      <p className="flex flex-wrap gap-x-3 pl-[5.2rem] text-xs text-ink-2">
                        {entry.variants.map((variant) => (
                          <CandidateButton
                            key={variant.candidateId}
                            entry={variant}
                            chosen={chosen}
                            onChoose={onChoose}
                            before="or "
                          />
                        ))}
                      </p>
                    )}
                  </li>
                ))}
              </Fragment>
            )
          })}
        </ol>
        {shown.length < order.entries.length && (
          <Button className="my-2" onClick={() => setWhole(true)}>
            Show all {order.entries.length}
          </Button>
        )}
        <Hardly entries={order.hardly} chosen={chosen} onChoose={onChoose} />
        {order.hardly.some((entry) => isOf(entry, chosen)) && <Under>{under}</Under>}
        <Excluded order={order} />
      </div>
    </div>
  )
}

/** Whether the chosen one is this exercise, in one of its set-ups. */
const isOf = (entry: Entry, chosen: string | undefined): boolean =>
  [entry, ...entry.variants].some((otherEntry) => otherEntry.candidateId === chosen)

function Under({ children }: { children: ReactNode }) {
  return children ? <div className="border-l-2 border-accent pl-3">{children}</div> : null
}

/** By which other schools it stands elsewhere. */
function marks(id: string, rank: number, bySchool: SchoolPlaces[], school: string): string[] {
  return bySchool
    .filter(
      (places) =>
        places.school !== school &&
        places.places[id] !== undefined &&
        Math.abs(places.places[id] - rank) >= MOVES,
    )
    .map((places) => `${places.label} ${places.places[id]}`)
}

/** The best few together, and for a beginner the order to learn in. */
function Together({ order, onChoose }: { order: Order; onChoose: (id: string) => void }) {
  const name = (id: string) =>
    allEntries(order).find((entry) => entry.candidateId === id)?.name ?? id
  if (order.together.length === 0) return null
  return (
    <details className="border-b border-rule py-1 text-sm">
      <summary data-testid="together">
        {order.learning.length > 0
          ? 'The order to learn in, and the best together'
          : `Best two together: ${order.together[0]!.candidateIds.map(name).join(' and ')}`}
      </summary>
      {order.learning.length > 0 && (
        <p className="mt-1">
          Learn in this order: {order.learning.map(name).join(', then ')}.{' '}
          <span className="text-ink-2">
            From the easiest to the hardest of what serves the target, one of each kind.
          </span>
        </p>
      )}
      {order.together.map((together) => (
        <div key={together.candidateIds.length} className="mt-1">
          <b className="font-medium">
            {together.candidateIds.length === 2 ? 'Two' : 'Three'} together
          </b>{' '}
          <span className="text-ink-2">
            cover {Math.round(100 * together.coverage)} % of what the target asks, each joint and
            length
          </span>
          <ul>
            {together.members.map(({ words }, k) => (
              <li key={words}>
                <button
                  type="button"
                  className="text-left hover:underline"
                  onClick={() => onChoose(together.candidateIds[k]!)}
                >
                  {words}
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </details>
  )
}

/** Instead of an order in which nothing has a place. */
function NothingRanked({ order, chosen, onChoose }: Pick<Props, 'order' | 'chosen' | 'onChoose'>) {
  return (
    <div>
      <ClientWarnings statements={order.statements} who="" />
      {order.shortage ? (
        <Shortage shortage={order.shortage} />
      ) : (
        <p className="py-3">Nothing here is left for this target.</p>
      )}
      <Hardly entries={order.hardly} chosen={chosen} onChoose={onChoose} />
      <Excluded order={order} />
    </div>
  )
}

function CompareBar({
  order,
  compared,
  onClear,
}: {
  order: Order
  compared: string[]
  onClear: () => void
}) {
  const { search } = useLocation()
  if (compared.length === 0) return null
  const params = new URLSearchParams(search)
  params.set('with', compared.join('~'))
  return (
    <p className="flex items-center gap-3 border-b border-ink py-1 text-sm" aria-live="polite">
      {compared.length === 1 ? (
        `${allEntries(order).find((entry) => entry.candidateId === compared[0])!.name}: tick one to three more to compare.`
      ) : (
        <Link className="font-semibold text-accent-2 underline" to={`/compare?${params}`}>
          Compare these {compared.length} point by point
        </Link>
      )}
      <button type="button" className="ml-auto text-ink-2 hover:text-ink" onClick={onClear}>
        none
      </button>
    </p>
  )
}
