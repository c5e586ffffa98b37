import { useEffect, useRef, useState } from 'react'
import { FeltChart } from '../../chart/limb/FeltChart'
import { mass } from '../plans/words'
import type { MassUnit } from '../plans/words'
import { Big, LoadStepper, Pick, Stepper, repetitionsTyped } from './Controls'
import { SmallButton } from './Doing'
import { PainAsk } from './PainAsk'
import { restOver } from './sound'
import type { Floor } from './useFloor'
import { clock, useNow } from './useNow'
import type { Figures } from './store'
import type { ShownSet } from './walk'

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
  const until = floor.progress.restUntil
  const now = useNow(250, until !== undefined)
  const left = until === undefined ? 0 : until - now
  const over = until !== undefined && left <= 0
  const settled = useSettled()
  const next = floor.nextStep
  const [ask, setAsk] = useState<Ask>(null)
  const item = floor.items.find((shownItem) => shownItem.item.id === last?.itemId)
  const set = (more: Partial<Figures>) =>
    last && void floor.edit(last, { ...last.figures, ...more })
  const hurts = last?.figures.pain
  return (
    <>
      <header>
        <h1 className="text-2xl leading-tight">{item ? item.item.exercise.name : 'Rest'}</h1>
        {last && (
          <button
            type="button"
            className="min-h-[48px] text-left text-base"
            aria-expanded={ask === 'figures'}
            data-testid="last-set"
            onClick={() => setAsk(ask === 'figures' ? null : 'figures')}
          >
            {last.figures.loadKg > 0 ? `${mass(last.figures.loadKg, unit)} ${unit}` : 'Body weight'}{' '}
            × {last.figures.repetitions}, {last.figures.reserve} in reserve
            {last.figures.side === 'NONE'
              ? ''
              : last.figures.side === 'LEFT'
                ? ', left'
                : ', right'}{' '}
            · <KeptWord kept={last.kept} /> · <span className="underline">correct it</span>
          </button>
        )}
        <div
          className={`mt-1 flex items-center gap-3 border-y py-1 ${over ? 'border-accent' : 'border-ink'}`}
          role="timer"
          aria-label="Rest"
        >
          <p
            className={`w-[150px] text-6xl font-semibold tabular-nums ${over ? 'text-accent' : ''}`}
            data-testid="rest"
          >
            {until === undefined ? '–' : clock(left)}
          </p>
          <p className="text-base leading-snug">
            <span role="status">
              {until === undefined ? 'No rest is asked here.' : over ? 'Rest is over.' : 'Rest'}
            </span>
            {next && (
              <span className="block text-sm text-ink-2">
                Next: {next.item.item.exercise.name},{' '}
                {next.step.kind === 'WARM_UP'
                  ? 'warm-up set'
                  : next.step.kind === 'DROP'
                    ? 'drop'
                    : 'set'}{' '}
                {next.step.number}
                {next.step.side === 'NONE' ? '' : next.step.side === 'LEFT' ? ', left' : ', right'}
                {next.step.load && next.step.load.kg > 0
                  ? `, ${mass(next.step.load.kg, unit)} ${unit}`
                  : ''}
              </span>
            )}
          </p>
        </div>
      </header>
      <div className="min-h-0 flex-1 space-y-1.5 overflow-auto py-2">
        {last && ask === null && (
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
                last.figures.tempoKept === undefined
                  ? undefined
                  : last.figures.tempoKept
                    ? 'yes'
                    : 'no'
              }
              onPick={(v) => set({ tempoKept: v === 'yes' })}
            />
            <div className="grid grid-cols-2 gap-1">
              <SmallButton onClick={() => setAsk('felt')}>
                {last.figures.felt.length > 0
                  ? `Felt: ${last.figures.felt.map((id) => regions.find((region) => region.id === id)?.coachName.replace(/ \(.*/, '') ?? 'lower back').join(', ')}`
                  : 'Felt where?'}
              </SmallButton>
              <SmallButton onClick={() => setAsk('pain')}>
                {hurts
                  ? `Pain: ${floor.walk.pain.find((advice) => advice.joint === hurts.joint)?.label}, ${hurts.level}`
                  : 'Any pain?'}
              </SmallButton>
            </div>
            {hurts && (
              <Advice
                floor={floor}
                joint={hurts.joint}
                level={hurts.level}
                onSwap={
                  item && item.item.exercise.swaps.length > 0
                    ? () => onSwap(item.item.id)
                    : undefined
                }
              />
            )}
          </>
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

/** Sounds the end of each rest once, whichever client is in sight. */
export function RestBell({ until }: { until: number | undefined }) {
  const rung = useRef<number>(undefined)
  const now = useNow(250, until !== undefined)
  useEffect(() => {
    if (until !== undefined && now >= until && now - until < 3000 && rung.current !== until) {
      rung.current = until
      restOver()
    }
  }, [now, until])
  return null
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
