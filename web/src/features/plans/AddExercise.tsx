import { useState } from 'react'
import type { Catalogue, Week } from '../../api/client'
import { useOffers } from '../../api/queries'
import { Trouble, Waiting } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { MakeYourOwn } from '../exercises/MakeYourOwn'
import { add } from './edits'
import type { Edit } from './usePlanEdits'
import { WEEKDAYS } from './words'
import { Thumb } from '../../chart/stage/Thumb'

/** Finds an exercise by any of its names, in the order's order, and puts it into a session. */
export function AddExercise({
  week,
  day,
  catalogue,
  edit,
  onClose,
}: {
  week: Week
  day: number | null
  catalogue: Catalogue
  edit: Edit
  onClose: () => void
}) {
  const offers = useOffers(week.id, day !== null)
  const [text, setText] = useState('')
  const there = new Set(
    day === null
      ? []
      : week.plan.days[day]?.bouts.flat().map((itemDocument) => itemDocument.candidateId),
  )
  const words = text.toLowerCase().trim()
  const found = (offers.data ?? []).filter((offer) => {
    const find = [...catalogue.exercises, ...catalogue.byWord].find(
      (e) => e.id === offer.exerciseId,
    )
    return (
      !there.has(offer.candidateId) &&
      (words === '' ||
        [offer.name, ...(find?.alsoCalled ?? [])].some((name) =>
          name.toLowerCase().includes(words),
        ))
    )
  })
  return (
    <Sheet
      title={`Add to ${day === null ? '' : WEEKDAYS[(week.plan.days[day]?.weekday ?? 1) - 1]}`}
      open={day !== null}
      onClose={onClose}
    >
      <label className="mt-1 text-sm text-ink-2">
        Name or nickname
        <input
          autoFocus
          className="mt-0.5 block w-full border border-edge px-2 py-1 text-base text-ink"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {offers.isError && <Trouble error={offers.error} />}
      {!offers.data && !offers.isError && <Waiting what="Loading" />}
      <ol className="mt-2 min-h-0 flex-1 overflow-auto">
        {found.slice(0, 40).map((o) => (
          <li key={o.candidateId} className="border-b border-rule/60">
            <button
              type="button"
              className="flex w-full items-center gap-2 py-1 text-left hover:bg-paper-2"
              onClick={() => {
                edit(`${o.name} added`, (plan) =>
                  add(plan, day!, {
                    id: crypto.randomUUID(),
                    candidateId: o.candidateId,
                    pinned: true,
                    prescription: o.prescription,
                  }),
                )
                onClose()
              }}
            >
              <Thumb candidateId={o.candidateId} className="size-9" />
              <span>
                {o.name}
                {o.byWord && <span className="text-sm text-ink-2"> · by word</span>}
              </span>
            </button>
          </li>
        ))}
        {offers.data && found.length === 0 && (
          <li className="py-2 text-sm">
            <MakeYourOwn name={text} />
          </li>
        )}
      </ol>
    </Sheet>
  )
}
