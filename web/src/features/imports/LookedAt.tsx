import { useState } from 'react'
import type { Catalogue, Schemas } from '../../api/client'
import { Sheet } from '../../ui/Sheet'
import { OwnExerciseForm } from '../exercises/OwnExerciseForm'
import { NOTHING_SAID } from '../exercises/own'
import { Faults } from './Faults'
import { trim } from '../../quantity/number'
import { massWords } from '../../quantity/format'

type Preview = Schemas['ImportPreviewView']
type Field = Preview['columns'][number]['field']
/** What the coach says of a file: what columns hold, units, and what each name stands for. */
export type Said = {
  columns: Record<string, Field>
  unit?: Preview['unit']
  days?: Preview['days']
  exercises: Record<string, string>
}

const FIELDS: { value: Field; label: string }[] = [
  { value: 'IGNORED', label: 'leave out' },
  { value: 'DATE', label: 'day' },
  { value: 'EXERCISE', label: 'exercise' },
  { value: 'LOAD', label: 'load' },
  { value: 'UNIT', label: 'unit of the load' },
  { value: 'REPETITIONS', label: 'repetitions' },
  { value: 'SETS', label: 'number of sets' },
  { value: 'RESERVE', label: 'in reserve' },
  { value: 'EXERTION', label: 'exertion of 10' },
  { value: 'SIDE', label: 'side' },
]
/** The choice that makes a new exercise instead of naming one. */
const MAKE = 'make'
const DAYS: { value: Preview['days']; label: string }[] = [
  { value: 'ISO', label: '2026-11-24' },
  { value: 'DAY_FIRST', label: '24.11.2026' },
  { value: 'MONTH_FIRST', label: '11/24/2026' },
]

/** What was recognised in a file, and what can be said otherwise. */
export function LookedAt({
  p,
  said,
  onSaid,
  catalogue,
}: {
  p: Preview
  said: Said
  onSaid: (s: Said) => void
  catalogue: Catalogue
}) {
  const [making, setMaking] = useState<string | null>(null)
  const stands = (name: string, candidateId: string) =>
    onSaid({ ...said, exercises: { ...said.exercises, [name]: candidateId } })
  return (
    <>
      <Sheet
        wide
        title="An exercise of your own"
        open={making !== null}
        onClose={() => setMaking(null)}
      >
        {making !== null && (
          <OwnExerciseForm
            catalogue={catalogue}
            name={making}
            said={NOTHING_SAID}
            onKept={(kept) => {
              stands(making, kept.candidateId)
              setMaking(null)
            }}
          />
        )}
      </Sheet>
      <p className="text-sm" data-testid="import-summary">
        {p.sets} sets{p.from ? ` from ${p.from} to ${p.to}` : ''}, columns parted by{' '}
        {p.separator === '\t' ? 'tabs' : `“${p.separator}”`}, days as{' '}
        <select
          aria-label="How days are written"
          className="border border-edge"
          value={p.days}
          onChange={(event) => onSaid({ ...said, days: event.target.value as Preview['days'] })}
        >
          {DAYS.map((d) => (
            <option key={d.value} value={d.value}>
              {d.label}
            </option>
          ))}
        </select>
        , loads in{' '}
        <select
          aria-label="Unit of loads"
          className="border border-edge"
          value={p.unit}
          onChange={(event) => onSaid({ ...said, unit: event.target.value as Preview['unit'] })}
        >
          <option value="KG">kg</option>
          <option value="LB">lb</option>
        </select>{' '}
        where nothing else is said.
      </p>
      <Columns p={p} said={said} onSaid={onSaid} />
      <Faults faults={p.faults} count={p.faultCount} />
      <div className="grid gap-x-8 gap-y-3 lg:grid-cols-2">
        <Names p={p} catalogue={catalogue} onStands={stands} onMake={setMaking} />
        <FirstRows p={p} />
      </div>
    </>
  )
}

function Columns({ p, said, onSaid }: { p: Preview; said: Said; onSaid: (s: Said) => void }) {
  return (
    <div className="overflow-x-auto">
      <table className="text-sm">
        <caption className="text-left font-semibold">What each column holds</caption>
        <tbody>
          <tr>
            {p.columns.map((column, k) => (
              <th
                key={k}
                scope="col"
                className="border border-rule px-2 py-1 text-left font-normal"
              >
                {column.header}
              </th>
            ))}
          </tr>
          <tr>
            {p.columns.map((column, k) => (
              <td key={k} className="border border-rule px-2 py-1 text-ink-2">
                {column.sample}
              </td>
            ))}
          </tr>
          <tr>
            {p.columns.map((column, k) => (
              <td key={k} className="border border-rule px-1 py-1">
                <select
                  aria-label={`Column ${column.header} holds`}
                  value={column.field}
                  onChange={(event) =>
                    onSaid({
                      ...said,
                      columns: { ...said.columns, [k]: event.target.value as Field },
                    })
                  }
                >
                  {FIELDS.map((f) => (
                    <option key={f.value} value={f.value}>
                      {f.label}
                    </option>
                  ))}
                </select>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  )
}

/** What each name in the file stands for. */
function Names({
  p,
  catalogue,
  onStands,
  onMake,
}: {
  p: Preview
  catalogue: Catalogue
  onStands: (name: string, candidateId: string) => void
  onMake: (name: string) => void
}) {
  const candidates = [
    ...catalogue.exercises.flatMap((exercise) =>
      exercise.candidates.map((candidate) => ({ id: candidate.id, name: candidate.name })),
    ),
    ...catalogue.byWord
      .filter((word) => !word.retired)
      .map((word) => ({ id: word.candidateId, name: `${word.name} (by word)` })),
  ].sort((first, second) => first.name.localeCompare(second.name))
  return (
    <table className="h-fit w-full text-sm">
      <caption className="border-b border-ink text-left font-semibold">
        Exercises: what each name stands for
      </caption>
      <tbody>
        {p.exercises.map((exercise) => (
          <tr key={exercise.name} className="border-b border-rule/60">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              {exercise.name} <span className="text-ink-2">{exercise.sets}</span>
            </th>
            <td className="text-right">
              <select
                aria-label={`${exercise.name} is`}
                className={`max-w-64 border ${exercise.candidateId || exercise.skipped ? 'border-edge' : 'border-warn'}`}
                value={exercise.skipped ? '' : (exercise.candidateId ?? '?')}
                onChange={(event) =>
                  event.target.value === MAKE
                    ? onMake(exercise.name)
                    : onStands(exercise.name, event.target.value)
                }
              >
                {!exercise.candidateId && !exercise.skipped && (
                  <option value="?">not known: choose</option>
                )}
                <option value="">leave out</option>
                <option value={MAKE}>an exercise of your own …</option>
                {candidates.map((candidate) => (
                  <option key={candidate.id} value={candidate.id}>
                    {candidate.name}
                  </option>
                ))}
              </select>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function FirstRows({ p }: { p: Preview }) {
  return (
    <table className="h-fit w-full text-sm">
      <caption className="border-b border-ink text-left font-semibold">
        The first sets as they are read
      </caption>
      <tbody>
        {p.first.map((row, k) => (
          <tr key={k} className="border-b border-rule/60">
            <td className="py-1 pr-2 text-ink-2">{row.on}</td>
            <td className="pr-2">{row.exercise}</td>
            <td className="text-right">
              {row.loadKg > 0 ? massWords(row.loadKg) : 'body'} × {row.repetitions}
            </td>
            <td className="pl-2 text-right text-ink-2">
              {trim(row.reserve, 1)} left
              {row.side === 'NONE' ? '' : `, ${row.side.toLowerCase()}`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
