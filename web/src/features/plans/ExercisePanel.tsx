import { useState } from 'react'
import { Link } from 'react-router'
import type { Catalogue, Planning, Prescription, Week, WeekItem } from '../../api/client'
import { useFigure } from '../../api/queries'
import { Stage } from '../../chart/stage/Stage'
import { frame } from '../../chart/stage/scene'
import { writeSetup } from '../bench/address'
import { SetupTable } from '../order/SetupTable'
import { ItemActs } from './ItemActs'
import { ItemLoads } from './ItemLoads'
import { PrescriptionFields } from './PrescriptionFields'
import { Swaps } from './Swaps'
import { positionOf, prescribe } from './edits'
import type { Edit } from './usePlanEdits'
import type { MassUnit } from '../../quantity/units'

type Props = {
  week: Week
  item: WeekItem
  catalogue: Catalogue
  planning: Planning
  edit: Edit
  unit: MassUnit
  onUnit: (u: MassUnit) => void
  onClose: () => void
}

/** One exercise of the week: how it is prescribed, with what on the bar, and what to do instead. */
export function ExercisePanel({
  week,
  item,
  catalogue,
  planning,
  edit,
  unit,
  onUnit,
  onClose,
}: Props) {
  const [swapping, setSwapping] = useState(false)
  const change = (what: string, partial: Partial<Prescription>) =>
    edit(`${item.name}: ${what}`, (plan) => prescribe(plan, item.id, partial))
  return (
    <section aria-label={item.name} className="flex min-h-0 flex-col gap-2 overflow-auto text-sm">
      <h2 className="flex items-baseline gap-2 border-b border-ink pb-0.5 text-lg leading-tight">
        <span className="flex-1">{item.name}</span>
        <button
          type="button"
          aria-label="Close the exercise"
          className="font-sans text-sm text-ink-2 hover:text-ink"
          onClick={onClose}
        >
          ×
        </button>
      </h2>
      {item.refusal && (
        <p className="border-l-2 border-warn bg-paper-2 px-2 py-1">
          {item.refusal} Swap it or take it out.
        </p>
      )}
      {!item.refusal && (
        <>
          <Placing week={week} item={item} />
          <PrescriptionFields item={item} planning={planning} change={change} />
          <ItemLoads item={item} unit={unit} onUnit={onUnit} />
        </>
      )}
      <ItemActs
        week={week}
        item={item}
        edit={edit}
        swapping={swapping}
        onSwapping={() => setSwapping(!swapping)}
      />
      {swapping && (
        <Swaps
          week={week}
          item={item}
          catalogue={catalogue}
          edit={edit}
          onDone={() => setSwapping(false)}
        />
      )}
      {!item.refusal && <About week={week} item={item} catalogue={catalogue} />}
    </section>
  )
}

/** Why it stands where it stands in its session, and what speaks against its neighbours. */
function Placing({ week, item }: { week: Week; item: WeekItem }) {
  const at = positionOf(week.plan, item.id)
  const bout = at && week.days[at.day]?.bouts[at.bout]
  if (!bout) return null
  return (
    <>
      <p className="text-xs text-ink-2">Its place by the usual order: {bout.reason}.</p>
      {bout.trouble.map((text) => (
        <p key={text} className="text-xs text-warn">
          {text}
        </p>
      ))}
    </>
  )
}

/** How it looks and is set up, what to say and what to watch for. */
function About({ week, item, catalogue }: { week: Week; item: WeekItem; catalogue: Catalogue }) {
  const exercise = catalogue.exercises.find((otherExercise) => otherExercise.id === item.exerciseId)
  const bench = new URLSearchParams({
    client: week.clientId,
    gym: week.gymId,
    candidate: item.candidateId,
    set: writeSetup(item.setup),
  })
  return (
    <>
      {item.byWord ? (
        <p className="text-ink-2">
          By word, not computed.{' '}
          <Link
            className="text-accent-2 underline"
            to={`/exercises/by-word?${new URLSearchParams({ client: week.clientId, gym: week.gymId, show: item.candidateId }).toString()}`}
          >
            What is said of it
          </Link>
        </p>
      ) : (
        <Figure week={week} item={item} />
      )}
      {exercise && <SetupTable parameters={exercise.parameters} setup={item.setup} />}
      <ul>
        {item.remarks.map(({ words }) => (
          <li key={words} className="text-ink-2">
            {words}
          </li>
        ))}
        {item.cues.slice(0, 3).map((cue) => (
          <li key={cue}>{cue}</li>
        ))}
        {item.stopSigns.length > 0 && (
          <li>
            <b className="text-warn">Stop signs:</b> {item.stopSigns.slice(0, 3).join(' ')}
          </li>
        )}
      </ul>
      {!item.byWord && (
        <Link className="text-accent-2 underline" to={`/bench?${bench}`}>
          See its set-up
        </Link>
      )}
    </>
  )
}

/** The client at the lengthened end. */
function Figure({ week, item }: { week: Week; item: WeekItem }) {
  const figure = useFigure(week.id, item.candidateId)
  if (!figure.data) return <div className="h-36 shrink-0" />
  return (
    <Stage
      plain
      drawing={figure.data.side}
      box={frame([figure.data.side])}
      label={`${item.name}, lengthened end`}
      className="h-36 w-full shrink-0"
    />
  )
}
