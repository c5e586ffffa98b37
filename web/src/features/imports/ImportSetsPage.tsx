import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import { useCatalogue, useClients, useGyms } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { Faults } from './Faults'
import { LookedAt } from './LookedAt'
import type { Said } from './LookedAt'
import { textOf } from './textOf'

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
        <LookedAt p={shown} said={said} onSaid={setSaid} catalogue={catalogue.data} />
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
