import { Dialog } from 'radix-ui'
import { useState } from 'react'
import type { Catalogue, Week } from '../../api/client'
import { useOffers } from '../../api/queries'
import { Trouble, Waiting } from '../../ui/Notice'
import { add } from './edits'
import type { Edit } from './usePlanEdits'
import { WEEKDAYS } from './words'

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
    day === null ? [] : week.plan.days[day]?.bouts.flat().map((i) => i.candidateId),
  )
  const words = text.toLowerCase().trim()
  const found = (offers.data ?? []).filter((o) => {
    const x = catalogue.exercises.find((e) => e.id === o.exerciseId)
    return (
      !there.has(o.candidateId) &&
      (words === '' ||
        [o.name, ...(x?.alsoCalled ?? [])].some((n) => n.toLowerCase().includes(words)))
    )
  })
  return (
    <Dialog.Root open={day !== null} onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-16 left-1/2 z-50 flex max-h-[80vh] w-[32rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 flex-col border border-ink bg-paper p-4"
        >
          <Dialog.Title className="text-lg">
            Add to {day === null ? '' : WEEKDAYS[(week.plan.days[day]?.weekday ?? 1) - 1]}
          </Dialog.Title>
          <label className="mt-1 text-sm text-ink-2">
            Name or nickname
            <input
              autoFocus
              className="mt-0.5 block w-full border border-rule px-2 py-1 text-base text-ink"
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
          </label>
          {offers.isError && <Trouble error={offers.error} />}
          {!offers.data && !offers.isError && <Waiting what="Loading" />}
          <ol className="mt-2 min-h-0 flex-1 overflow-auto">
            {found.slice(0, 40).map((o) => (
              <li key={o.candidateId} className="border-b border-rule/60">
                <button
                  type="button"
                  className="block w-full py-1 text-left hover:bg-paper-2"
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
                  {o.name}
                </button>
              </li>
            ))}
            {offers.data && found.length === 0 && (
              <li className="py-2 text-sm text-ink-2">Nothing on offer here by that name.</li>
            )}
          </ol>
          <Dialog.Close className="mt-2 self-start border border-rule px-3 py-1 text-sm">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
