import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { answer, api } from '../../api/client'
import type { Catalogue, Session, SessionItem } from '../../api/client'
import { keys, useBenchOnce, useCatalogue, useSession } from '../../api/queries'
import { Stage } from '../../chart/stage/Stage'
import { frame } from '../../chart/stage/scene'
import { day, setWords } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Trouble, Undo, Waiting } from '../../ui/Notice'
import { writeSetup } from '../bench/address'
import { DEFAULT_PRESET, writeBrief } from '../brief/brief'
import { BriefWords } from '../brief/BriefLine'
import { useIsAbout } from '../brief/keptBrief'
import { ClientWarnings, LoadWords } from '../order/ForClient'
import { SetupTable } from '../order/SetupTable'
import { AddByName } from './AddByName'
import { LogSet } from './LogSet'

type LoggedSet = SessionItem['sets'][number]

/** One session: its sheet to print, and its sets to log. */
export function SessionPage() {
  const { id } = useParams()
  const session = useSession(id!)
  const catalogue = useCatalogue()
  const queries = useQueryClient()
  const put = (otherSession: Session) => {
    queries.setQueryData(keys.session(otherSession.id), otherSession)
    void queries.invalidateQueries({ queryKey: ['sessions'] })
  }
  const [takenOut, setTakenOut] = useState<SessionItem | null>(null)
  const putBack = useMutation({
    mutationFn: (item: SessionItem) =>
      answer(
        api.POST('/api/sessions/{id}/items', {
          params: { path: { id: id! } },
          body: { candidateId: item.candidateId, setup: item.setup },
        }),
      ),
    onSuccess: (otherSession: Session) => {
      setTakenOut(null)
      put(otherSession)
    },
  })
  const finish = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/sessions/{id}/finish', { params: { path: { id: id! } } })),
    onSuccess: put,
  })
  const reopen = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/sessions/{id}/reopen', { params: { path: { id: id! } } })),
    onSuccess: put,
  })
  useIsAbout(session.data?.clientId)
  const failed = [session, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!session.data || !catalogue.data) return <Waiting what="Loading the session" />
  const s = session.data
  const back = writeBrief(
    {
      client: s.clientId,
      gym: s.gymId,
      aim: s.brief.aim,
      keepOut: s.brief.keepOut,
      school: s.brief.school,
      preset: DEFAULT_PRESET,
      weights: {},
      stiff: s.brief.stiffToday,
    },
    new URLSearchParams(),
  )
  return (
    <article>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
        <h1 className="text-xl">
          {s.finishedAt ? 'Session' : 'Open session'} · {day(s.createdAt)}
        </h1>
        <span className="no-print ml-auto flex flex-wrap gap-2">
          <Link
            className="inline-flex min-h-8 items-center border border-edge px-3 text-sm font-medium hover:border-ink"
            to={`/exercises?${back}`}
          >
            Back to exercises
          </Link>
          {!s.finishedAt && (
            <Link
              className="inline-flex min-h-8 items-center border border-edge px-3 text-sm font-medium hover:border-ink"
              to={`/floor/${s.id}`}
            >
              Train
            </Link>
          )}
          {!s.finishedAt && <AddByName session={s} onAdded={put} />}
          <Button onClick={() => window.print()} disabled={s.items.length === 0}>
            Print the sheet
          </Button>
          {!s.finishedAt && (
            <Button
              look="ink"
              disabled={finish.isPending || s.items.every((item) => item.sets.length === 0)}
              onClick={() => finish.mutate()}
            >
              Finish
            </Button>
          )}
          {s.finishedAt && (
            <Button disabled={reopen.isPending} onClick={() => reopen.mutate()}>
              Open it again
            </Button>
          )}
        </span>
      </div>
      {finish.isError && <Trouble error={finish.error} />}
      {reopen.isError && <Trouble error={reopen.error} />}
      <BriefWords
        catalogue={catalogue.data}
        clientName={s.clientName}
        gymName={s.gymName}
        brief={s.brief}
      />
      <ClientWarnings statements={s.statements} who={s.clientName} />
      {s.items.length === 0 && (
        <p className="py-4">Nothing here yet. Choose from the ranking, or add by name.</p>
      )}
      {s.items.map((item, k) => (
        <Item
          key={item.id}
          number={k + 1}
          item={item}
          session={s}
          catalogue={catalogue.data}
          onChange={put}
          onTakenOut={setTakenOut}
        />
      ))}
      {takenOut && (
        <Undo
          text={`${takenOut.name} was taken out.`}
          pending={putBack.isPending}
          onUndo={() => putBack.mutate(takenOut)}
        />
      )}
      {putBack.isError && <Trouble error={putBack.error} />}
      <p className="print-only mt-2 text-xs">
        Sharp or new pain, swelling, locking, numbness: stop, and see a licensed clinician. Safeties
        set before loading.
      </p>
    </article>
  )
}

function Item({
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
        {item.load && item.prescribed.length === 0 && !session.finishedAt && (
          <LoadWords load={item.load} />
        )}
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
    </section>
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
