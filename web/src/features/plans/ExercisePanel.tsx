import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api } from '../../api/client'
import type { Catalogue, Plan, Planning, Prescription, Week, WeekItem } from '../../api/client'
import { useFigure, useSwaps } from '../../api/queries'
import { Stage } from '../../chart/stage/Stage'
import { frame } from '../../chart/stage/scene'
import { trim } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { WordMenu } from '../../ui/WordMenu'
import { writeSetup } from '../bench/address'
import { SetupTable } from '../order/SetupTable'
import { Count } from './Count'
import { Stringing } from './Stringing'
import {
  bouts,
  joinWithNext,
  moveBout,
  pin,
  positionOf,
  prescribe,
  swap,
  takeApart,
  takeOut,
} from './edits'
import type { Edit } from './usePlanEdits'
import { WEEKDAYS, mass, platesWords, range } from './words'
import type { MassUnit } from './words'

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
  const prescriptionDocument = item.prescription
  const { limits } = planning
  const exercise = catalogue.exercises.find((otherExercise) => otherExercise.id === item.exerciseId)
  const change = (what: string, partial: Partial<Prescription>) =>
    edit(`${item.name}: ${what}`, (plan) => prescribe(plan, item.id, partial))
  const at = positionOf(week.plan, item.id)
  const bout = at && week.days[at.day]?.bouts[at.bout]
  const follows = at && (week.days[at.day]?.bouts.length ?? 0) > at.bout + 1
  const scheme = planning.schemes.find(
    (otherScheme) => otherScheme.scheme === prescriptionDocument.scheme,
  )
  const [swapping, setSwapping] = useState(false)
  const bench = new URLSearchParams({
    client: week.clientId,
    gym: week.gymId,
    candidate: item.candidateId,
    set: writeSetup(item.setup),
  })
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
          {bout && (
            <p className="text-xs text-ink-2">Its place by the usual order: {bout.reason}.</p>
          )}
          {bout?.trouble.map((text) => (
            <p key={text} className="text-xs text-warn">
              {text}
            </p>
          ))}
          <div className="grid grid-cols-3 gap-x-3 gap-y-1">
            <Count
              label="Sets"
              value={prescriptionDocument.sets}
              shown={String(prescriptionDocument.sets)}
              least={limits.sets.min}
              most={limits.sets.max}
              onChange={(sets) => change(`${sets} sets`, { sets })}
            />
            <Count
              label="In reserve"
              value={prescriptionDocument.reserve}
              shown={trim(prescriptionDocument.reserve, 1)}
              least={limits.reserve.min}
              most={limits.reserve.max}
              step={0.5}
              onChange={(reserve) => change(`${reserve} in reserve`, { reserve })}
            />
            <Count
              label="Reps from"
              value={prescriptionDocument.repetitionsLow}
              shown={String(prescriptionDocument.repetitionsLow)}
              least={limits.repetitions.min}
              most={prescriptionDocument.repetitionsHigh}
              onChange={(repetitionsLow) =>
                change(`from ${repetitionsLow} repetitions`, { repetitionsLow })
              }
            />
            <Count
              label="Reps to"
              value={prescriptionDocument.repetitionsHigh}
              shown={String(prescriptionDocument.repetitionsHigh)}
              least={prescriptionDocument.repetitionsLow}
              most={limits.repetitions.max}
              onChange={(repetitionsHigh) =>
                change(`to ${repetitionsHigh} repetitions`, { repetitionsHigh })
              }
            />
            <Count
              label="Rest"
              value={prescriptionDocument.restS}
              shown={`${prescriptionDocument.restS} s`}
              least={limits.restS.min}
              most={limits.restS.max}
              step={15}
              onChange={(restS) => change(`${restS} s rest`, { restS })}
            />
            <Count
              label="Lowering"
              value={prescriptionDocument.tempo.loweringS}
              shown={`${trim(prescriptionDocument.tempo.loweringS, 1)} s`}
              least={limits.tempoS.min}
              most={limits.tempoS.max}
              onChange={(v) =>
                change(`${v} s lowering`, {
                  tempo: { ...prescriptionDocument.tempo, loweringS: v },
                })
              }
            />
            <Count
              label="Lifting"
              value={prescriptionDocument.tempo.liftingS}
              shown={`${trim(prescriptionDocument.tempo.liftingS, 1)} s`}
              least={limits.tempoS.min}
              most={limits.tempoS.max}
              onChange={(v) =>
                change(`${v} s lifting`, { tempo: { ...prescriptionDocument.tempo, liftingS: v } })
              }
            />
            <Count
              label="Low end"
              value={prescriptionDocument.tempo.lowS}
              shown={`${trim(prescriptionDocument.tempo.lowS, 1)} s`}
              least={limits.tempoS.min}
              most={limits.tempoS.max}
              onChange={(v) =>
                change(`${v} s low`, { tempo: { ...prescriptionDocument.tempo, lowS: v } })
              }
            />
            <Count
              label="Top end"
              value={prescriptionDocument.tempo.topS}
              shown={`${trim(prescriptionDocument.tempo.topS, 1)} s`}
              least={limits.tempoS.min}
              most={limits.tempoS.max}
              onChange={(v) =>
                change(`${v} s at the top`, { tempo: { ...prescriptionDocument.tempo, topS: v } })
              }
            />
          </div>
          <p>
            Sets as{' '}
            <WordMenu
              label="How sets are strung together"
              text={scheme?.label ?? prescriptionDocument.scheme}
              value={prescriptionDocument.scheme}
              options={planning.schemes.map((otherScheme) => ({
                value: otherScheme.scheme,
                label: otherScheme.label,
                note: otherScheme.how,
              }))}
              onChange={(value) =>
                void answer(
                  api.POST('/api/weeks/prescriptions', {
                    body: {
                      scheme: value as Prescription['scheme'],
                      prescription: prescriptionDocument,
                    },
                  }),
                ).then((next) =>
                  change(
                    planning.schemes.find((otherScheme) => otherScheme.scheme === value)?.label ??
                      value,
                    next,
                  ),
                )
              }
            />
            .
          </p>
          <Stringing
            key={item.id}
            p={prescriptionDocument}
            oneLeg={item.oneLeg}
            limits={limits}
            change={change}
          />
          <Loads item={item} unit={unit} onUnit={onUnit} />
        </>
      )}
      <p className="flex flex-wrap gap-x-3 gap-y-1">
        <Button
          aria-pressed={item.pinned}
          onClick={() =>
            edit(item.pinned ? `${item.name} unlocked` : `${item.name} locked`, (plan) =>
              pin(plan, item.id, !item.pinned),
            )
          }
        >
          {item.pinned ? 'Unlock' : 'Lock'}
        </Button>
        <Button
          aria-expanded={swapping}
          onClick={() => setSwapping(!swapping)}
          disabled={item.refusal !== undefined}
        >
          Swap
        </Button>
        {bout && bout.items.length > 1 ? (
          <Button
            onClick={() =>
              edit('one after the other', (plan) => takeApart(plan, positionOf(plan, item.id)!))
            }
          >
            Take apart
          </Button>
        ) : (
          follows && (
            <Button
              onClick={() =>
                edit('in turn', (plan) => joinWithNext(plan, positionOf(plan, item.id)!))
              }
            >
              Superset with next
            </Button>
          )
        )}
        {at && (
          <span className="self-center">
            Move{' '}
            <WordMenu
              label="Move it"
              text="to"
              options={[
                ...(at.bout > 0 ? [{ value: 'earlier', label: 'earlier in the session' }] : []),
                ...(follows ? [{ value: 'later', label: 'later in the session' }] : []),
                ...week.days.flatMap((day, k) =>
                  k === at.day ? [] : [{ value: String(k), label: WEEKDAYS[day.weekday - 1]! }],
                ),
              ]}
              onChange={(value) =>
                edit(`${item.name} moved`, (plan) => moved(plan, item.id, value))
              }
            />
          </span>
        )}
        <Button onClick={() => edit(`${item.name} taken out`, (plan) => takeOut(plan, item.id))}>
          Take out
        </Button>
      </p>
      {swapping && (
        <Swaps
          week={week}
          item={item}
          catalogue={catalogue}
          edit={edit}
          onDone={() => setSwapping(false)}
        />
      )}
      {!item.refusal && (
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
            {item.remarks.map((remark) => (
              <li key={remark} className="text-ink-2">
                {remark}
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
      )}
    </section>
  )
}

/** Where dragging would put it: a place earlier or later, or the end of another day. */
function moved(plan: Plan, itemId: string, to: string): Plan {
  const at = positionOf(plan, itemId)!
  if (to === 'earlier') return moveBout(plan, at, { ...at, bout: at.bout - 1 })
  if (to === 'later') return moveBout(plan, at, { ...at, bout: at.bout + 2 })
  return moveBout(plan, at, { day: Number(to), bout: bouts(plan, Number(to)).length })
}

/** Lighter sets, then the sets, with the plates of one side. */
function Loads({
  item,
  unit,
  onUnit,
}: {
  item: WeekItem
  unit: MassUnit
  onUnit: (u: MassUnit) => void
}) {
  const load = item.load
  if (!load) return null
  const known = load.sets.some((set) => set.load)
  return (
    <div className="border-y border-rule py-1">
      <p>
        <b>Load:</b>{' '}
        {known ? (
          <>
            {load.lowKg < load.highKg
              ? `${mass(load.lowKg, unit)}–${mass(load.highKg, unit)}`
              : mass(load.sets.find((set) => set.load)!.load!.kg, unit)}{' '}
            <button
              type="button"
              aria-label={`Unit: ${unit}`}
              className="border-b-2 border-dotted border-accent font-semibold"
              onClick={() => onUnit(unit === 'kg' ? 'lb' : 'kg')}
            >
              {unit}
            </button>{' '}
          </>
        ) : null}
        <span className="text-ink-2">{load.basis}.</span>
      </p>
      {known && (
        <table className="w-full">
          <tbody>
            {load.warmUps.map((warmUp, k) => (
              <tr key={`w${k}`} className="text-ink-2">
                <td>warm-up</td>
                <td className="text-right">{warmUp.repetitions} ×</td>
                <td className="px-2 text-right">{mass(warmUp.load.kg, unit)}</td>
                <td>{platesWords(warmUp.load, unit)}</td>
              </tr>
            ))}
            {load.sets.map((set, k) => (
              <tr key={k}>
                <td title={set.note}>
                  {set.drop > 0
                    ? 'drop'
                    : `set ${load.sets.slice(0, k + 1).filter((line) => line.drop === 0).length}`}
                </td>
                <td className="text-right">{range(set.repetitionsLow, set.repetitionsHigh)} ×</td>
                <td className="px-2 text-right font-semibold">
                  {set.load ? mass(set.load.kg, unit) : '–'}
                </td>
                <td>
                  {k === 0 || set.load?.kg !== load.sets[k - 1]!.load?.kg
                    ? set.load && platesWords(set.load, unit)
                    : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {load.sets.some((set) => set.load?.plates === 'USUAL') && (
        <p className="text-xs text-ink-2">
          With the usual plates: this gym has not said which it owns.
        </p>
      )}
    </div>
  )
}

const JOINTS = [
  { id: 'KNEE', label: 'knee' },
  { id: 'HIP', label: 'hip' },
  { id: 'LOWER_BACK', label: 'lower back' },
  { id: 'ANKLE', label: 'ankle' },
]

/** The next best for the same job, given what is taken or hurts. */
function Swaps({
  week,
  item,
  catalogue,
  edit,
  onDone,
}: {
  week: Week
  item: WeekItem
  catalogue: Catalogue
  edit: Edit
  onDone: () => void
}) {
  const needs = catalogue.exercises.find((exercise) => exercise.id === item.exerciseId)?.needs ?? []
  const [taken, setTaken] = useState<string[]>([])
  const [hurting, setHurting] = useState<string[]>([])
  const swaps = useSwaps(week.id, item.id, taken, hurting, true)
  const toggle = (list: string[], id: string) =>
    list.includes(id) ? list.filter((text) => text !== id) : [...list, id]
  const chip = (on: boolean) =>
    `min-h-7 border px-2 ${on ? 'border-ink bg-ink text-paper' : 'border-edge hover:border-ink'}`
  return (
    <div role="group" aria-label="Swap" className="border-l-2 border-accent pl-2">
      <p className="flex flex-wrap items-center gap-1">
        {needs.length > 0 && <span className="text-ink-2">Taken:</span>}
        {needs.map((id) => (
          <button
            key={id}
            type="button"
            aria-pressed={taken.includes(id)}
            className={chip(taken.includes(id))}
            onClick={() => setTaken(toggle(taken, id))}
          >
            {catalogue.equipment.find((equipment) => equipment.id === id)?.name ?? id}
          </button>
        ))}
      </p>
      <p className="mt-1 flex flex-wrap items-center gap-1">
        <span className="text-ink-2">Hurts:</span>
        {JOINTS.map((j) => (
          <button
            key={j.id}
            type="button"
            aria-pressed={hurting.includes(j.id)}
            className={chip(hurting.includes(j.id))}
            onClick={() => setHurting(toggle(hurting, j.id))}
          >
            {j.label}
          </button>
        ))}
      </p>
      {swaps.data?.length === 0 && <p className="py-1">Nothing here does this job then.</p>}
      <ol>
        {swaps.data?.map((otherSwap) => (
          <li key={otherSwap.candidateId} className="border-b border-rule/60 py-1">
            <button
              type="button"
              className="text-left font-semibold text-accent-2 underline underline-offset-2"
              onClick={() => {
                edit(`${item.name} swapped for ${otherSwap.name}`, (plan) =>
                  swap(plan, item.id, otherSwap.candidateId, otherSwap.prescription),
                )
                onDone()
              }}
            >
              {otherSwap.name}
            </button>
            <span className="block text-xs text-ink-2">{otherSwap.changes.join('; ')}</span>
          </li>
        ))}
      </ol>
    </div>
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
