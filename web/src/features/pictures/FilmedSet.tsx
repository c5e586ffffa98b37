import { useMutation } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { lengthWords } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { FaultText, Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import type { Size } from './Board'
import { Curves } from './Curves'
import { follow } from './follow'
import type { Marks } from './marks'

type Film = Schemas['FilmView']

/** The whole set: the marks are followed through the film, and its repetitions are read. */
export function FilmedSet({
  clientId,
  video,
  size,
  marks,
  picture,
}: {
  clientId: string
  video: () => HTMLVideoElement | null
  size: Size
  marks: Marks
  picture: Schemas['PictureInput']
}) {
  const [part, setPart] = useState(0)
  const [params] = useSearchParams()
  const [lowering, setLowering] = useState(params.get('lowering') ?? '')
  const stop = useRef<AbortController | null>(null)
  const reading = useMutation({
    mutationFn: async () => {
      stop.current = new AbortController()
      setPart(0)
      const frames = await follow(video()!, size, marks, stop.current.signal, setPart)
      return answer(
        api.POST('/api/clients/{clientId}/technique/film', {
          params: { path: { clientId } },
          body: {
            picture,
            frames,
            ...(lowering.trim() === '' ? {} : { loweringS: Number(lowering.replace(',', '.')) }),
          },
        }),
      )
    },
  })
  const stopped = reading.error instanceof DOMException && reading.error.name === 'AbortError'
  const fault = reading.error instanceof Problem ? reading.error : null
  return (
    <section aria-label="The whole set" className="space-y-2 border-t border-rule pt-2">
      <div className="flex flex-wrap items-end gap-3">
        <Button look="ink" disabled={reading.isPending} onClick={() => reading.mutate()}>
          Follow the marks through the film
        </Button>
        <Field
          label="Lowering asked"
          unit="s"
          className="w-36"
          inputMode="decimal"
          value={lowering}
          onChange={(event) => setLowering(event.target.value)}
          fault={fault?.fault('loweringS')}
        />
        {reading.isPending && <Button onClick={() => stop.current?.abort()}>Stop following</Button>}
      </div>
      {reading.isPending && (
        <p role="status" className="text-sm">
          <progress className="w-full" value={part} max={1} aria-label="Part of the film" />
          {part === 0 ? 'Getting ready …' : `${Math.round(100 * part)} % of the film`}
        </p>
      )}
      <FaultText text={fault?.fault('frames') ?? fault?.fault('marks')} />
      {reading.isError && !stopped && (fault?.faults.length ?? 0) === 0 && (
        <Trouble error={reading.error} />
      )}
      {stopped && <p className="text-sm">Stopped. Nothing was read.</p>}
      {reading.data && <SetRead film={reading.data} />}
    </section>
  )
}

function SetRead({ film }: { film: Film }) {
  if (film.notSeen)
    return (
      <p role="alert" className="border-l-2 border-warn bg-paper-2 px-3 py-2 text-sm">
        {film.notSeen.reason} {film.notSeen.remedy}
      </p>
    )
  return (
    <div className="space-y-2" data-testid="set-read">
      <p className="font-medium">{countWords(film)}</p>
      <ul>
        {film.findings.map((finding) => (
          <li key={finding} className="border-l-2 border-warn pl-2">
            {finding}
          </li>
        ))}
      </ul>
      <Curves film={film} />
      {film.repetitions.length > 0 && <Repetitions film={film} />}
      {film.lost.map((words) => (
        <p key={words} className="border-l-2 border-edge pl-2 text-sm">
          {words}
        </p>
      ))}
      <p className="text-sm text-ink-2">
        Angles are as sure as those of the marked frame. How the pelvis moves cannot be followed
        from marks like these.
      </p>
    </div>
  )
}

function countWords(film: Film): string {
  const count = film.repetitions.length
  if (count === 0) return 'No repetition was found.'
  if (count === 1) return '1 repetition.'
  const loss = Math.round(film.speedLossPercent)
  return `${count} repetitions; the last lifting ${loss} % slower than the fastest.`
}

const HEADS = ['', 'Knee bend', 'Trunk', 'Range', 'Lowering', 'Lifting']

function Repetitions({ film }: { film: Film }) {
  return (
    <table className="w-full text-right text-sm">
      <thead>
        <tr className="border-b border-rule text-ink-2">
          {HEADS.map((head) => (
            <th key={head} scope="col" className="py-1 font-normal">
              {head || <span className="sr-only">Repetition</span>}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {film.repetitions.map((repetition) => (
          <tr key={repetition.number} className="border-b border-rule/60">
            <th scope="row" className="py-1 text-left font-medium">
              {repetition.number}
            </th>
            <td>{Math.round(repetition.kneeBendDeg)}°</td>
            <td>{Math.round(repetition.trunkDeg)}°</td>
            <td>{lengthWords(repetition.rangeM)}</td>
            <td>{repetition.loweringS > 0 ? `${repetition.loweringS.toFixed(1)} s` : '–'}</td>
            <td>{repetition.liftingS > 0 ? `${repetition.liftingS.toFixed(1)} s` : '–'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
