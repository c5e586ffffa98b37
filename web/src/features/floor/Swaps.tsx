import { range } from '../plans/words'
import { Big } from './Controls'
import type { Floor } from './useFloor'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** Three other exercises for the same job, worked out beforehand: no network is needed. */
export function Swaps({
  floor,
  itemId,
  unit,
  onClose,
}: {
  floor: Floor
  itemId: string
  unit: MassUnit
  onClose: () => void
}) {
  const item = floor.items.find((shownItem) => shownItem.item.id === itemId)
  if (!item) return null
  return (
    <>
      <h1 className="text-xl leading-tight">Instead of {item.item.exercise.name}</h1>
      <p className="text-sm text-ink-2">None of them needs the same machine. The nearest first.</p>
      <ul className="min-h-0 flex-1 space-y-1.5 overflow-auto py-2">
        {item.item.exercise.swaps.map((swap) => {
          const step = swap.exercise.steps.find((floorStep) => floorStep.kind === 'WORK')
          return (
            <li key={swap.candidateId}>
              <button
                type="button"
                className="min-h-[64px] w-full border border-edge px-3 py-2 text-left"
                onClick={() => void floor.swap(itemId, swap).then(onClose)}
              >
                <span className="block text-lg font-semibold">{swap.name}</span>
                <span className="block text-sm text-ink-2">
                  {step?.load && step.load.kg > 0 ? `${mass(step.load.kg, unit)} ${unit}, ` : ''}
                  {step ? `${range(step.repetitionsLow, step.repetitionsHigh)} repetitions` : ''}
                  {swap.exercise.mark ? ` · ${swap.exercise.mark}` : ''}
                </span>
              </button>
            </li>
          )
        })}
      </ul>
      <Big look="line" onClick={onClose}>
        Back
      </Big>
    </>
  )
}
