import { useEffect, useState } from 'react'
import { FeltChart } from '../../chart/limb/FeltChart'
import { Big, LoadStepper, Stepper, repetitionsTyped } from './Controls'
import { SmallButton } from './Doing'
import { HowItWas } from './HowItWas'
import { PainAsk } from './PainAsk'
import { RestClock } from './Rest'
import type { Floor } from './useFloor'
import type { Figures } from './store'
import type { ShownSet } from './walk'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

type Ask = 'felt' | 'pain' | 'figures' | null

/** After a set: the rest goes on while it is asked how it was. */
export function Resting({
  floor,
  last,
  unit,
  onSwap,
}: {
  floor: Floor
  last: ShownSet | undefined
  unit: MassUnit
  onSwap: (itemId: string) => void
}) {
  const { regions } = floor.walk
  const settled = useSettled()
  const next = floor.nextStep
  const [ask, setAsk] = useState<Ask>(null)
  const item = floor.items.find((shownItem) => shownItem.item.id === last?.itemId)
  const set = (more: Partial<Figures>) =>
    last && void floor.edit(last, { ...last.figures, ...more })
  return (
    <>
      <header>
        <h1 className="text-2xl leading-tight">{item ? item.item.exercise.name : 'Rest'}</h1>
        {last && (
          <LastSet
            last={last}
            unit={unit}
            open={ask === 'figures'}
            onOpen={() => setAsk(ask === 'figures' ? null : 'figures')}
          />
        )}
        <RestClock until={floor.progress.restUntil} next={next} unit={unit} />
      </header>
      <div className="min-h-0 flex-1 space-y-1.5 overflow-auto py-2">
        {last && ask === null && (
          <HowItWas
            floor={floor}
            last={last}
            item={item}
            set={set}
            onAsk={setAsk}
            onSwap={onSwap}
          />
        )}
        {last && item && ask === 'figures' && (
          <>
            <LoadStepper
              kg={last.figures.loadKg}
              loads={item.item.exercise.loads}
              unit={unit}
              onKg={(loadKg) => set({ loadKg })}
            />
            <Stepper
              label="Repetitions"
              value={String(last.figures.repetitions)}
              onLess={() => set({ repetitions: Math.max(1, last.figures.repetitions - 1) })}
              onMore={() => set({ repetitions: Math.min(200, last.figures.repetitions + 1) })}
              onType={(text) => repetitionsTyped(text, (repetitions) => set({ repetitions }))}
            />
          </>
        )}
        {last && ask === 'felt' && (
          <FeltChart regions={regions} felt={last.figures.felt} onFelt={(felt) => set({ felt })} />
        )}
        {last && ask === 'pain' && (
          <PainAsk
            advice={floor.walk.pain}
            pain={last.figures.pain}
            onPain={(pain) =>
              pain ? set({ pain }) : last && void floor.edit(last, without(last.figures))
            }
          />
        )}
      </div>
      <div className="space-y-1.5">
        {ask !== null ? (
          <Big look="line" onClick={() => setAsk(null)}>
            Back
          </Big>
        ) : (
          <>
            <div className="grid grid-cols-2 gap-1">
              <SmallButton onClick={() => void floor.restLonger(30)}>+ 30 s</SmallButton>
              {last && (
                <SmallButton
                  onClick={() =>
                    void floor.edit(last, last.figures, true).then(() => floor.restOver())
                  }
                >
                  Delete last set
                </SmallButton>
              )}
            </div>
            <Big disabled={!settled} onClick={() => void floor.restOver()}>
              {next ? 'Next' : 'Go on'}
            </Big>
          </>
        )}
      </div>
    </>
  )
}

/** A second tap of the hand that logged the set lands here and must not end the rest, ms. */
const SETTLES_MS = 600

/** Whether the screen has stood long enough for a tap to be meant for it. */
function useSettled(): boolean {
  const [settled, setSettled] = useState(false)
  useEffect(() => {
    const timeout = setTimeout(() => setSettled(true), SETTLES_MS)
    return () => clearTimeout(timeout)
  }, [])
  return settled
}

function without(figures: Figures): Figures {
  const { pain: _pain, ...rest } = figures
  return rest
}

export function KeptWord({ kept }: { kept: ShownSet['kept'] }) {
  const words = {
    here: 'kept on this device',
    saved: 'saved',
    conflict: 'differs from another device',
    refused: 'not taken by the server',
  }
  return (
    <span
      data-testid="kept"
      className={kept === 'saved' ? 'text-ink-2' : kept === 'here' ? '' : 'text-warn'}
    >
      {words[kept]}
    </span>
  )
}

/** The last set in a line; a press corrects it. */
function LastSet({
  last,
  unit,
  open,
  onOpen,
}: {
  last: ShownSet
  unit: MassUnit
  open: boolean
  onOpen: () => void
}) {
  return (
    <button
      type="button"
      className="min-h-[48px] text-left text-base"
      aria-expanded={open}
      data-testid="last-set"
      onClick={onOpen}
    >
      {last.figures.loadKg > 0 ? `${mass(last.figures.loadKg, unit)} ${unit}` : 'Body weight'} ×{' '}
      {last.figures.repetitions}, {last.figures.reserve} in reserve
      {last.figures.side === 'NONE'
        ? ''
        : last.figures.side === 'LEFT'
          ? ', left'
          : ', right'} · <KeptWord kept={last.kept} /> ·{' '}
      <span className="underline">correct it</span>
    </button>
  )
}
