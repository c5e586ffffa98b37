import type { Region } from '../../api/client'
import { FaultText } from '../../ui/Field'
import { NEXT, shareOf, withShare } from './own'
import type { Shares } from './own'

const WORDS = { none: '', mainly: 'a whole set', partly: 'half a set' }

/** Which regions a hard set counts for: a tap goes from nothing to a whole set to half a one. */
export function Regions({
  regions,
  shares,
  onShares,
  fault,
}: {
  regions: Region[]
  shares: Shares
  onShares: (shares: Shares) => void
  fault?: string
}) {
  const groups = [...new Set(regions.map((region) => region.group))]
  return (
    <fieldset>
      <legend className="text-sm text-ink-2">
        What a hard set counts for: tap once for a whole set, twice for half a one
      </legend>
      {groups.map((group) => (
        <div key={group} className="mt-1 grid grid-cols-[6rem_1fr] items-baseline text-sm">
          <span className="text-ink-2">{group}</span>
          <span className="flex flex-wrap gap-1">
            {regions
              .filter((region) => region.group === group)
              .map((region) => {
                const share = shareOf(shares, region.id)
                return (
                  <button
                    key={region.id}
                    type="button"
                    aria-pressed={share !== 'none'}
                    aria-label={`${region.coachName}: ${WORDS[share] || 'nothing'}`}
                    className={`min-h-7 border px-2 ${share === 'mainly' ? 'border-ink bg-ink text-paper' : share === 'partly' ? 'border-ink bg-paper-2' : 'border-edge hover:border-ink'}`}
                    onClick={() => onShares(withShare(shares, region.id, NEXT[share]))}
                  >
                    {region.coachName}
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
