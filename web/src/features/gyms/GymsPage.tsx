import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useLocation } from 'react-router'
import { answer, api } from '../../api/client'
import type { Gym } from '../../api/client'
import { afterGymChanged, useCatalogue, useGyms, useRemovedGyms } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Undo, Waiting } from '../../ui/Notice'
import { GymForm } from './GymForm'

/** Gyms: a tick list of what is there. */
export function GymsPage() {
  const gyms = useGyms()
  const catalogue = useCatalogue()
  const [chosen, setChosen] = useState<string | null>(null) // an id, or 'new'
  const { search } = useLocation()
  const queries = useQueryClient()
  const [takenOut, setTakenOut] = useState<Gym | null>(null)
  const move = useMutation({
    mutationFn: async ({ gym, out }: { gym: Gym; out: boolean }) => {
      const way = { params: { path: { id: gym.id } } }
      if (out) await answer(api.DELETE('/api/gyms/{id}', way))
      else await answer(api.POST('/api/gyms/{id}/restore', way))
    },
    onSuccess: (_, { gym, out }) => {
      setTakenOut(out ? gym : null)
      if (out && chosen === gym.id) setChosen(null)
      afterGymChanged(queries)
    },
  })
  const failed = [gyms, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!gyms.data || !catalogue.data) return <Waiting what="Loading" />
  const gym = gyms.data.find((listed) => listed.id === chosen)
  const words = (ids: string[]) =>
    catalogue.data.equipment
      .filter((i) => ids.includes(i.id))
      .map((i) => i.name)
      .join(', ')
  return (
    <div className={`grid gap-6 ${chosen ? 'lg:grid-cols-[minmax(0,1fr)_26rem]' : ''}`}>
      <section aria-label="Gyms" className="min-w-0">
        <div className="flex items-baseline justify-between border-b border-ink pb-1">
          <h1 className="text-xl">Gyms</h1>
          <Button look="ink" onClick={() => setChosen('new')}>
            New gym
          </Button>
        </div>
        {gyms.data.length === 0 && (
          <Quiet>No gym yet. Tick what is there; measures come later.</Quiet>
        )}
        <ul>
          {gyms.data.map((listed) => (
            <li
              key={listed.id}
              className={`flex flex-wrap items-baseline gap-x-3 border-b border-rule/60 py-2 ${listed.id === chosen ? 'bg-paper-2' : ''}`}
            >
              <span className="min-w-40 flex-1">
                <b>{listed.name}</b>
                <span className="block text-sm text-ink-2">
                  {words(listed.equipment) || 'nothing ticked yet'}
                </span>
              </span>
              <Link
                className="px-2 text-sm text-accent-2 underline"
                aria-label={`Machines of ${listed.name}`}
                to={`/gyms/${listed.id}${search}`}
              >
                Machines
              </Link>
              <Button
                look="bare"
                aria-label={`Change ${listed.name}`}
                onClick={() => setChosen(listed.id)}
              >
                Change
              </Button>
              <Button
                look="bare"
                aria-label={`Take out ${listed.name}`}
                disabled={move.isPending}
                onClick={() => move.mutate({ gym: listed, out: true })}
              >
                Take out
              </Button>
            </li>
          ))}
        </ul>
        {takenOut && (
          <Undo
            text={`${takenOut.name} was taken out. Sessions and plans of it keep it.`}
            pending={move.isPending}
            onUndo={() => move.mutate({ gym: takenOut, out: false })}
          />
        )}
        {move.isError && <Trouble error={move.error} />}
        <TakenOut onPutBack={(gym) => move.mutate({ gym, out: false })} />
      </section>
      {chosen !== null && (
        <GymForm
          key={`${chosen} ${gym?.version}`}
          gym={gym}
          others={gyms.data.filter((listed) => listed.id !== chosen)}
          catalogue={catalogue.data}
          onDone={() => setChosen(null)}
        />
      )}
    </div>
  )
}

/** Gyms that were taken out, each with its way back. */
function TakenOut({ onPutBack }: { onPutBack: (gym: Gym) => void }) {
  const removed = useRemovedGyms()
  if (!removed.data || removed.data.length === 0) return null
  return (
    <details className="mt-3 text-sm">
      <summary className="py-1">{removed.data.length} taken out</summary>
      <ul>
        {removed.data.map((g) => (
          <li key={g.id} className="flex items-baseline gap-3 border-b border-rule/60 py-1">
            <span className="min-w-40 flex-1">{g.name}</span>
            <Button look="bare" aria-label={`Put back ${g.name}`} onClick={() => onPutBack(g)}>
              Put back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  )
}
