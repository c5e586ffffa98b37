import { scaleLinear } from 'd3-scale'
import { Fragment } from 'react'
import type { Entry, Order, Region } from '../../api/client'
import { Fingerprint } from '../../chart/limb/LimbChart'
import { ClientWarnings } from './ForClient'

type Props = { order: Order; regions: Region[]; chosen?: string; onChoose: (id: string) => void; stale: boolean }

const KIND: Record<string, string> = { GYM: 'not in this gym', PAIN: 'left out', CAUTION: 'left out', BODY: 'out of reach', NOT_COMPUTED: 'not computed well enough' }

/** The order as strips on one scale. What cannot be told apart shares a band. */
export function OrderList({ order, regions, chosen, onChoose, stale }: Props) {
  if (order.entries.length === 0) {
    return (
      <div>
        <ClientWarnings statements={order.statements} who="" />
        <p className="py-3">Nothing here is left for this aim.</p>
        <Excluded order={order} />
      </div>
    )
  }
  const first = order.entries.find((e) => e.candidateId === order.firstPick?.candidateId)
  const top = Math.max(...order.entries.map((e) => e.high), 1)
  const scale = scaleLinear([0, top], [0, 100])
  const bands = [...new Set(order.entries.map((e) => e.band))]
  return (
    <div className={`flex min-h-0 flex-col ${stale ? 'opacity-60' : ''}`}>
      <ClientWarnings statements={order.statements} who="" />
      {first && order.firstPick && (
        <p className="border-b border-ink pb-1.5" data-testid="first-pick">
          <span className="font-serif text-lg font-semibold">First pick: {first.name}.</span> <span className="text-sm text-ink-2">{order.firstPick.decidedBy}</span>
        </p>
      )}
      <div className="relative min-h-0 flex-1 overflow-auto pr-1">
        <ol>
          {bands.map((band) => {
            const members = order.entries.filter((e) => e.band === band)
            return (
              <Fragment key={band}>
                <li className="flex items-center gap-2 pt-1.5 text-xs text-ink-2" aria-hidden>
                  <span className="shrink-0">{members.length > 1 ? `${members.length} that cannot be told apart` : 'stands alone'}</span>
                  <span className="h-px flex-1 bg-rule" />
                </li>
                {members.map((e) => (
                  <li key={e.candidateId}>
                    <Strip entry={e} rank={order.entries.indexOf(e) + 1} regions={regions} chosen={e.candidateId === chosen} onChoose={() => onChoose(e.candidateId)} at={(v) => Math.max(0, scale(v))} />
                  </li>
                ))}
              </Fragment>
            )
          })}
        </ol>
        <Excluded order={order} />
      </div>
    </div>
  )
}

function Strip({ entry, rank, regions, chosen, onChoose, at }: { entry: Entry; rank: number; regions: Region[]; chosen: boolean; onChoose: () => void; at: (v: number) => number }) {
  return (
    <button
      type="button"
      onClick={onChoose}
      aria-pressed={chosen}
      data-candidate={entry.candidateId}
      className={`grid w-full grid-cols-[1.4rem_2.9rem_minmax(0,1fr)] items-center sm:grid-cols-[1.4rem_2.9rem_minmax(0,1fr)_minmax(0,9.5rem)] gap-x-2 border-b border-rule/60 px-1 py-1 text-left hover:bg-paper-2 ${chosen ? 'bg-paper-2 shadow-[inset_3px_0_0_var(--accent)]' : ''}`}
    >
      <span className="text-right font-serif text-base text-ink-2">{rank}</span>
      <Fingerprint regions={regions} amount={entry.stimulus} className="h-14 w-11" />
      <span className="min-w-0">
        <span className="block font-medium sm:truncate">{entry.name}</span>
        <span className="block text-xs text-ink-2 sm:truncate">
          limited by {entry.limiter} · {entry.costs}
        </span>
      </span>
      <span className="col-start-3 sm:col-start-auto">
        <svg viewBox="0 0 100 14" preserveAspectRatio="none" className="h-3.5 w-full" aria-hidden>
          <line x1={0} x2={100} y1={7} y2={7} stroke="var(--rule)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
          <line x1={at(entry.low)} x2={at(entry.high)} y1={7} y2={7} stroke="var(--accent-2)" strokeWidth={3} vectorEffect="non-scaling-stroke" />
          <line x1={at(entry.utility)} x2={at(entry.utility)} y1={1} y2={13} stroke="var(--ink)" strokeWidth={2.5} vectorEffect="non-scaling-stroke" />
        </svg>
        <span className="flex justify-between text-xs text-ink-2">
          <span>
            <span className="sr-only">score </span>
            {Math.round(100 * entry.utility)}
          </span>
          <span>{entry.rankLow === entry.rankHigh ? `rank ${entry.rankLow}` : `rank ${entry.rankLow}–${entry.rankHigh}`}</span>
        </span>
      </span>
    </button>
  )
}

function Excluded({ order }: { order: Order }) {
  if (order.excluded.length === 0) return null
  return (
    <details className="mt-3 mb-2 text-sm" open={order.entries.length === 0}>
      <summary className="py-1">{order.excluded.length} not in the order, and why</summary>
      <ul className="mt-1 space-y-1">
        {order.excluded.map((x) => (
          <li key={x.candidateId}>
            <b className="font-medium">{x.name}</b> <span className="text-ink-2">— {KIND[x.kind]}: {x.reason}</span>
            {x.improvised.map((i) => (
              <Improvised key={i.title} way={i} />
            ))}
            {x.instead && (
              <span className="block pl-3 text-ink-2">
                Here instead: <b className="font-medium text-ink">{x.instead.name}</b>, {x.instead.lost}.
              </span>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}

/** How it is done without the equipment: common practice, not computed. */
function Improvised({ way }: { way: Order['excluded'][number]['improvised'][number] }) {
  return (
    <details className="pl-3">
      <summary className="py-0.5">Without it: {way.title}</summary>
      <ol className="list-decimal pl-5">
        {way.setUp.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ol>
      <ul className="border-l-2 border-warn pl-2">
        {way.safety.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ul>
      <p className="text-xs text-ink-2">Common practice, in this client's centimetres.</p>
    </details>
  )
}
