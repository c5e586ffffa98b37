import { useState } from 'react'
import type { Catalogue, Week, WeekItem } from '../../api/client'
import { useSwaps } from '../../api/queries'
import { swap } from './edits'
import type { Edit } from './usePlanEdits'

const JOINTS = [
  { id: 'KNEE', label: 'knee' },
  { id: 'HIP', label: 'hip' },
  { id: 'LOWER_BACK', label: 'lower back' },
  { id: 'ANKLE', label: 'ankle' },
]

/** The next best for the same job, given what is taken or hurts. */
export function Swaps({
  week,
  item,
  catalogue,
  edit,
  onDone,
}: {
  week: Week
  item: WeekItem
  catalogue: Catalogue
  edit: Edit
  onDone: () => void
}) {
  const needs = catalogue.exercises.find((exercise) => exercise.id === item.exerciseId)?.needs ?? []
  const [taken, setTaken] = useState<string[]>([])
  const [hurting, setHurting] = useState<string[]>([])
  const swaps = useSwaps(week.id, item.id, taken, hurting, true)
  const toggle = (list: string[], id: string) =>
    list.includes(id) ? list.filter((text) => text !== id) : [...list, id]
  const chip = (on: boolean) =>
    `min-h-7 border px-2 ${on ? 'border-ink bg-ink text-paper' : 'border-edge hover:border-ink'}`
  return (
    <div role="group" aria-label="Swap" className="border-l-2 border-accent pl-2">
      <p className="flex flex-wrap items-center gap-1">
        {needs.length > 0 && <span className="text-ink-2">Taken:</span>}
        {needs.map((id) => (
          <button
            key={id}
            type="button"
            aria-pressed={taken.includes(id)}
            className={chip(taken.includes(id))}
            onClick={() => setTaken(toggle(taken, id))}
          >
            {catalogue.equipment.find((equipment) => equipment.id === id)?.name ?? id}
          </button>
        ))}
      </p>
      <p className="mt-1 flex flex-wrap items-center gap-1">
        <span className="text-ink-2">Hurts:</span>
        {JOINTS.map((j) => (
          <button
            key={j.id}
            type="button"
            aria-pressed={hurting.includes(j.id)}
            className={chip(hurting.includes(j.id))}
            onClick={() => setHurting(toggle(hurting, j.id))}
          >
            {j.label}
          </button>
        ))}
      </p>
      {swaps.data?.length === 0 && <p className="py-1">Nothing here does this job then.</p>}
      <ol>
        {swaps.data?.map((otherSwap) => (
          <li key={otherSwap.candidateId} className="border-b border-rule/60 py-1">
            <button
              type="button"
              className="text-left font-semibold text-accent-2 underline underline-offset-2"
              onClick={() => {
                edit(`${item.name} swapped for ${otherSwap.name}`, (plan) =>
                  swap(plan, item.id, otherSwap.candidateId, otherSwap.prescription),
                )
                onDone()
              }}
            >
              {otherSwap.name}
            </button>
            <span className="block text-xs text-ink-2">{otherSwap.changes.join('; ')}</span>
          </li>
        ))}
      </ol>
    </div>
  )
}
