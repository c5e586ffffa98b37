import { useRef, useState } from 'react'
import { Problem } from '../../api/client'
import type { Landmark, Schemas } from '../../api/client'
import { FaultText, QuantityField } from '../../ui/Field'
import { Trouble, Waiting } from '../../ui/Notice'
import { Board } from './Board'
import type { Size } from './Board'
import { ChooseFile } from './ChooseFile'
import { Film } from './Film'
import { FilmedSet } from './FilmedSet'
import { Keep } from './Keep'
import { FrontOutcome, Outcome } from './Outcome'
import { Chips, Prompt } from './Prompt'
import { Shown } from './Shown'
import { asInput, isComplete, nextNeeded, otherOfPair, seenFrom } from './marks'
import type { From, LandmarkInfo, Marks } from './marks'
import { useReading } from './useReading'
import type { Source } from './useSource'
import { coachUnit } from '../../quantity/format'
import { readNumber, stored } from '../../quantity/typed'

export type Subject = Pick<Schemas['PictureInput'], 'candidateId' | 'gymId' | 'setup'>

/** One picture or film being marked, and what the marks tell. */
export function Marking({
  clientId,
  source,
  from,
  landmarks: all,
  subject,
  onAnother,
}: {
  clientId: string
  source: Source
  from: From
  landmarks: LandmarkInfo[]
  subject: Subject
  onAnother: (file: File) => void
}) {
  const landmarks = seenFrom(all, from)
  const shown = useRef<HTMLImageElement | HTMLVideoElement>(null)
  const [size, setSize] = useState<Size | null>(null)
  const [lengthS, setLengthS] = useState(0)
  const [broken, setBroken] = useState(false)
  const [dark, setDark] = useState(false)
  const [marks, setMarks] = useState<Marks>({})
  const [chosen, setChosen] = useState<Landmark | null>(null)
  const [load, setLoad] = useState('')
  const current = chosen ?? nextNeeded(landmarks, marks)
  const complete = isComplete(landmarks, marks)
  const picture: Schemas['PictureInput'] = {
    ...subject,
    ...(load.trim() === '' ? {} : { loadKg: stored(readNumber(load), coachUnit('kg').perStored) }),
    ...(size ? { widthPx: size.width, heightPx: size.height } : {}),
    marks: asInput(marks),
  }
  const { side, front, reading } = useReading(clientId, from, picture, complete && size !== null)
  const place = (landmark: Landmark, at: { x: number; y: number }) => {
    const isNew = !marks[landmark]
    setMarks({ ...marks, [landmark]: at })
    setChosen(isNew ? (otherOfPair(landmark, marks) ?? null) : landmark)
  }
  const seek = (toS: number) => {
    if (shown.current instanceof HTMLVideoElement) shown.current.currentTime = toS
    setMarks({})
  }
  const info = landmarks.find((each) => each.landmark === current)
  const fault = reading.error instanceof Problem ? reading.error : null
  if (broken) return <Broken source={source} onAnother={onAnother} />
  return (
    <>
      <section aria-label="Picture" className="min-w-0 space-y-2">
        <Prompt
          from={from}
          info={info}
          placed={info !== undefined && marks[info.landmark] !== undefined}
          onTakeOut={(landmark) => {
            const rest = { ...marks }
            delete rest[landmark]
            setMarks(rest)
            setChosen(landmark)
          }}
        />
        <div
          className="relative mx-auto bg-paper-2"
          style={
            size
              ? {
                  aspectRatio: `${size.width} / ${size.height}`,
                  maxWidth: `calc(64vh * ${size.width / size.height})`,
                }
              : { minHeight: '40vh' }
          }
        >
          <Shown
            source={source}
            shown={shown}
            onSize={setSize}
            onLength={setLengthS}
            onDark={setDark}
            onBroken={() => setBroken(true)}
          />
          {size && (
            <Board
              source={shown}
              size={size}
              marks={marks}
              current={current}
              asked={chosen}
              label={info ? `Mark the ${info.label}; arrow keys move it` : 'All is marked'}
              {...(side.data && complete ? { reading: side.data } : {})}
              onPlace={place}
              onTake={setChosen}
            />
          )}
        </div>
        {source.film && size && <Film lengthS={lengthS} onGo={seek} />}
        {source.film && size && complete && side.data && !side.data.notSeen && (
          <FilmedSet
            clientId={clientId}
            video={() => (shown.current instanceof HTMLVideoElement ? shown.current : null)}
            size={size}
            marks={marks}
            picture={picture}
          />
        )}
        {dark && (
          <p role="status" className="border-l-2 border-warn pl-2 text-sm">
            This picture is dark. If a joint cannot be made out, take another with more light.
          </p>
        )}
        {complete && from === 'SIDE' && (
          <p className="text-sm text-ink-2">
            Blue: as marked. Dashed: as Istmo assumed this client would stand.
          </p>
        )}
      </section>
      <section aria-label="Reading" className="min-w-0 space-y-3 lg:row-span-2">
        <Chips landmarks={landmarks} marks={marks} current={current} onChoose={setChosen} />
        <QuantityField
          label="Load in this picture"
          of="kg"
          placeholder="the usual working load"
          value={load}
          onChange={(event) => setLoad(event.target.value)}
          fault={fault?.fault('loadKg')}
        />
        <FaultText text={fault?.fault('marks') ?? fault?.fault('candidateId')} />
        {reading.isError && (fault?.faults.length ?? 0) === 0 && <Trouble error={reading.error} />}
        {complete && reading.isFetching && !reading.data && <Waiting what="Reading" />}
        {complete && front.data && !front.isError && <FrontOutcome reading={front.data} />}
        {complete && side.data && !side.isError && (
          <>
            <Outcome reading={side.data} />
            {!side.data.notSeen && <Keep clientId={clientId} picture={picture} day={source.day} />}
          </>
        )}
        <ChooseFile label="Another picture" onChoose={onAnother} />
      </section>
    </>
  )
}

/** Instead of a picture that this browser cannot show. */
function Broken({ source, onAnother }: { source: Source; onAnother: (file: File) => void }) {
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
}
