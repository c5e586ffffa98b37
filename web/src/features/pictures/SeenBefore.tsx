import { useMutation, useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import type { Technique } from '../../api/client'
import { afterClientChanged, keys } from '../../api/queries'
import { day, setupValue, massWords } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Quiet, Trouble } from '../../ui/Notice'

type Sighting = Technique['sightings'][number]

/** What earlier pictures told, newest first. */
export function SeenBefore({ clientId, sightings }: { clientId: string; sightings: Sighting[] }) {
  const queries = useQueryClient()
  const takeBack = useMutation({
    mutationFn: (sightingId: string) =>
      answer(
        api.DELETE('/api/clients/{clientId}/technique/{sightingId}', {
          params: { path: { clientId, sightingId } },
        }),
      ),
    onSuccess: (technique) => {
      queries.setQueryData(keys.technique(clientId), technique)
      afterClientChanged(queries)
    },
  })
  return (
    <section aria-label="Seen before">
      <h2 className="border-b border-ink text-lg">Seen before</h2>
      {sightings.length === 0 && (
        <Quiet>No picture was read yet. Until then Istmo assumes how most people move.</Quiet>
      )}
      <ul>
        {[...sightings].reverse().map((sighting) => (
          <li
            key={sighting.id}
            className="flex items-baseline gap-3 border-b border-rule/60 py-1 text-sm"
          >
            <span className="min-w-0 flex-1">
              <b className="font-medium">{sighting.name}</b>, {day(sighting.on)},{' '}
              {massWords(sighting.loadKg)}
              {!sighting.counts && <span className="text-ink-2"> (a newer one counts)</span>}
              <span className="block text-ink-2">{words(sighting)}</span>
            </span>
            <Button
              look="bare"
              disabled={takeBack.isPending}
              onClick={() => takeBack.mutate(sighting.id)}
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
      {takeBack.isError && <Trouble error={takeBack.error} />}
    </section>
  )
}

function words(sighting: Sighting): string {
  const told = sighting.technique.flatMap(({ label, unit, shift }) => {
    const size = setupValue({ label, unit, choices: [] }, Math.abs(shift))
    const nothing = size === setupValue({ label, unit, choices: [] }, 0)
    return nothing ? [] : [`${label}: ${size} ${shift < 0 ? 'less' : 'more'} than assumed`]
  })
  return told.length === 0 ? 'Moves as most people do.' : `${told.join('. ')}.`
}
