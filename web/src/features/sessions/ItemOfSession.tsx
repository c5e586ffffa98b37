import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { answer, api } from '../../api/client'
import type { Catalogue, Session, SessionItem } from '../../api/client'
import { useBenchOnce } from '../../api/queries'
import { Stage } from '../../chart/stage/Stage'
import { frame } from '../../chart/stage/scene'
import { day, setWords } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Trouble, Undo } from '../../ui/Notice'
import { writeSetup } from '../bench/address'
import { ClientWarnings, LoadWords } from '../order/ForClient'
import { SetupTable } from '../order/SetupTable'
import { LogSet } from './LogSet'

type LoggedSet = SessionItem['sets'][number]

/** One exercise of a session: what to do, how to set it up, and what was done. */
export function ItemOfSession({
  number,
  item,
  session,
  catalogue,
  onChange,
  onTakenOut,
}: {
  number: number
  item: SessionItem
  session: Session
  catalogue: Catalogue
  onChange: (s: Session) => void
  onTakenOut: (item: SessionItem) => void
}) {
  const exercise = catalogue.exercises.find((otherExercise) => otherExercise.id === item.exerciseId)
  const path = { id: session.id, itemId: item.id }
  const unpin = useMutation({
    mutationFn: () => answer(api.DELETE('/api/sessions/{id}/items/{itemId}', { params: { path } })),
    onSuccess: (otherSession: Session) => {
      onTakenOut(item)
      onChange(otherSession)
    },
  })
  const bench = new URLSearchParams({
    client: session.clientId,
    gym: session.gymId,
    candidate: item.candidateId,
    set: writeSetup(item.setup),
  })
  return (
    <section
      aria-label={item.name}
      className="grid gap-x-5 gap-y-1 border-b border-rule py-3 break-inside-avoid lg:grid-cols-[13rem_minmax(0,1fr)_minmax(0,1.1fr)] print:grid-cols-[9rem_minmax(0,1fr)_minmax(0,1fr)] print:py-2"
    >
      {item.byWord ? (
        <ByWord item={item} session={session} />
      ) : (
        <Picture item={item} session={session} />
      )}
      <div>
        <h2 className="text-lg leading-tight">
          {number}. {item.name}
        </h2>
        {item.prescribed.length > 0 ? (
          item.prescribed.map((line, k) => (
            <p key={line} className={`text-sm ${k === 0 ? 'font-semibold' : ''}`}>
              {line}
            </p>
          ))
        ) : (
          <p className="text-sm text-ink-2">{item.repetitions} repetitions a set</p>
        )}
        {item.refusal && (
          <ClientWarnings refusal={item.refusal} statements={[]} who={session.clientName} />
        )}
        {item.load &&
          item.prescribed.length === 0 &&
          !session.finishedAt &&
          !item.lastTime?.sameSetup && <LoadWords load={item.load} />}
        {exercise && <SetupTable parameters={exercise.parameters} setup={item.setup} />}
        <ul className="mt-1 text-sm">
          {item.cues.slice(0, 2).map((cue) => (
            <li key={cue}>{cue}</li>
          ))}
          <li>
            <b className="text-warn">Stop signs:</b> {item.stopSigns.join(' ')}
          </li>
          {item.cautions.map((caution) => (
            <li key={caution} className="text-ink-2">
              {caution}
            </li>
          ))}
        </ul>
        <p className="no-print mt-1 flex gap-3">
          {!item.byWord && (
            <Link className="text-sm text-accent-2 underline" to={`/bench?${bench}`}>
              See its set-up
            </Link>
          )}
          {item.sets.length === 0 && !session.finishedAt && (
            <Button
              look="bare"
              className="!min-h-0 !p-0"
              disabled={unpin.isPending}
              onClick={() => unpin.mutate()}
            >
              Take out
            </Button>
          )}
        </p>
        {unpin.isError && <Trouble error={unpin.error} />}
      </div>
      <DoneSets item={item} session={session} onChange={onChange} />
    </section>
  )
}

/** What was done last time and today, and what is to be written down. */
function DoneSets({
  item,
  session,
  onChange,
}: {
  item: SessionItem
  session: Session
  onChange: (s: Session) => void
}) {
  const path = { id: session.id, itemId: item.id }
  const [removed, setRemoved] = useState<LoggedSet | null>(null)
  const remove = useMutation({
    mutationFn: (set: LoggedSet) =>
      answer(
        api.DELETE('/api/sessions/{id}/items/{itemId}/sets/{setId}', {
          params: { path: { ...path, setId: set.id } },
        }),
      ),
    onSuccess: (otherSession: Session, set) => {
      setRemoved(set)
      onChange(otherSession)
    },
  })
  const restore = useMutation({
    mutationFn: (set: LoggedSet) =>
      answer(
        api.PUT('/api/sessions/{id}/items/{itemId}/sets/{setId}', {
          params: { path: { ...path, setId: set.id } },
          body: { loadKg: set.loadKg, repetitions: set.repetitions, reserve: set.reserve },
        }),
      ),
    onSuccess: (otherSession: Session) => {
      setRemoved(null)
      onChange(otherSession)
    },
  })
  return (
    <div>
      <p className="text-sm" data-testid="last-time">
        <b>Last time:</b>{' '}
        {item.lastTime ? (
          <>
            {day(item.lastTime.performedAt)}
            {item.lastTime.sameSetup ? '' : ', in another set-up'}:{' '}
            {item.lastTime.sets.map(setWords).join('; ')}
          </>
        ) : (
          'never done before'
        )}
      </p>
      <ol className="mt-1">
        {item.sets.map((set, k) => (
          <li
            key={set.id}
            className="flex items-baseline gap-2 border-b border-rule/60 py-0.5"
            data-testid="set"
          >
            <span className="text-ink-2">{k + 1}</span>
            <span className="flex-1">{setWords(set)}</span>
            {!session.finishedAt && (
              <Button
                look="bare"
                className="no-print !min-h-6 !py-0"
                aria-label={`Remove set ${k + 1} of ${item.name}`}
                onClick={() => remove.mutate(set)}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ol>
      {removed && (
        <Undo
          text={`Removed: ${setWords(removed)}.`}
          pending={restore.isPending}
          onUndo={() => restore.mutate(removed)}
        />
      )}
      {[remove, restore].map((x, k) => x.isError && <Trouble key={k} error={x.error} />)}
      {!session.finishedAt && <LogSet sessionId={session.id} item={item} onLogged={onChange} />}
      <WritingLines from={item.sets.length} />
    </div>
  )
}

/** Lines to write on, on paper only. */
function WritingLines({ from }: { from: number }) {
  const rows = Math.max(0, 4 - from)
  return (
    <table className="print-only mt-1 w-full text-left">
      <thead>
        <tr>
          <th className="w-8 font-normal">set</th>
          <th className="font-normal">load</th>
          <th className="font-normal">repetitions</th>
          <th className="font-normal">in reserve</th>
          <th className="font-normal">felt where, pain</th>
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: rows }, (_, k) => (
          <tr key={k} className="h-6 border-b border-rule">
            <td>{from + k + 1}</td>
            <td colSpan={4} />
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Stands where a computed exercise has its picture. */
function ByWord({ item, session }: { item: SessionItem; session: Session }) {
  const said = new URLSearchParams({
    client: session.clientId,
    gym: session.gymId,
    show: item.candidateId,
  })
  return (
    <p className="border border-dashed border-rule p-3 text-sm text-ink-2">
      By word, not computed.{' '}
      <Link className="no-print text-accent-2 underline" to={`/exercises/by-word?${said}`}>
        What is said of it
      </Link>
    </p>
  )
}

/** The client at the bottom of this set-up. */
function Picture({ item, session }: { item: SessionItem; session: Session }) {
  const bench = useBenchOnce({
    sides: [
      {
        clientId: session.clientId,
        gymId: session.gymId,
        candidateId: item.candidateId,
        setup: item.setup,
        stiffToday: session.brief.stiffToday,
      },
    ],
  })
  const side = bench.data?.sides[0]
  const bottom = side?.phases.at(-1)
  if (!bottom || !side) return <div className="h-40" />
  return (
    <Stage
      plain
      drawing={bottom.side}
      box={frame([bottom.side])}
      label={`${item.name}, bottom position`}
      className="h-44 w-full print:h-32"
    />
  )
}
