import { Link, useParams } from 'react-router'
import type { Catalogue, Client, Technique } from '../../api/client'
import { useCatalogue, useClients, useTechnique } from '../../api/queries'
import { Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { useAddress } from '../../ui/useAddress'
import { parseSetup } from '../bench/address'
import { candidateOptions } from '../bench/candidateOptions'
import { ChooseFile } from './ChooseFile'
import { Marking } from './Marking'
import { OverTheWeeks } from './OverTheWeeks'
import { SeenBefore } from './SeenBefore'
import type { From } from './marks'
import { useSource } from './useSource'

const VIEWS = [
  { value: 'SIDE', label: 'side', note: 'depth, lean, knee travel: becomes technique' },
  { value: 'FRONT', label: 'front', note: 'stance, toes, knees, pelvis: told, not kept' },
]

const FIRST = 'back-squat/high-bar'

/** A client's technique, read from marks on a picture. */
export function PicturePage() {
  const { id } = useParams()
  const clients = useClients()
  const catalogue = useCatalogue()
  const technique = useTechnique(id!)
  const failed = [clients, catalogue, technique].find((query) => query.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  const client = clients.data?.find((listed) => listed.id === id)
  if (!client || !catalogue.data || !technique.data) return <Waiting what="Loading" />
  return <OfClient client={client} catalogue={catalogue.data} technique={technique.data} />
}

function OfClient({
  client,
  catalogue,
  technique,
}: {
  client: Client
  catalogue: Catalogue
  technique: Technique
}) {
  const [params, put] = useAddress()
  const from: From = params.get('from') === 'FRONT' ? 'FRONT' : 'SIDE'
  const [source, choose] = useSource()
  const asked = params.get('candidate') ?? FIRST
  const candidates = candidateOptions(catalogue, undefined).filter(
    (option) => !option.value.includes('/own-'),
  )
  // a coach's own variant is read as its exercise
  const candidateId =
    [asked, `${asked.split('/')[0]}/`]
      .map((begins) => candidates.find((option) => option.value.startsWith(begins))?.value)
      .find((found) => found !== undefined) ?? FIRST
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-ink pb-1 lg:col-span-2">
        <h1 className="text-xl">{client.name}: technique from a picture</h1>
        <span className="font-serif text-lg">
          from the{' '}
          <WordMenu
            label="Seen from"
            text={from === 'SIDE' ? 'side' : 'front'}
            value={from}
            options={VIEWS}
            onChange={(value) => put({ from: value === 'SIDE' ? null : value }, 'step')}
          />{' '}
          in{' '}
          <WordMenu
            label="Exercise"
            text={candidates.find((option) => option.value === candidateId)!.label}
            value={candidateId}
            options={candidates}
            onChange={(value) => put({ candidate: value, set: null }, 'step')}
          />
        </span>
      </div>
      {source ? (
        <Marking
          key={`${source.url} ${from}`}
          clientId={client.id}
          source={source}
          from={from}
          landmarks={technique.landmarks}
          subject={{
            candidateId,
            ...(params.get('gym') ? { gymId: params.get('gym')! } : {}),
            setup: parseSetup(params.get('set')) ?? {},
          }}
          onAnother={choose}
        />
      ) : (
        <section aria-label="Choose a picture" className="space-y-3">
          <p>
            Photograph or film {client.name.split(' ')[0]}{' '}
            {from === 'SIDE' ? 'from the side' : 'from the front'} at the bottom of a repetition:
            the lens at hip height, {from === 'SIDE' ? 'square to the side' : 'straight ahead'},
            three to four metres away, both feet in the picture.
          </p>
          <ChooseFile first label="Choose a picture or film" onChoose={choose} />
          <p className="max-w-prose text-sm text-ink-2">
            The picture stays on this device and is kept nowhere. Only the places of your marks are
            sent, and what they tell is kept when you say so. The head need not be in the picture.
            Ask before you take a picture of somebody; of a minor, ask a parent too. A picture shows
            how somebody moves. It diagnoses nothing.
          </p>
        </section>
      )}
      <div className="lg:col-start-2">
        <OverTheWeeks exerciseId={candidateId.split('/')[0]!} technique={technique} />
        <SeenBefore clientId={client.id} sightings={technique.sightings} />
        <p className="py-2 text-sm">
          <Link
            className="text-accent-2 underline"
            to={`/bench?client=${client.id}&candidate=${candidateId}`}
          >
            Set-up of this exercise
          </Link>
        </p>
      </div>
    </div>
  )
}
