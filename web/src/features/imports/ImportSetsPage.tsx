import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import type { Catalogue, Schemas } from '../../api/client'
import { useCatalogue, useClients, useGyms } from '../../api/queries'
import { trim } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { OwnExerciseForm } from '../exercises/OwnExerciseForm'
import { NOTHING_SAID } from '../exercises/own'
import { Faults } from './Faults'
import { textOf } from './textOf'

type Preview = Schemas['ImportPreviewView']
type Field = Preview['columns'][number]['field']
type Said = {
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

/** Earlier sets from a spreadsheet: what was recognised is shown and can be said otherwise, then all of it comes in or nothing. */
export function ImportSetsPage() {
  const { id } = useParams()
  const clients = useClients()
  const gyms = useGyms()
  const catalogue = useCatalogue()
  const queries = useQueryClient()
  const [text, setText] = useState<string>()
  const [gym, setGym] = useState<string>()
  const [said, setSaid] = useState<Said>({ columns: {}, exercises: {} })
  const input = {
    text: text ?? '',
    columns: said.columns,
    exercises: said.exercises,
    ...(said.unit ? { unit: said.unit } : {}),
    ...(said.days ? { days: said.days } : {}),
  }
  const preview = useQuery({
    queryKey: ['import', id, text, said],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/clients/{clientId}/imports/preview', {
          params: { path: { clientId: id! } },
          body: input,
          signal,
        }),
      ),
    enabled: text !== undefined,
    placeholderData: (before) => before,
    staleTime: Infinity,
  })
  const gymId = gym ?? gyms.data?.[0]?.id
  const bring = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/clients/{clientId}/imports', {
          params: { path: { clientId: id! } },
          body: { ...input, gymId: gymId! },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  })
  const failed = [clients, gyms, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!clients.data || !gyms.data || !catalogue.data) return <Waiting what="Opening" />
  const name = clients.data.find((client) => client.id === id)?.name ?? ''
  if (bring.data) {
    return (
      <section className="space-y-2 py-4 text-base">
        <h1 className="text-xl">Brought in</h1>
        <p>
          {bring.data.sets} sets on {bring.data.sessions} days
          {bring.data.already > 0 ? `; ${bring.data.already} were there already` : ''}.
        </p>
        <Link className="text-accent-2 underline" to={`/record/${id}`}>
          The record of {name}
        </Link>
      </section>
    )
  }
  const shown = preview.data
  return (
    <section className="space-y-3">
      <h1 className="border-b border-ink pb-1 text-xl">Sets of {name} from a spreadsheet</h1>
      <div className="flex flex-wrap items-end gap-4 text-sm">
        <label className="max-w-full">
          File (CSV, or text with tabs){' '}
          <input
            type="file"
            accept=".csv,.txt,.tsv"
            onChange={(event) => {
              const file = event.target.files?.[0]
              setSaid({ columns: {}, exercises: {} })
              bring.reset()
              if (file) void textOf(file).then(setText)
            }}
          />
        </label>
        <label>
          Done at{' '}
          <select
            className="border border-edge px-2 py-1"
            value={gymId}
            onChange={(event) => setGym(event.target.value)}
          >
            {gyms.data.map((listed) => (
              <option key={listed.id} value={listed.id}>
                {listed.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      {text === undefined && (
        <p className="text-sm text-ink-2">
          Needs columns for the day, the exercise and the repetitions; load, unit, reserve or
          exertion, sets and side if there are any. Separators, decimal commas, pounds and the order
          of a day are recognised.
        </p>
      )}
      {preview.isError && <Trouble error={preview.error} />}
      {preview.error instanceof Problem && (
        <Faults faults={preview.error.faults} count={preview.error.faults.length} />
      )}
      {shown && !preview.isError && (
        <Looked p={shown} said={said} onSaid={setSaid} catalogue={catalogue.data} />
      )}
      {bring.isError && <Trouble error={bring.error} />}
      {bring.error instanceof Problem && (
        <Faults faults={bring.error.faults} count={bring.error.faults.length} />
      )}
      {shown && !preview.isError && (
        <Button
          look="ink"
          disabled={!shown.ready || bring.isPending || preview.isFetching}
          onClick={() => bring.mutate()}
        >
          {bring.isPending
            ? 'Bringing in …'
            : `Bring in ${shown.exercises.filter((exercise) => !exercise.skipped).reduce((n, x) => n + x.sets, 0)} sets`}
        </Button>
      )}
    </section>
  )
}

function Looked({
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
  const candidates = [
    ...catalogue.exercises.flatMap((exercise) =>
      exercise.candidates.map((candidate) => ({ id: candidate.id, name: candidate.name })),
    ),
    ...catalogue.byWord
      .filter((word) => !word.retired)
      .map((word) => ({ id: word.candidateId, name: `${word.name} (by word)` })),
  ].sort((first, second) => first.name.localeCompare(second.name))
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
      <Faults faults={p.faults} count={p.faultCount} />
      <div className="grid gap-x-8 gap-y-3 lg:grid-cols-2">
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
                        ? setMaking(exercise.name)
                        : stands(exercise.name, event.target.value)
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
                  {row.loadKg > 0 ? `${trim(row.loadKg, 2)} kg` : 'body'} × {row.repetitions}
                </td>
                <td className="pl-2 text-right text-ink-2">
                  {trim(row.reserve, 1)} left
                  {row.side === 'NONE' ? '' : `, ${row.side.toLowerCase()}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}
