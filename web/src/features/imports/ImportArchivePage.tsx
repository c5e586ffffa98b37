import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { useGyms } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { Faults } from './Faults'
import { textOf } from './textOf'

type Preview = Schemas['ArchivePreviewView']
type Said = { gyms: Record<string, string>; names: Record<string, string> }

const NOTHING: Said = { gyms: {}, names: {} }

/** Clients, or a whole account, from a file that Istmo wrote: what is in it is shown first, then all of it comes in or nothing. */
export function ImportArchivePage() {
  const gyms = useGyms()
  const queries = useQueryClient()
  const [file, setFile] = useState<{ nth: number; text: string }>()
  const [said, setSaid] = useState<Said>(NOTHING)
  const input = { text: file?.text ?? '', ...said }
  const preview = useQuery({
    queryKey: ['archive', file?.nth, said],
    queryFn: ({ signal }) => answer(api.POST('/api/archives/preview', { body: input, signal })),
    enabled: file !== undefined,
    placeholderData: (before, query) => (query?.queryKey[1] === file?.nth ? before : undefined),
    staleTime: Infinity,
    gcTime: 0,
  })
  const bring = useMutation({
    mutationFn: () => answer(api.POST('/api/archives', { body: input })),
    onSuccess: () => queries.invalidateQueries(),
  })
  if (gyms.isError) return <Trouble error={gyms.error} retry={() => void gyms.refetch()} />
  if (!gyms.data) return <Waiting what="Opening" />
  if (bring.data) return <Done b={bring.data} />
  const shown = preview.data
  const error = bring.error ?? preview.error
  const coming = shown?.clients.filter((client) => client.as !== undefined) ?? []
  return (
    <section className="max-w-4xl space-y-3">
      <h1 className="border-b border-ink pb-1 text-xl">Bring in clients from a file</h1>
      <p className="text-sm">
        <label>
          File of a client or an account (JSON of Istmo){' '}
          <input
            type="file"
            accept=".json"
            onChange={(event) => {
              const chosen = event.target.files?.[0]
              setSaid(NOTHING)
              bring.reset()
              if (chosen)
                void textOf(chosen).then((text) =>
                  setFile((before) => ({ nth: (before?.nth ?? 0) + 1, text })),
                )
            }}
          />
        </label>
      </p>
      {!file && (
        <p className="text-sm text-ink-2">
          Everything in it comes in, or nothing: intake, health notes, measurements, sessions with
          every set, planned weeks, and the gyms, own variants, exercises and schools that they
          name. Passwords are in no file.
        </p>
      )}
      {file && preview.isFetching && !shown && <Waiting what="Looking through it" />}
      {error !== null && <Trouble error={error} />}
      {error instanceof Problem && <Faults faults={error.faults} count={error.faults.length} />}
      {shown && !preview.isError && (
        <Looked p={shown} said={said} onSaid={setSaid} gyms={gyms.data} />
      )}
      {shown && !preview.isError && (
        <Button
          look="ink"
          disabled={
            !shown.ready ||
            coming.length + shown.gyms.length === 0 ||
            bring.isPending ||
            preview.isFetching
          }
          onClick={() => bring.mutate()}
        >
          {bring.isPending
            ? 'Bringing in …'
            : coming.length === 0
              ? 'Bring in the gyms'
              : coming.length === 1
                ? `Bring in ${coming[0]!.as}`
                : `Bring in ${coming.length} clients`}
        </Button>
      )}
    </section>
  )
}

function Done({ b }: { b: Schemas['ArchiveImportResultView'] }) {
  const clients = Object.entries(b.clients)
  return (
    <section className="space-y-2 py-4 text-base">
      <h1 className="text-xl">Brought in</h1>
      <p>
        {clients.length} {clients.length === 1 ? 'client' : 'clients'}, {b.sessions}{' '}
        {b.sessions === 1 ? 'session' : 'sessions'} with {b.sets} {b.sets === 1 ? 'set' : 'sets'},{' '}
        {b.weeks} planned {b.weeks === 1 ? 'week' : 'weeks'}.
      </p>
      <ul className="columns-2 sm:columns-3">
        {clients.map(([name, id]) => (
          <li key={id}>
            <Link className="text-accent-2 underline" to={`/record/${id}`}>
              The record of {name}
            </Link>
          </li>
        ))}
      </ul>
      <Link className="text-accent-2 underline" to="/clients">
        All clients
      </Link>
    </section>
  )
}

function Looked({
  p,
  said,
  onSaid,
  gyms,
}: {
  p: Preview
  said: Said
  onSaid: (s: Said) => void
  gyms: { id: string; name: string }[]
}) {
  const taken = p.clients.filter((client) => client.taken)
  const own = (
    [
      [p.variants, 'variant'],
      [p.exercises, 'exercise'],
      [p.schools, 'school'],
    ] as const
  )
    .filter(([n]) => n > 0)
    .map(([n, what]) => `${n} own ${what}${n === 1 ? '' : 's'}`)
  const called = (name: string, as: string) =>
    onSaid({ ...said, names: { ...said.names, [name]: as } })
  return (
    <>
      <Faults
        faults={p.faults.filter((fault) => !fault.field.startsWith('names.'))}
        count={p.faultCount - taken.length}
      />
      {taken.length > 1 && (
        <p className="flex flex-wrap items-baseline gap-3 text-sm">
          <span className="text-warn">You have clients of {taken.length} of these names.</span>
          <Button
            look="bare"
            className="!min-h-6 !p-0"
            onClick={() =>
              onSaid({
                ...said,
                names: {
                  ...said.names,
                  ...Object.fromEntries(taken.map((client) => [client.name, ''])),
                },
              })
            }
          >
            Leave those out
          </Button>
        </p>
      )}
      <ClientsInFile p={p} onCalled={called} />
      {p.gyms.length > 0 && <GymsInFile p={p} said={said} onSaid={onSaid} gyms={gyms} />}
      {own.length > 0 && (
        <p className="text-sm text-ink-2">
          With {own.join(', ')}; those that you have already are not doubled.
        </p>
      )}
    </>
  )
}

function ClientsInFile({
  p,
  onCalled,
}: {
  p: Preview
  onCalled: (name: string, as: string) => void
}) {
  return (
    <table className="w-full text-sm" data-testid="archive-clients">
      <thead>
        <tr className="border-b border-ink text-left text-xs text-ink-2">
          <th scope="col" className="py-1 font-normal">
            Client
          </th>
          <th scope="col" className="px-3 text-right font-normal">
            sessions
          </th>
          <th scope="col" className="px-3 text-right font-normal">
            sets
          </th>
          <th scope="col" className="px-3 text-right font-normal">
            planned weeks
          </th>
          <th scope="col" className="pl-6 font-normal">
            called here
          </th>
          <th scope="col" className="text-center font-normal">
            comes in
          </th>
        </tr>
      </thead>
      <tbody>
        {p.clients.map((client) => (
          <tr key={client.name} className="border-b border-rule/60">
            <th scope="row" className="py-1 text-left font-semibold">
              {client.name}
            </th>
            <td className="px-3 text-right">{client.sessions}</td>
            <td className="px-3 text-right">{client.sets}</td>
            <td className="px-3 text-right">{client.weeks}</td>
            <td className="pl-6">
              <input
                key={client.as}
                aria-label={`${client.name} is called here`}
                className={`w-full border bg-paper px-2 py-0.5 ${client.taken ? 'border-warn' : 'border-edge'}`}
                defaultValue={client.as ?? ''}
                disabled={client.as === undefined}
                onBlur={(event) =>
                  event.target.value.trim() !== '' &&
                  event.target.value !== client.as &&
                  onCalled(client.name, event.target.value)
                }
              />
              {client.taken && <span className="text-warn">you have a client of that name</span>}
            </td>
            <td className="text-center">
              <input
                type="checkbox"
                className="h-5 w-5 accent-ink"
                aria-label={`${client.name} comes in`}
                checked={client.as !== undefined}
                onChange={(event) => onCalled(client.name, event.target.checked ? client.name : '')}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function GymsInFile({
  p,
  said,
  onSaid,
  gyms,
}: {
  p: Preview
  said: Said
  onSaid: (s: Said) => void
  gyms: { id: string; name: string }[]
}) {
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-left text-xs text-ink-2">
          <th scope="col" className="py-1 font-normal">
            Gym in the file
          </th>
          <th scope="col" className="font-normal">
            is here
          </th>
        </tr>
      </thead>
      <tbody>
        {p.gyms.map((gym) => (
          <tr key={gym.name} className="border-b border-rule/60">
            <th scope="row" className="py-1 text-left font-semibold">
              {gym.name}
            </th>
            <td>
              <select
                aria-label={`${gym.name} is here`}
                className="border border-edge bg-paper px-2 py-0.5"
                value={gym.gymId ?? ''}
                onChange={(event) =>
                  onSaid({
                    ...said,
                    gyms:
                      event.target.value === ''
                        ? Object.fromEntries(
                            Object.entries(said.gyms).filter(([name]) => name !== gym.name),
                          )
                        : { ...said.gyms, [gym.name]: event.target.value },
                  })
                }
              >
                {!gyms.some((own) => own.name === gym.name) && (
                  <option value="">a new gym with its {gym.items} things</option>
                )}
                {gyms.map((own) => (
                  <option key={own.id} value={own.id}>
                    {own.name}, as it is
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
