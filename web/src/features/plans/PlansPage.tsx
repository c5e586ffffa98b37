import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { keys, useCatalogue, useClients, useGyms, useWeeks } from '../../api/queries'
import { day } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Undo, Waiting } from '../../ui/Notice'
import { BriefLine } from '../brief/BriefLine'
import { orderInput, useBrief } from '../brief/brief'
import { useBeginning } from '../brief/useBeginning'
import { ImportPlan } from './ImportPlan'

type Line = Schemas['PlanLine']

const FREQUENCIES = [
  { times: 1, label: 'One leg day', note: 'beginners, until the soreness passes' },
  { times: 2, label: 'Two sessions', note: 'every group twice' },
  { times: 3, label: 'Three', note: 'whole legs, three times' },
  { times: 4, label: 'Four', note: 'shorter, more often' },
]

/** Begin a week for the brief, or go on with one. */
export function PlansPage() {
  const [brief, change] = useBrief()
  const catalogue = useCatalogue()
  const clients = useClients()
  const gyms = useGyms()
  const weeks = useWeeks()
  const queries = useQueryClient()
  const navigate = useNavigate()
  useBeginning(brief, change, clients.data, gyms.data)
  const begin = useMutation({
    mutationFn: ({ times, oneStation }: { times?: number; oneStation?: boolean }) => {
      const { clientId, gymId, aim, keepOut, school, preset, weights } = orderInput(brief)!
      return answer(
        api.POST('/api/weeks', {
          body: {
            ...(clientId ? { clientId } : {}),
            ...(gymId ? { gymId } : {}),
            aim: aim ?? {},
            keepOut: keepOut ?? [],
            ...(school ? { school } : {}),
            ...(preset ? { preset } : {}),
            weights: weights ?? {},
            ...(times ? { times } : {}),
            oneStation: oneStation ?? false,
          },
        }),
      )
    },
    onSuccess: (w) => {
      queries.setQueryData(keys.week(w.id), w)
      void queries.invalidateQueries({ queryKey: ['weeks'] })
      void navigate(`/weeks/${w.id}`)
    },
  })
  const [removed, setRemoved] = useState<Line | null>(null)
  const fresh = () => queries.invalidateQueries({ queryKey: ['weeks'] })
  const remove = useMutation({
    mutationFn: (line: Line) =>
      answer(api.DELETE('/api/weeks/{id}', { params: { path: { id: line.id } } })),
    onSuccess: (_, line) => {
      setRemoved(line)
      return fresh()
    },
  })
  const putBack = useMutation({
    mutationFn: (line: Line) =>
      answer(api.POST('/api/weeks/{id}/restore', { params: { path: { id: line.id } } })),
    onSuccess: () => {
      setRemoved(null)
      return fresh()
    },
  })
  const failed = [catalogue, clients, gyms, weeks].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!catalogue.data || !clients.data || !gyms.data || !weeks.data)
    return <Waiting what="Loading" />
  const client = clients.data.find((listed) => listed.id === brief.client)
  const name = (id: string) => clients.data.find((listed) => listed.id === id)?.name
  const ready = orderInput(brief) !== null
  return (
    <div className="flex flex-col gap-4">
      <section>
        <h1 className="border-b border-ink pb-1 text-xl">Plan a week</h1>
        <BriefLine
          brief={brief}
          change={change}
          catalogue={catalogue.data}
          clients={clients.data}
          gyms={gyms.data}
          weighed
        />
        {ready ? (
          <p className="mt-2 flex flex-wrap items-stretch gap-2">
            {FREQUENCIES.map((f) => (
              <Button
                key={f.times}
                look={client?.profile.daysAWeek === f.times ? 'ink' : 'line'}
                disabled={begin.isPending}
                onClick={() => begin.mutate({ times: f.times })}
                className="flex-col !items-start"
              >
                {f.label}
                <span className="text-xs font-normal opacity-80">
                  {client?.profile.daysAWeek === f.times ? 'as this client trains' : f.note}
                </span>
              </Button>
            ))}
            <Button
              disabled={begin.isPending}
              onClick={() => begin.mutate({ oneStation: true })}
              className="flex-col !items-start"
            >
              One station
              <span className="text-xs font-normal opacity-80">the bar's load may stay</span>
            </Button>
          </p>
        ) : (
          <Quiet>
            Say in the sentence above what should grow, or paint it on the order's chart. Then a
            week can be planned for it.
          </Quiet>
        )}
        {ready && <ImportPlan clientId={brief.client!} gymId={brief.gym!} />}
        {begin.isError && <Trouble error={begin.error} />}
      </section>
      <section>
        <h2 className="border-b border-rule pb-1 text-lg">Planned weeks</h2>
        {weeks.data.length === 0 && <Quiet>None yet.</Quiet>}
        <ul>
          {weeks.data.map((week) => (
            <li key={week.id} className="flex items-baseline border-b border-rule/60">
              <Link
                to={`/weeks/${week.id}`}
                className="grid flex-1 gap-x-4 py-2 hover:bg-paper-2 sm:grid-cols-[7rem_12rem_10rem_1fr]"
              >
                <span className="text-ink-2">{day(week.changedAt)}</span>
                <span className="font-semibold">{week.name}</span>
                <span className="text-ink-2">
                  {gyms.data.find((gym) => gym.id === week.gymId)?.name ??
                    'a gym that was taken out'}
                </span>
                <span className="text-sm">
                  {name(week.clientId)}: {week.days} {week.days === 1 ? 'session' : 'sessions'},{' '}
                  {week.exercises === 0 ? 'nothing in them yet' : `${week.exercises} exercises`}
                </span>
              </Link>
              <Button
                look="bare"
                aria-label={`Remove ${week.name} of ${name(week.clientId)}`}
                disabled={remove.isPending}
                onClick={() => remove.mutate(week)}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
        {removed && (
          <Undo
            text={`${removed.name} was removed.`}
            pending={putBack.isPending}
            onUndo={() => putBack.mutate(removed)}
          />
        )}
        {[remove, putBack].map((m, k) => m.isError && <Trouble key={k} error={m.error} />)}
      </section>
    </div>
  )
}
