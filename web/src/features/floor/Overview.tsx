import { useState } from 'react'
import { AddOnFloor } from './AddOnFloor'
import { Big, DeskLink, LoadStepper, Pick, Stepper, repetitionsTyped } from './Controls'
import { SmallButton } from './Doing'
import { KeptWord } from './Resting'
import type { Floor } from './useFloor'
import { isDone, toShow } from './walk'
import type { ShownItem, ShownSet } from './walk'
import { Thumb } from '../../chart/stage/Thumb'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** The whole session at a glance: choose an exercise, correct a set, finish. */
export function Overview({
  floor,
  unit,
  onClose,
}: {
  floor: Floor
  unit: MassUnit
  onClose: () => void
}) {
  const [editing, setEditing] = useState<ShownSet | null>(null)
  const [gone, setGone] = useState<ShownSet | null>(null)
  const [sure, setSure] = useState(false)
  const [adding, setAdding] = useState(false)
  const open = floor.items.flatMap((item) =>
    item.steps.filter((step) => step.kind !== 'WARM_UP' && !isDone(item, step, floor.progress)),
  ).length
  if (editing) {
    const item = floor.items.find((shownItem) => shownItem.item.id === editing.itemId)!
    return (
      <EditSet
        key={editing.id}
        set={editing}
        item={item}
        unit={unit}
        floor={floor}
        onDone={() => setEditing(null)}
        onRemoved={setGone}
      />
    )
  }
  return (
    <>
      <h1 className="text-xl">
        {floor.walk.clientName}, {floor.walk.gymName}
      </h1>
      <ol className="min-h-0 flex-1 divide-y divide-rule overflow-auto border-y border-ink">
        {floor.items.filter(toShow).map((item) => {
          const asked = item.steps.filter((step) => step.kind !== 'WARM_UP')
          const done = asked.filter((step) => isDone(item, step, floor.progress)).length
          return (
            <li key={item.item.id} className="py-1">
              <button
                type="button"
                disabled={item.item.ended || item.item.exercise.refusal !== ''}
                className="flex min-h-[48px] w-full items-center gap-2 text-left text-base disabled:opacity-60"
                onClick={() => void floor.choose(item.item.id).then(onClose)}
              >
                <Thumb candidateId={item.item.exercise.candidateId} className="size-11" />
                <span className="flex-1 font-semibold">{item.item.exercise.name}</span>
                <span className="text-ink-2">
                  {item.item.ended ? 'swapped' : `${done} of ${asked.length}`}
                </span>
              </button>
              {!item.item.ended && asked.length > 0 && done === asked.length && (
                <SmallButton onClick={() => void floor.oneMore(item.item.id).then(onClose)}>
                  One more set
                </SmallButton>
              )}
              {item.item.exercise.refusal && (
                <p className="text-sm text-warn">{item.item.exercise.refusal}</p>
              )}
              {item.sets.length > 0 && (
                <div className="flex flex-wrap gap-1 pb-1">
                  {item.sets.map((set) => (
                    <button
                      key={set.id}
                      type="button"
                      className={`min-h-[48px] border px-2 text-sm ${set.kept === 'saved' ? 'border-edge' : set.kept === 'here' ? 'border-ink border-dashed' : 'border-warn'}`}
                      onClick={() => setEditing(set)}
                    >
                      {words(set, unit)}
                      <span className="sr-only">
                        , <KeptWord kept={set.kept} />, correct it
                      </span>
                    </button>
                  ))}
                </div>
              )}
            </li>
          )
        })}
      </ol>
      {gone && (
        <p role="status" className="flex items-center gap-2 py-1 text-base">
          Taken out: {words(gone, unit)}.
          <SmallButton
            onClick={() => void floor.edit(gone, gone.figures).then(() => setGone(null))}
          >
            Undo
          </SmallButton>
        </p>
      )}
      <SmallButton onClick={() => setAdding(true)}>Add an exercise</SmallButton>
      <AddOnFloor floor={floor} open={adding} onClose={() => setAdding(false)} onAdded={onClose} />
      <div className="flex items-center justify-between text-ink-2">
        <p className="text-xs">Dashed: kept on this device, not sent yet.</p>
        <DeskLink />
      </div>
      <div className="grid grid-cols-2 gap-1">
        <Big look="line" onClick={onClose}>
          Back
        </Big>
        {sure || open === 0 ? (
          <Big onClick={() => void floor.finish()}>
            {open === 0 ? 'Finish' : `Finish, ${open} left`}
          </Big>
        ) : (
          <Big onClick={() => setSure(true)}>Finish …</Big>
        )}
      </div>
    </>
  )
}

function words(set: ShownSet, unit: MassUnit): string {
  const figures = set.figures
  return `${figures.kind === 'DROP' ? 'drop ' : ''}${figures.loadKg > 0 ? `${mass(figures.loadKg, unit)} ${unit}` : 'body'} × ${figures.repetitions}${figures.side === 'NONE' ? '' : figures.side === 'LEFT' ? ' left' : ' right'}`
}

function EditSet({
  set,
  item,
  unit,
  floor,
  onDone,
  onRemoved,
}: {
  set: ShownSet
  item: ShownItem
  unit: MassUnit
  floor: Floor
  onDone: () => void
  onRemoved: (s: ShownSet) => void
}) {
  const [figures, setF] = useState(set.figures)
  return (
    <>
      <h1 className="text-xl">
        Correct {words(set, unit)}, {item.item.exercise.name}
      </h1>
      <div className="min-h-0 flex-1 space-y-1.5 overflow-auto py-2">
        <LoadStepper
          kg={figures.loadKg}
          loads={item.item.exercise.loads}
          unit={unit}
          onKg={(loadKg) => setF({ ...figures, loadKg })}
        />
        <Stepper
          label="Repetitions"
          value={String(figures.repetitions)}
          onLess={() => setF({ ...figures, repetitions: Math.max(1, figures.repetitions - 1) })}
          onMore={() => setF({ ...figures, repetitions: Math.min(200, figures.repetitions + 1) })}
          onType={(text) =>
            repetitionsTyped(text, (repetitions) => setF({ ...figures, repetitions }))
          }
        />
        <Pick
          label="In reserve"
          options={[0, 1, 2, 3, 4].map((r) => ({ value: r, label: r === 4 ? '4+' : String(r) }))}
          value={figures.reserve >= 4 ? 4 : figures.reserve}
          onPick={(reserve) => setF({ ...figures, reserve })}
        />
        <Pick
          label="Side"
          options={[
            { value: 'NONE', label: 'both' },
            { value: 'LEFT', label: 'left' },
            { value: 'RIGHT', label: 'right' },
          ]}
          value={figures.side}
          onPick={(side) => setF({ ...figures, side })}
        />
      </div>
      <div className="grid grid-cols-3 gap-1">
        <Big look="line" onClick={onDone}>
          Back
        </Big>
        <Big
          look="line"
          onClick={() =>
            void floor.edit(set, set.figures, true).then((base) => {
              onRemoved({ ...set, base })
              onDone()
            })
          }
        >
          Take out
        </Big>
        <Big onClick={() => void floor.edit(set, figures).then(onDone)}>Keep</Big>
      </div>
    </>
  )
}
