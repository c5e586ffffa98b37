import { Pick } from './Controls'
import { SmallButton } from './Doing'
import type { Floor } from './useFloor'
import type { Figures } from './store'
import type { ShownItem, ShownSet } from './walk'

/** How the last set was: its range, its tempo, where it was felt, and any pain. */
export function HowItWas({
  floor,
  last,
  item,
  set,
  onAsk,
  onSwap,
}: {
  floor: Floor
  last: ShownSet
  item: ShownItem | undefined
  set: (more: Partial<Figures>) => void
  onAsk: (ask: 'felt' | 'pain') => void
  onSwap: (itemId: string) => void
}) {
  const { regions, pain } = floor.walk
  const hurts = last.figures.pain
  return (
    <>
      <Pick
        label="Range"
        options={[
          { value: 'FULL', label: 'whole' },
          { value: 'SHORT', label: 'short' },
          { value: 'LONG_HALF', label: 'stretched half' },
        ]}
        value={last.figures.range}
        onPick={(range) => set({ range })}
      />
      <Pick
        label="Tempo"
        options={[
          { value: 'yes', label: 'kept' },
          { value: 'no', label: 'not kept' },
        ]}
        value={
          last.figures.tempoKept === undefined ? undefined : last.figures.tempoKept ? 'yes' : 'no'
        }
        onPick={(v) => set({ tempoKept: v === 'yes' })}
      />
      <div className="grid grid-cols-2 gap-1">
        <SmallButton onClick={() => onAsk('felt')}>
          {last.figures.felt.length > 0
            ? `Felt: ${last.figures.felt.map((id) => regions.find((region) => region.id === id)?.coachName.replace(/ \(.*/, '') ?? 'lower back').join(', ')}`
            : 'Felt where?'}
        </SmallButton>
        <SmallButton onClick={() => onAsk('pain')}>
          {hurts
            ? `Pain: ${pain.find((advice) => advice.joint === hurts.joint)?.label}, ${hurts.level}`
            : 'Any pain?'}
        </SmallButton>
      </div>
      {hurts && (
        <Advice
          floor={floor}
          joint={hurts.joint}
          level={hurts.level}
          onSwap={
            item && item.item.exercise.swaps.length > 0 ? () => onSwap(item.item.id) : undefined
          }
        />
      )}
    </>
  )
}

function Advice({
  floor,
  joint,
  level,
  onSwap,
}: {
  floor: Floor
  joint: string
  level: number
  onSwap: (() => void) | undefined
}) {
  const words = floor.walk.pain.find((advice) => advice.joint === joint)?.byLevel[level] ?? []
  if (words.length === 0) return null
  return (
    <div className="border-l-2 border-warn pl-2 text-base" role="alert">
      {words.map((word) => (
        <p key={word}>{word}</p>
      ))}
      {onSwap && (
        <button type="button" className="mt-1 min-h-[48px] border border-ink px-3" onClick={onSwap}>
          Swap it
        </button>
      )}
    </div>
  )
}
