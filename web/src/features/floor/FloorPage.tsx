import { useEffect, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useAccount, useClients, useSessions } from '../../api/queries'
import { day } from '../../quantity/format'
import { Trouble, Waiting } from '../../ui/Notice'
import { Gate } from '../account/Gate'
import { Differences } from './Differences'
import { Doing } from './Doing'
import { Overview } from './Overview'
import { RestBell } from './Rest'
import { Resting } from './Resting'
import { Swaps } from './Swaps'
import { Big, DeskLink } from './Controls'
import { lastCoach, progressOf, rememberCoach } from './store'
import { useFloor, useKept, useSync, useTaken, useWaiting } from './useFloor'
import type { Floor } from './useFloor'
import type { SyncState } from './sync'
import { clock, useNow } from './useNow'
import { useWakeLock } from './useWakeLock'
import { useMassUnit } from '../../quantity/units'

/** The floor: for the telephone, one thumb, bad wifi. Opens without a network for the coach who was signed in here last. */
export function FloorPage() {
  const account = useAccount()
  const known = useKept(lastCoach, [])
  const signedIn = account.data?.signedIn ? account.data.id : undefined
  useEffect(() => {
    if (signedIn) void rememberCoach(signedIn)
  }, [signedIn])
  const coachId = account.data ? signedIn : known
  return (
    <div className="mx-auto flex h-dvh max-w-[560px] flex-col px-2 pb-2">
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        {coachId ? (
          <Sessions coachId={coachId} />
        ) : account.isPending && known === undefined && account.fetchStatus === 'paused' ? (
          <NothingHere />
        ) : (
          <Gate>{null}</Gate>
        )}
      </main>
    </div>
  )
}

function NothingHere() {
  return (
    <p className="p-4 text-lg">
      There is no network, and nothing was taken along to this device yet.
    </p>
  )
}

function Sessions({ coachId }: { coachId: string }) {
  const { id } = useParams()
  const taken = useTaken(coachId)
  const state = useSync(coachId)
  const [adding, setAdding] = useState(false)
  const navigate = useNavigate()
  const first = taken?.[0]?.sessionId
  useEffect(() => {
    if (!id && first && !adding) void navigate(`/floor/${first}`, { replace: true })
  }, [id, first, adding, navigate])
  if (!taken) return <Waiting what="Opening" />
  return (
    <>
      <nav
        aria-label="Clients on the floor"
        className="flex items-stretch gap-1 border-b-2 border-ink py-1"
      >
        {taken.slice(0, 4).map((walk) => (
          <Tab
            key={walk.sessionId}
            sessionId={walk.sessionId}
            name={walk.walk.clientName}
            now={walk.sessionId === id && !adding}
            onGo={() => {
              setAdding(false)
              void navigate(`/floor/${walk.sessionId}`)
            }}
          />
        ))}
        <button
          type="button"
          aria-label="Another client"
          className={`min-h-[48px] w-[48px] border text-2xl ${adding ? 'border-ink bg-ink text-paper' : 'border-edge'}`}
          onClick={() => setAdding(!adding)}
        >
          +
        </button>
      </nav>
      <Status coachId={coachId} state={state} />
      {adding || !id ? (
        <Choose
          taken={taken.map((walk) => walk.sessionId)}
          onTake={(text) => {
            setAdding(false)
            void navigate(`/floor/${text}`)
          }}
        />
      ) : (
        <One key={id} coachId={coachId} sessionId={id} />
      )}
    </>
  )
}

/** A client's tab with what is left of the rest: nobody's timer is lost. */
function Tab({
  sessionId,
  name,
  now,
  onGo,
}: {
  sessionId: string
  name: string
  now: boolean
  onGo: () => void
}) {
  const progress = useKept(() => progressOf(sessionId), [sessionId])
  const until = progress?.restUntil
  const at = useNow(250, until !== undefined)
  return (
    <button
      type="button"
      aria-current={now ? 'page' : undefined}
      className={`min-h-[48px] min-w-0 flex-1 border px-1 leading-tight ${now ? 'border-ink bg-ink text-paper' : 'border-edge'}`}
      onClick={onGo}
    >
      <span className="block truncate text-base font-semibold">{name.split(' ')[0]}</span>
      <span className="block text-xs tabular-nums">
        {until === undefined ? ' ' : until > at ? clock(until - at) : 'ready'}
      </span>
      <RestBell until={until} />
    </button>
  )
}

const STATE: Record<SyncState, string> = {
  idle: '',
  sending: 'sending',
  offline: 'no network',
  'signed-out': 'signed out',
}

function Status({ coachId, state }: { coachId: string; state: SyncState }) {
  const waiting = useWaiting(coachId)
  const account = useAccount()
  const n = waiting?.toSend ?? 0
  const out = state === 'signed-out' || (account.data && !account.data.signedIn)
  return (
    <>
      <p role="status" data-testid="floor-status" className="min-h-[18px] text-xs text-ink-2">
        <span>
          {n === 0
            ? waiting && waiting.conflicts.length + waiting.refused.length > 0
              ? 'Something waits for your word.'
              : state === 'offline'
                ? 'No network. What you log is kept on this device.'
                : 'Everything is saved.'
            : `${n} kept on this device, ${state === 'sending' || state === 'idle' ? 'sending' : STATE[state]}.`}
        </span>
      </p>
      {out && (
        <p role="alert" className="border-l-2 border-warn pl-2 text-sm">
          Signed out. Everything logged is kept here and goes when you are signed in again:{' '}
          <Link className="underline" to="/">
            sign in
          </Link>
          .
        </p>
      )}
      {waiting && (waiting.conflicts.length > 0 || waiting.refused.length > 0) && (
        <Differences conflicts={waiting.conflicts} refused={waiting.refused} />
      )}
    </>
  )
}

function One({ coachId, sessionId }: { coachId: string; sessionId: string }) {
  const { floor, error, missing } = useFloor(coachId, sessionId)
  if (!floor)
    return missing || error ? (
      <Trouble error={error ?? new Error('This session is not on this device.')} />
    ) : (
      <Waiting what="Taking the session along" />
    )
  return <OnTheFloor floor={floor} />
}

function OnTheFloor({ floor }: { floor: Floor }) {
  useWakeLock()
  const [unit] = useMassUnit()
  const [view, setView] = useState<'step' | 'all'>('step')
  const [swapping, setSwapping] = useState<string | null>(null)
  const last = floor.items
    .flatMap((item) => item.sets)
    .find((set) => set.id === floor.progress.lastSet)
  const at = floor.nextStep
  if (floor.walk.finishedAt) return <Finished floor={floor} />
  if (swapping)
    return <Swaps floor={floor} itemId={swapping} unit={unit} onClose={() => setSwapping(null)} />
  if (view === 'all') return <Overview floor={floor} unit={unit} onClose={() => setView('step')} />
  return (
    <>
      <div className="-mb-1 flex items-center justify-between text-xs">
        <span className="text-ink-2">
          {floor.walk.weaker !== 'NONE' && at?.step.side !== 'NONE' && at
            ? `Weaker side ${floor.walk.weakerWhy}`
            : ''}
        </span>
        <button
          type="button"
          className="min-h-[48px] px-2 text-sm underline"
          onClick={() => setView('all')}
        >
          All exercises
        </button>
      </div>
      {floor.progress.lastSet && last ? (
        <Resting floor={floor} last={last} unit={unit} onSwap={setSwapping} />
      ) : at ? (
        <Doing
          key={`${at.item.item.id} ${at.step.key} ${at.item.sets.length}`}
          floor={floor}
          at={at}
          unit={unit}
          onTaken={() => setSwapping(at.item.item.id)}
        />
      ) : (
        <div className="flex flex-1 flex-col justify-end gap-2">
          <h1 className="my-auto text-center text-3xl">
            {floor.items.length === 0
              ? 'Nothing is in this session yet.'
              : 'Everything asked is done.'}
          </h1>
          <Big look="line" onClick={() => setView('all')}>
            Look at the sets
          </Big>
          <Big onClick={() => void floor.finish()}>Finish</Big>
        </div>
      )}
    </>
  )
}

function Finished({ floor }: { floor: Floor }) {
  const sets = floor.items.flatMap((item) => item.sets).length
  return (
    <div className="m-auto space-y-3 text-center">
      <h1 className="text-3xl">Finished</h1>
      <p className="text-lg">
        {floor.walk.clientName}: {sets} {sets === 1 ? 'set' : 'sets'}.
      </p>
      <Link className="underline" to={`/record/${floor.walk.clientId}`}>
        What the record says
      </Link>
    </div>
  )
}

/** Open sessions that could be taken along. */
function Choose({ taken, onTake }: { taken: string[]; onTake: (id: string) => void }) {
  const sessions = useSessions()
  const clients = useClients()
  if (sessions.isError)
    return (
      <p className="p-2 text-base">
        The list of sessions needs the network. What was taken along stands above.
      </p>
    )
  if (!sessions.data) return <Waiting what="Looking for open sessions" />
  const open = sessions.data.filter((session) => !session.finishedAt && !taken.includes(session.id))
  return (
    <section aria-label="Open sessions" className="flex min-h-0 flex-1 flex-col overflow-auto py-2">
      <h1 className="text-xl">Take a session along</h1>
      {open.length === 0 && (
        <p className="py-3 text-base">
          No other session is open. Start one from Today, or add exercises from the ranking.
        </p>
      )}
      <ul className="space-y-1.5 py-2">
        {open.map((s) => (
          <li key={s.id}>
            <button
              type="button"
              className="min-h-[64px] w-full border border-edge px-3 py-2 text-left"
              onClick={() => onTake(s.id)}
            >
              <span className="block text-lg font-semibold">
                {clients.data?.find((client) => client.id === s.clientId)?.name ?? ''}
              </span>
              <span className="block text-sm text-ink-2">
                {day(s.createdAt)} ·{' '}
                {s.names.length === 0 ? 'nothing in it yet' : s.names.slice(0, 3).join(', ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <DeskLink />
    </section>
  )
}
