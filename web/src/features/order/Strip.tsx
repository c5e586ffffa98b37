import type { Entry, Region } from '../../api/client'
import { IntervalBar } from '../../chart/IntervalBar'
import { Fingerprint } from '../../chart/limb/LimbChart'
import { Thumb } from '../../chart/stage/Thumb'

/** A range of so many places or more helps nobody to decide, and is left out. */
const TELLING_PLACES = 12

function likelyPlace({ rankLow, rankHigh }: Entry): string {
  if (rankLow === rankHigh) return `place ${rankLow}`
  if (rankHigh - rankLow >= TELLING_PLACES) return ''
  return `place ${rankLow}–${rankHigh}`
}

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
      className={`grid w-full grid-cols-[1.4rem_3.5rem_minmax(0,1fr)] items-center sm:grid-cols-[1.4rem_3.5rem_2.6rem_minmax(0,1fr)_minmax(0,9.5rem)] gap-x-2 px-1 pt-1 text-left hover:bg-paper-2 ${chosen ? 'bg-paper-2 shadow-[inset_3px_0_0_var(--accent)]' : ''}`}
    >
      <span className="self-start pt-1 text-right font-serif text-base text-ink-2">{rank}</span>
      <Thumb candidateId={entry.candidateId} className="size-14" />
      <Fingerprint
        regions={regions}
        amount={entry.stimulus}
        className="hidden h-14 w-10 sm:block"
      />
      <span className="min-w-0">
        <span className="block font-medium">{entry.name}</span>
        <span className="block text-xs text-ink-2">
          gives out first: {entry.limiter} · {entry.costs}
        </span>
        {marks.length > 0 && (
          <span className="block text-xs text-accent" title={marks.join(', ')}>
            stands elsewhere by {marks.length === 1 ? 'another way' : `${marks.length} other ways`}{' '}
            of ranking
          </span>
        )}
      </span>
      <span className="col-start-3 sm:col-start-auto">
        <IntervalBar low={at(entry.low)} value={at(entry.utility)} high={at(entry.high)} />
        <span className="flex justify-between text-xs text-ink-2">
          <span>
            <span className="sr-only">score </span>
            {Math.round(100 * entry.utility)}
          </span>
          <span>{likelyPlace(entry)}</span>
        </span>
      </span>
    </button>
  )
}
