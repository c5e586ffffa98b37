import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import type { Catalogue, Client, Landmark, Schemas, Technique } from '../../api/client'
import { afterClientChanged, keys, useCatalogue, useClients, useTechnique } from '../../api/queries'
import { today } from '../../quantity/day'
import { Button } from '../../ui/Button'
import { FaultText, Field } from '../../ui/Field'
import { Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { useAddress } from '../../ui/useAddress'
import { parseSetup } from '../bench/address'
import { candidateOptions } from '../bench/candidateOptions'
import { Board } from './Board'
import type { Size } from './Board'
import { Film } from './Film'
import { LandmarkHint } from './LandmarkHint'
import { Outcome } from './Outcome'
import { SeenBefore } from './SeenBefore'
import { asInput, isComplete, nextLandmark } from './marks'
import type { LandmarkInfo, Marks } from './marks'
import { useSource } from './useSource'
import type { Source } from './useSource'

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
  const [source, choose] = useSource()
  const asked = params.get('candidate') ?? FIRST
  const candidates = candidateOptions(catalogue, undefined).filter(
    (option) => !option.value.includes('/own-'),
  )
  const candidateId = candidates.some((option) => option.value === asked) ? asked : FIRST
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-ink pb-1 lg:col-span-2">
        <h1 className="text-xl">{client.name}: technique from a picture</h1>
        <span className="font-serif text-lg">
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
          key={source.url}
          clientId={client.id}
          source={source}
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
            Photograph or film {client.name.split(' ')[0]} from the side at the bottom of a
            repetition: the lens at hip height, square to the side, three to four metres away, both
            feet in the picture.
          </p>
          <ChooseFile label="Choose a picture or film" onChoose={choose} />
          <p className="max-w-prose text-sm text-ink-2">
            The picture stays on this device and is kept nowhere. Only the places of your marks are
            sent, and what they tell is kept when you say so. The head need not be in the picture.
            Ask before you take a picture of somebody; of a minor, ask a parent too. A picture shows
            how somebody moves. It diagnoses nothing.
          </p>
        </section>
      )}
      <div className="lg:col-start-2">
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

function ChooseFile({ label, onChoose }: { label: string; onChoose: (file: File) => void }) {
  return (
    <label className="inline-flex min-h-10 cursor-pointer items-center border border-ink bg-ink px-4 text-sm font-medium text-paper has-focus-visible:outline-2 has-focus-visible:outline-[var(--focus)]">
      {label}
      <input
        type="file"
        accept="image/*,video/*"
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) onChoose(file)
        }}
      />
    </label>
  )
}

type Subject = Pick<Schemas['PictureInput'], 'candidateId' | 'gymId' | 'setup'>

function Marking({
  clientId,
  source,
  landmarks,
  subject,
  onAnother,
}: {
  clientId: string
  source: Source
  landmarks: LandmarkInfo[]
  subject: Subject
  onAnother: (file: File) => void
}) {
  const shown = useRef<HTMLImageElement | HTMLVideoElement>(null)
  const [size, setSize] = useState<Size | null>(null)
  const [lengthS, setLengthS] = useState(0)
  const [broken, setBroken] = useState(false)
  const [marks, setMarks] = useState<Marks>({})
  const [chosen, setChosen] = useState<Landmark | null>(null)
  const [load, setLoad] = useState('')
  const current = chosen ?? nextLandmark(landmarks, marks)
  const complete = isComplete(landmarks, marks)
  const picture: Schemas['PictureInput'] = {
    ...subject,
    ...(load.trim() === '' ? {} : { loadKg: Number(load.replace(',', '.')) }),
    ...(size ? { widthPx: size.width, heightPx: size.height } : {}),
    marks: asInput(marks),
  }
  const reading = useQuery({
    queryKey: [...keys.technique(clientId), 'read', picture],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/clients/{clientId}/technique/read', {
          params: { path: { clientId } },
          body: picture,
          signal,
        }),
      ),
    enabled: complete && size !== null,
    placeholderData: (previous) => previous,
    retry: false,
  })
  const place = (landmark: Landmark, at: { x: number; y: number }) => {
    const isNew = !marks[landmark]
    setMarks({ ...marks, [landmark]: at })
    setChosen(isNew ? null : landmark)
  }
  const seek = (toS: number) => {
    if (shown.current instanceof HTMLVideoElement) shown.current.currentTime = toS
    setMarks({})
  }
  const info = landmarks.find((each) => each.landmark === current)
  const fault = reading.error instanceof Problem ? reading.error : null
  if (broken)
    return (
      <section aria-label="Choose a picture" className="space-y-3">
        <p role="alert" className="border-l-2 border-warn bg-paper-2 px-3 py-2">
          {source.film
            ? 'This browser cannot show this film. Choose an MP4 or WebM film, or a picture.'
            : 'This is no picture that this browser can show. Choose a JPEG or PNG.'}
        </p>
        <ChooseFile label="Choose another" onChoose={onAnother} />
      </section>
    )
  return (
    <>
      <section aria-label="Picture" className="min-w-0 space-y-2">
        <div
          className="relative mx-auto bg-paper-2"
          style={
            size
              ? {
                  aspectRatio: `${size.width} / ${size.height}`,
                  maxWidth: `calc(72vh * ${size.width / size.height})`,
                }
              : { minHeight: '40vh' }
          }
        >
          {source.film ? (
            <video
              ref={shown as React.RefObject<HTMLVideoElement>}
              src={source.url}
              muted
              playsInline
              preload="auto"
              className="absolute inset-0 h-full w-full"
              onLoadedMetadata={(event) => {
                const { videoWidth, videoHeight, duration } = event.currentTarget
                setSize({ width: videoWidth, height: videoHeight })
                setLengthS(duration)
              }}
              onError={() => setBroken(true)}
            />
          ) : (
            <img
              ref={shown as React.RefObject<HTMLImageElement>}
              src={source.url}
              alt="What you mark"
              className="absolute inset-0 h-full w-full"
              onLoad={(event) =>
                setSize({
                  width: event.currentTarget.naturalWidth,
                  height: event.currentTarget.naturalHeight,
                })
              }
              onError={() => setBroken(true)}
            />
          )}
          {size && (
            <Board
              source={shown}
              size={size}
              marks={marks}
              current={current}
              label={info ? `Mark the ${info.label}; arrow keys move it` : 'All is marked'}
              {...(reading.data && complete ? { reading: reading.data } : {})}
              onPlace={place}
              onTake={setChosen}
            />
          )}
        </div>
        {source.film && size && <Film lengthS={lengthS} onGo={seek} />}
        {complete && (
          <p className="text-sm text-ink-2">
            Blue: as marked. Dashed: as Istmo assumed this client would stand.
          </p>
        )}
      </section>
      <section aria-label="Reading" className="min-w-0 space-y-3 lg:row-span-2">
        <Steps
          landmarks={landmarks}
          marks={marks}
          current={current}
          onChoose={setChosen}
          onTakeOut={(landmark) => {
            const rest = { ...marks }
            delete rest[landmark]
            setMarks(rest)
            setChosen(landmark)
          }}
        />
        <Field
          label="Load on the bar or in the hands"
          unit="kg; empty: the usual working load"
          inputMode="decimal"
          value={load}
          onChange={(event) => setLoad(event.target.value)}
          fault={fault?.fault('loadKg')}
        />
        <FaultText text={fault?.fault('marks') ?? fault?.fault('candidateId')} />
        {reading.isError && (fault?.faults.length ?? 0) === 0 && <Trouble error={reading.error} />}
        {complete && reading.isFetching && !reading.data && <Waiting what="Reading" />}
        {complete && reading.data && !reading.isError && (
          <>
            <Outcome reading={reading.data} />
            {!reading.data.notSeen && (
              <Keep clientId={clientId} picture={picture} day={source.day} />
            )}
          </>
        )}
        <ChooseFile label="Another picture" onChoose={onAnother} />
      </section>
    </>
  )
}

/** What is marked and what comes next; what only helps stands apart. */
function Steps({
  landmarks,
  marks,
  current,
  onChoose,
  onTakeOut,
}: {
  landmarks: LandmarkInfo[]
  marks: Marks
  current: Landmark | undefined
  onChoose: (landmark: Landmark) => void
  onTakeOut: (landmark: Landmark) => void
}) {
  const info = landmarks.find((each) => each.landmark === current)
  return (
    <div>
      {info && (
        <div className="flex items-center gap-3" aria-live="polite">
          <LandmarkHint landmark={info.landmark} />
          <div>
            <p className="font-medium">
              {marks[info.landmark] ? 'Move' : 'Mark'} the {info.label}
            </p>
            <p className="text-sm text-ink-2">
              {info.where}. {info.needed ? '' : 'This helps; it is not needed.'}
            </p>
            {marks[info.landmark] && (
              <Button look="bare" className="!px-0" onClick={() => onTakeOut(info.landmark)}>
                Take this mark out
              </Button>
            )}
          </div>
        </div>
      )}
      <ul className="flex flex-wrap gap-1 pt-1" aria-label="Marks">
        {landmarks.map((each) => (
          <li key={each.landmark}>
            <button
              type="button"
              aria-pressed={each.landmark === current}
              className={`min-h-8 border px-2 text-sm ${each.landmark === current ? 'border-ink bg-ink text-paper' : marks[each.landmark] ? 'border-ink' : 'border-dashed border-edge text-ink-2'}`}
              onClick={() => onChoose(each.landmark)}
            >
              {each.label}
              {marks[each.landmark] ? ' ✓' : ''}
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** Makes what was seen this client's technique. */
function Keep({
  clientId,
  picture,
  day,
}: {
  clientId: string
  picture: Schemas['PictureInput']
  day: string
}) {
  const queries = useQueryClient()
  const [on, setOn] = useState(day > today() ? today() : day)
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/clients/{clientId}/technique', {
          params: { path: { clientId } },
          body: { picture, on: on || undefined },
        }),
      ),
    onSuccess: (technique) => {
      queries.setQueryData(keys.technique(clientId), technique)
      afterClientChanged(queries)
    },
  })
  const fault = keep.error instanceof Problem ? keep.error : null
  return (
    <div className="space-y-2 border-t border-rule pt-2">
      <div className="flex items-end gap-3">
        <Field
          label="Taken on"
          type="date"
          className="w-40"
          value={on}
          onChange={(event) => setOn(event.target.value)}
          fault={fault?.fault('on')}
        />
        <Button look="ink" disabled={keep.isPending} onClick={() => keep.mutate()}>
          Use as this client’s technique
        </Button>
      </div>
      <FaultText text={fault?.fault('marks')} />
      {keep.isError && (fault?.faults.length ?? 0) === 0 && <Trouble error={keep.error} />}
      {keep.isSuccess && (
        <p role="status" className="text-sm">
          Kept. Ranking, set-up and loads of this exercise follow it. The picture was not kept.
        </p>
      )}
    </div>
  )
}
