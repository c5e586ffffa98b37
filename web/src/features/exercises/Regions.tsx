import type { Region } from '../../api/client'
import { FaultText } from '../../ui/Field'
import { NEXT, shareOf, withShare } from './own'
import type { Said } from './own'

const WORDS = { none: '', mainly: 'a whole set', partly: 'half a set' }

/** Which regions a hard set counts for: a tap goes from nothing to a whole set to half a one. */
export function Regions({
  regions,
  said,
  onSaid,
  fault,
}: {
  regions: Region[]
  said: Said
  onSaid: (said: Said) => void
  fault?: string
}) {
  const groups = [...new Set(regions.map((r) => r.group))]
  return (
    <fieldset>
      <legend className="text-sm text-ink-2">
        What a hard set counts for: tap once for a whole set, twice for half a one
      </legend>
      {groups.map((g) => (
        <div key={g} className="mt-1 grid grid-cols-[6rem_1fr] items-baseline text-sm">
          <span className="text-ink-2">{g}</span>
          <span className="flex flex-wrap gap-1">
            {regions
              .filter((r) => r.group === g)
              .map((r) => {
                const share = shareOf(said, r.id)
                return (
                  <button
                    key={r.id}
                    type="button"
                    aria-pressed={share !== 'none'}
                    aria-label={`${r.coachName}: ${WORDS[share] || 'nothing'}`}
                    className={`min-h-7 border px-2 ${share === 'mainly' ? 'border-ink bg-ink text-paper' : share === 'partly' ? 'border-ink bg-paper-2' : 'border-edge hover:border-ink'}`}
                    onClick={() => onSaid(withShare(said, r.id, NEXT[share]))}
                  >
                    {r.coachName}
                    {share === 'partly' && ' ½'}
                  </button>
                )
              })}
          </span>
        </div>
      ))}
      <FaultText text={fault} />
    </fieldset>
  )
}
