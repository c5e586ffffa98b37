import { useEffect, useState } from 'react'
import { z } from 'zod/mini'
import type { Floor } from './useFloor'
import type { NextStep } from './walk'
import { beginning, tempoPhases } from './walk'
import { platesWords, range } from '../plans/words'
import { useTypedForm } from '../../ui/forms'
import { Big, LoadStepper, Pick, Stepper, repetitionsTyped } from './Controls'
import { readySound } from './sound'
import { Tempo } from './Tempo'
import { Watch } from './Watch'
import { draftOf } from './draft'
import type { Taken } from './Watch'
import { Thumb } from '../../chart/stage/Thumb'
import { trim } from '../../quantity/number'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

const SIDES = { NONE: 'both legs', LEFT: 'left leg', RIGHT: 'right leg' } as const
const RESERVES = [0, 1, 2, 3, 4]

/** One step: what it is, and the controls to write it down. Keyed by the step, so that each begins with its own figures. */
export function Doing({
  floor,
  at,
  unit,
  onTaken,
}: {
  floor: Floor
  at: NextStep
  unit: MassUnit
  onTaken: () => void
}) {
  const exercise = at.item.item.exercise
  const { step } = at
  const draft = draftOf(`${floor.walk.sessionId} ${at.item.item.id} ${step.key}`)
  const [begin] = useState(() => draft.kept() ?? beginning(at))
  const [kg, setKg] = useState(begin.loadKg)
  const [repetitions, setRepetitions] = useState(begin.repetitions)
  const [reserve, setReserve] = useState<number>(begin.reserve)
  useEffect(() => draft.keep({ loadKg: kg, repetitions, reserve }))
  const [counting, setCounting] = useState(false)
  const [watching, setWatching] = useState(false)
  const [watched, setWatched] = useState<Taken>()
  const [busy, setBusy] = useState(false)
  const [failed, setFailed] = useState('')
  const warm = step.kind === 'WARM_UP'
  const say = (load: number) => {
    setKg(load)
    setFailed('')
  }
  const log = async () => {
    if (kg === undefined) {
      setFailed('Say the load first, or choose body weight.')
      return
    }
    readySound()
    setBusy(true)
    try {
      await floor.log(at, {
        kind: step.kind === 'DROP' ? 'DROP' : 'WORK',
        number: step.number,
        side: step.side,
        loadKg: kg,
        repetitions,
        reserve,
        felt: [],
        ...watched?.figures,
      })
      draft.forget()
    } catch {
      setBusy(false)
      setFailed(
        'This device could not keep the set: is its storage full, or private browsing on? Nothing was cleared; try again.',
      )
    }
  }
  return (
    <>
      <StepHead floor={floor} at={at} unit={unit} />
      <Guide floor={floor} at={at} unit={unit} />
      <div className="mt-auto space-y-1.5 pt-2">
        {warm ? (
          <>
            <div className="grid grid-cols-2 gap-1">
              <SmallButton onClick={onTaken} disabled={exercise.swaps.length === 0}>
                Machine busy?
              </SmallButton>
              <SmallButton onClick={() => void floor.passWarmUps(at)}>Skip warm-up</SmallButton>
            </div>
            <Big onClick={() => void floor.pass(at)}>Warm-up set done</Big>
          </>
        ) : (
          <>
            <LoadStepper kg={kg} loads={exercise.loads} unit={unit} onKg={say} />
            {kg === undefined && (
              <SmallButton onClick={() => say(0)}>Body weight, nothing added</SmallButton>
            )}
            <Stepper
              label="Repetitions"
              value={String(repetitions)}
              onLess={() => setRepetitions(Math.max(1, repetitions - 1))}
              onMore={() => setRepetitions(Math.min(200, repetitions + 1))}
              onType={(text) => repetitionsTyped(text, setRepetitions)}
            />
            <Pick
              label="In reserve"
              options={RESERVES.map((r) => ({ value: r, label: r === 4 ? '4+' : String(r) }))}
              value={reserve >= 4 ? 4 : reserve}
              onPick={setReserve}
            />
            {watched && (
              <p className="border-l-2 border-accent pl-2 text-sm" data-testid="watched-words">
                Watched: {watched.words.length > 0 ? watched.words.join(' ') : 'as it was asked.'}
              </p>
            )}
            {failed && (
              <p role="alert" className="border-l-2 border-warn pl-2 text-sm">
                {failed}
              </p>
            )}
            <div className="grid grid-cols-4 gap-1">
              <SmallButton
                onClick={() => setCounting(true)}
                disabled={tempoPhases(exercise).length === 0}
              >
                Tempo
              </SmallButton>
              <SmallButton onClick={() => setWatching(true)}>Watch</SmallButton>
              <SmallButton onClick={onTaken} disabled={exercise.swaps.length === 0}>
                Machine busy?
              </SmallButton>
              <SmallButton onClick={() => void floor.pass(at)}>Skip</SmallButton>
            </div>
            <Big disabled={busy} onClick={() => void log()}>
              Log {step.kind === 'DROP' ? `drop ${step.number}` : `set ${step.number}`}
              {step.side === 'NONE' ? '' : `, ${step.side === 'LEFT' ? 'left' : 'right'}`}
            </Big>
          </>
        )}
      </div>
      {watching && (
        <Watch
          clientId={floor.walk.clientId}
          exercise={exercise}
          onTake={(taken) => {
            setRepetitions(taken.repetitions)
            setWatched(taken)
          }}
          onClose={() => setWatching(false)}
        />
      )}
      {counting && <Tempo exercise={exercise} onClose={() => setCounting(false)} />}
    </>
  )
}

export function SmallButton({
  children,
  onClick,
  disabled = false,
}: {
  children: React.ReactNode
  onClick: () => void
  disabled?: boolean
}) {
  return (
    <button
      type="button"
      disabled={disabled}
      className="min-h-[48px] border border-edge px-1 text-base disabled:opacity-40"
      onClick={onClick}
    >
      {children}
    </button>
  )
}

export function StepHead({ at, unit }: { floor: Floor; at: NextStep; unit: MassUnit }) {
  const exercise = at.item.item.exercise
  const { step } = at
  const kind = step.kind === 'WARM_UP' ? 'Warm-up set' : step.kind === 'DROP' ? 'Drop' : 'Set'
  return (
    <header>
      <h1 className="flex items-center gap-2 text-2xl leading-tight">
        <span className="flex-1">{exercise.name}</span>
        <Thumb candidateId={exercise.candidateId} className="-my-1 size-14" />
      </h1>
      <p className="text-base">
        <b>
          {kind} {at.at} of {at.of}
        </b>
        {step.side !== 'NONE' && <b className="text-accent"> · {SIDES[step.side]}</b>}
        {step.note && <span className="text-ink-2"> · {step.note}</span>}
      </p>
      <div className="mt-1 flex items-baseline gap-3 border-y border-ink py-1">
        <p className="text-5xl font-semibold tracking-tight whitespace-nowrap" data-testid="load">
          {step.load ? (step.load.kg > 0 ? mass(step.load.kg, unit) : 'body') : 'light'}
          {step.load && step.load.kg > 0 && <span className="text-2xl font-normal"> {unit}</span>}
        </p>
        <p className="text-base leading-snug">
          <b>
            {range(step.repetitionsLow, step.repetitionsHigh)} repetitions
            {step.asBefore ? ', no more than the other side' : ''}
          </b>
          {step.load && platesWords(step.load, unit) && (
            <span className="block">{platesWords(step.load, unit)}</span>
          )}
          {step.putOn.length > 0 && step.load && step.putOn.length < step.load.perSide.length && (
            <span className="block text-sm text-ink-2">
              put on {step.putOn.map((k) => mass(k, unit)).join(' + ')} a side
            </span>
          )}
        </p>
      </div>
    </header>
  )
}

/** What is known of it: last time, why this load, marks, set-up, cues, stop signs. */
function Guide({ floor, at, unit }: { floor: Floor; at: NextStep; unit: MassUnit }) {
  const exercise = at.item.item.exercise
  const last = exercise.last?.sets.filter((set) => set.kind === 'WORK')
  return (
    <div className="min-h-0 flex-1 overflow-auto py-1.5 text-base leading-snug">
      {exercise.agreed.map((first) => (
        <p key={first} className="font-semibold">
          Agreed: {first}
        </p>
      ))}
      {exercise.basis && <p>{exercise.basis}</p>}
      <p data-testid="floor-last">
        <b>Last time:</b>{' '}
        {last && last.length > 0
          ? `${last.map((set) => `${set.loadKg > 0 ? mass(set.loadKg, unit) : 'body'} × ${set.repetitions}${set.side === 'NONE' ? '' : set.side === 'LEFT' ? ' l' : ' r'}`).join(', ')}${last.some((set) => set.loadKg > 0) ? ` (${unit})` : ''}`
          : 'not in this set-up yet'}
        {exercise.prescription && exercise.prescription.reserve > 0
          ? ` · leave ${trim(exercise.prescription.reserve, 1)} today`
          : ''}
      </p>
      <Mark
        key={exercise.candidateId}
        words={exercise.mark}
        onWords={(word) => void floor.mark(exercise.candidateId, word)}
      />
      {exercise.cues.slice(0, 2).map((cue) => (
        <p key={cue} className="text-lg leading-snug">
          {cue}
        </p>
      ))}
      <p>
        <b className="text-warn">Stop:</b> {exercise.stopSigns.join(' ')}
      </p>
      {exercise.setup.length > 0 && (
        <details open={at.step.kind === 'WARM_UP'}>
          <summary className="min-h-[48px] content-center text-ink-2">
            Set-up:{' '}
            {exercise.setup
              .slice(0, 2)
              .map((word) => `${word.label.toLowerCase()} ${word.value}`)
              .join(', ')}
            {exercise.setup.length > 2 ? ' …' : ''}
          </summary>
          <dl className="grid grid-cols-[1fr_auto] gap-x-3">
            {exercise.setup.map((word) => (
              <div key={word.label} className="contents">
                <dt>{word.label}</dt>
                <dd className="text-right font-semibold">{word.value}</dd>
              </div>
            ))}
          </dl>
        </details>
      )}
      {[...exercise.cautions, ...floor.walk.statements].map((candidate) => (
        <p key={candidate} className="text-ink-2">
          {candidate}
        </p>
      ))}
    </div>
  )
}

/** Settings of this machine for this client, as they are read off it. */
function Mark({ words, onWords }: { words: string; onWords: (w: string) => void }) {
  const [writing, setWriting] = useState(false)
  if (!writing) {
    return (
      <button
        type="button"
        className="my-0.5 flex min-h-[48px] w-full items-center border-l-2 border-accent pl-2 text-left text-base"
        onClick={() => setWriting(true)}
      >
        {words ? (
          <span>
            <span className="text-ink-2">Marks: </span>
            <b>{words}</b>
          </span>
        ) : (
          <span className="text-ink-2">Note this machine’s settings: seat, pad, pin …</span>
        )}
      </button>
    )
  }
  return (
    <WriteMark
      words={words}
      onWords={(text) => {
        onWords(text)
        setWriting(false)
      }}
    />
  )
}

const MARK = z.object({ text: z.string() })

function WriteMark({ words, onWords }: { words: string; onWords: (w: string) => void }) {
  const form = useTypedForm({ reads: MARK, begins: { text: words } })
  return (
    <form className="my-1 flex gap-1" onSubmit={form.whenRead(({ text }) => onWords(text))}>
      <input
        aria-label="Marks"
        autoFocus
        maxLength={200}
        className="min-h-[48px] min-w-0 flex-1 border border-ink px-2 text-base"
        placeholder="Seat 4 · roller 2"
        {...form.register('text')}
      />
      <button type="submit" className="min-h-[48px] border border-ink bg-ink px-3 text-paper">
        Keep
      </button>
    </form>
  )
}
