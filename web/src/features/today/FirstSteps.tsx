import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Link, useNavigate } from 'react-router'
import { answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { afterClientChanged, afterGymChanged, useCatalogue } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import { lengthWords, massWords } from '../../quantity/format'

const LINK = 'text-accent-2 underline'

/** What a coach does first: a client, a gym, what should grow. */
export function FirstSteps({ clients, gyms }: { clients: number; gyms: number }) {
  return (
    <section aria-label="First steps">
      <h2 className="border-b border-ink text-lg">Three steps to the first session</h2>
      <ol className="list-decimal space-y-2 py-2 pl-6 text-base">
        <li className={clients > 0 ? 'text-ink-2' : ''}>
          {clients > 0 ? (
            'A client is there.'
          ) : (
            <>
              <Link className={LINK} to="/clients?change=new">
                Take in a client
              </Link>
              : name, height, weight. Sixty seconds.
            </>
          )}
        </li>
        <li className={gyms > 0 ? 'text-ink-2' : ''}>
          {gyms > 0 ? (
            'A gym is there.'
          ) : (
            <>
              <Link className={LINK} to="/gyms">
                Tick what a gym has
              </Link>
              . Usual values stand in for what is not measured.
            </>
          )}
        </li>
        <li>
          {clients > 0 && gyms > 0 ? (
            <Link className={LINK} to="/exercises">
              Say what should grow
            </Link>
          ) : (
            'Say what should grow'
          )}
          : the exercises come in order for this body in this gym.
        </li>
      </ol>
      {clients === 0 && gyms === 0 && <Sample />}
    </section>
  )
}

const SAMPLE: Schemas['ClientInput'] = {
  name: 'Sample client',
  statureM: 1.7,
  massKg: 68,
  sex: 'FEMALE',
  thigh: 'USUAL',
  ankle: 'USUAL',
}

/** A way to look around first: an invented client in a gym that has everything. */
function Sample() {
  const catalogue = useCatalogue()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const make = useMutation({
    mutationFn: async (equipment: string[]) => {
      const client = await answer(api.POST('/api/clients', { body: SAMPLE }))
      const gym = await answer(api.POST('/api/gyms', { body: { name: 'Sample gym', equipment } }))
      return { client: client.id, gym: gym.id }
    },
    onSuccess: async ({ client, gym }) => {
      afterClientChanged(queries)
      afterGymChanged(queries)
      await navigate(`/exercises?client=${client}&gym=${gym}&aim=GMAXM.3`)
    },
  })
  if (!catalogue.data) return null
  return (
    <div className="border-t border-rule py-2">
      <p>
        Or look around first: a sample client of {lengthWords(1.7)} and {massWords(68)} in a gym
        that has everything. Both can be taken out again.
      </p>
      <Button
        className="mt-2"
        disabled={make.isPending}
        onClick={() => make.mutate(catalogue.data.equipment.map((e) => e.id))}
      >
        Look around with a sample client
      </Button>
      {make.isError && <Trouble error={make.error} />}
    </div>
  )
}
