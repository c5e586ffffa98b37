import type { Entry, Region } from '../../api/client'
import { Fingerprint } from '../../chart/limb/LimbChart'

/** One exercise of the order: its place, what it trains, and its score with what is not known. */
export function Strip({
  entry,
  rank,
  regions,
  chosen,
  onChoose,
  at,
  marks,
}: {
  entry: Entry
  rank: number
  regions: Region[]
  chosen: boolean
  onChoose: () => void
  at: (v: number) => number
  marks: string[]
}) {
  return (
    <button
      type="button"
      onClick={onChoose}
      aria-pressed={chosen}
      data-candidate={entry.candidateId}
      className={`grid w-full grid-cols-[1.4rem_2.9rem_minmax(0,1fr)] items-center sm:grid-cols-[1.4rem_2.9rem_minmax(0,1fr)_minmax(0,9.5rem)] gap-x-2 px-1 pt-1 text-left hover:bg-paper-2 ${chosen ? 'bg-paper-2 shadow-[inset_3px_0_0_var(--accent)]' : ''}`}
    >
      <span className="self-start pt-1 text-right font-serif text-base text-ink-2">{rank}</span>
      <Fingerprint regions={regions} amount={entry.stimulus} className="h-14 w-11" />
      <span className="min-w-0">
        <span className="block font-medium sm:truncate">{entry.name}</span>
        <span className="block text-xs text-ink-2 sm:truncate">
          limited by {entry.limiter} · {entry.costs}
        </span>
        {marks.length > 0 && (
          <span className="block text-xs text-accent sm:truncate" title={marks.join(', ')}>
            moves: {marks.join(', ')}
          </span>
        )}
      </span>
      <span className="col-start-3 sm:col-start-auto">
        <svg viewBox="0 0 100 14" preserveAspectRatio="none" className="h-3.5 w-full" aria-hidden>
          <line
            x1={0}
            x2={100}
            y1={7}
            y2={7}
            stroke="var(--rule)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          <line
            x1={at(entry.low)}
            x2={at(entry.high)}
            y1={7}
            y2={7}
            stroke="var(--accent-2)"
            strokeWidth={3}
            vectorEffect="non-scaling-stroke"
          />
          <line
            x1={at(entry.utility)}
            x2={at(entry.utility)}
            y1={1}
            y2={13}
            stroke="var(--ink)"
            strokeWidth={2.5}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
        <span className="flex justify-between text-xs text-ink-2">
          <span>
            <span className="sr-only">score </span>
            {Math.round(100 * entry.utility)}
          </span>
          <span>
            {entry.rankLow === entry.rankHigh
              ? `rank ${entry.rankLow}`
              : `rank ${entry.rankLow}–${entry.rankHigh}`}
          </span>
        </span>
      </span>
    </button>
  )
}
