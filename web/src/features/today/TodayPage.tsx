import { useState } from 'react'
import { Link } from 'react-router'
import type { Client, Gym, Today } from '../../api/client'
import { useAccount, useClients, useGyms, useToday } from '../../api/queries'
import { useKeptBrief } from '../brief/keptBrief'
import { day } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Undo, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { useWaiting } from '../floor/useFloor'
import { FirstSteps } from './FirstSteps'
import { LastBackup, MissedBackup } from './LastBackup'
import { useBegin, useStartPlanned } from './useStart'
import { useTakeOut } from './useTakeOut'
import { dayWords } from './words'

/** Home: what today needs, and one act from it. */
export function TodayPage() {
  const today = useToday()
  const clients = useClients()
  const gyms = useGyms()
  const failed = [today, clients, gyms].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!today.data || !clients.data || !gyms.data) return <Waiting what="Looking up what waits" />
  const loaded = today.data
  const due = loaded.planned.filter((p) => p.on === loaded.on)
  const later = loaded.planned.filter((p) => p.on !== loaded.on)
  return (
    <div className="grid gap-x-8 gap-y-6 pb-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="space-y-6">
        <h1 className="text-2xl">{dayWords(loaded.on)}</h1>
        <MissedBackup backup={loaded.backup} />
        <NotSent />
        {(clients.data.length === 0 || gyms.data.length === 0) && (
          <FirstSteps clients={clients.data.length} gyms={gyms.data.length} />
        )}
        <Open sessions={loaded.open} />
        <Planned title="Planned for today" sessions={due} on={loaded.on}>
          {loaded.planned.length === 0
            ? 'No plan yet. A plan puts its next session here.'
            : 'Nothing more is planned for today.'}
        </Planned>
        {later.length > 0 && <Planned title="Next" sessions={later} on={loaded.on} />}
      </div>
      <div className="space-y-6">
        {clients.data.length > 0 && gyms.data.length > 0 && (
          <Begin clients={clients.data} gyms={gyms.data} />
        )}
        <Advice advice={loaded.advice} />
        <LastBackup backup={loaded.backup} />
      </div>
    </div>
  )
}

/** What this device has logged and could not send yet. */
function NotSent() {
  const account = useAccount()
  const waiting = useWaiting(account.data?.id ?? '')
  const kept = waiting ? waiting.toSend + waiting.conflicts.length + waiting.refused.length : 0
  if (kept === 0) return null
  return (
    <p role="status" className="border-l-2 border-warn bg-paper-2 px-3 py-2">
      {kept === 1 ? 'One thing' : `${kept} things`} logged on this device{' '}
      {kept === 1 ? 'is' : 'are'} not sent yet.{' '}
      <Link className="text-accent-2 underline" to="/floor">
        Open Train
      </Link>
      , and it goes once there is a network.
    </p>
  )
}

function Open({ sessions }: { sessions: Today['open'] }) {
  const takeOut = useTakeOut()
  if (sessions.length === 0 && !takeOut.taken) return null
  return (
    <section aria-label="Open sessions">
      <h2 className="border-b border-ink text-lg">Open sessions</h2>
      <ul>
        {sessions.map((session) => (
          <li
            key={session.id}
            className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule/60 py-2"
          >
            <Link
              className="flex-1 font-semibold hover:underline sm:w-40 sm:flex-none"
              to={`/clients/${session.clientId}`}
            >
              {session.clientName}
            </Link>
            <span className="order-last min-w-0 basis-full text-sm text-ink-2 sm:order-none sm:flex-1 sm:basis-0">
              {session.gymName}, begun {day(session.createdAt)}:{' '}
              {session.names.join(', ') || 'nothing in it yet'}
            </span>
            <span className="flex gap-2">
              <Link
                className="inline-flex min-h-8 items-center border border-ink bg-ink px-3 text-sm font-medium text-paper"
                to={`/floor/${session.id}`}
              >
                Go on
              </Link>
              <Link
                className="inline-flex min-h-8 items-center border border-edge px-3 text-sm hover:border-ink"
                to={`/sessions/${session.id}`}
              >
                Sheet
              </Link>
              {session.sets === 0 && (
                <Button
                  aria-label={`Take out the session of ${session.clientName}`}
                  disabled={takeOut.pending}
                  onClick={() => takeOut.remove(session)}
                >
                  Take out
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {takeOut.taken && (
        <Undo
          text={`The session of ${takeOut.taken.clientName} was taken out; nothing was logged in it.`}
          pending={takeOut.pending}
          onUndo={takeOut.putBack}
        />
      )}
      {takeOut.error && <Trouble error={takeOut.error} />}
    </section>
  )
}

function Planned({
  title,
  sessions,
  on,
  children,
}: {
  title: string
  sessions: Today['planned']
  on: string
  children?: string
}) {
  return (
    <section aria-label={title}>
      <h2 className="border-b border-ink text-lg">{title}</h2>
      {sessions.length === 0 && children && <Quiet>{children}</Quiet>}
      <ul>
        {sessions.map((session) => (
          <PlannedLine key={session.planId} planned={session} on={on} />
        ))}
      </ul>
    </section>
  )
}

function PlannedLine({ planned: session, on }: { planned: Today['planned'][number]; on: string }) {
  const start = useStartPlanned(session.planId)
  return (
    <li className="border-b border-rule/60 py-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <Link
          className="flex-1 font-semibold hover:underline sm:w-40 sm:flex-none"
          to={`/clients/${session.clientId}`}
        >
          {session.clientName}
        </Link>
        <span className="order-last min-w-0 basis-full text-sm sm:order-none sm:flex-1 sm:basis-0">
          {session.on !== on && <b className="font-medium">{dayWords(session.on)}: </b>}
          {session.names.join(', ') || 'nothing in it yet'}{' '}
          <span className="text-ink-2">
            ({session.minutes} minutes at {session.gymName}
            {session.step ? `, week ${session.step} of the block` : ''})
          </span>
        </span>
        <span className="flex gap-2">
          {session.names.length > 0 && (
            <Button
              look={session.on === on ? 'ink' : 'line'}
              disabled={start.isPending}
              onClick={() =>
                start.mutate({ day: session.day, ...(session.step ? { step: session.step } : {}) })
              }
            >
              {session.on === on ? 'Start' : 'Start now'}
            </Button>
          )}
          <Link
            className="inline-flex min-h-8 items-center border border-edge px-3 text-sm hover:border-ink"
            to={`/weeks/${session.planId}`}
          >
            Plan
          </Link>
        </span>
      </div>
      {start.isError && <Trouble error={start.error} />}
    </li>
  )
}

/** A session without a plan: whose and where, then exercises are added from the order or by name. */
function Begin({ clients, gyms }: { clients: Client[]; gyms: Gym[] }) {
  const kept = new URLSearchParams(useKeptBrief())
  const [client, setClient] = useState(kept.get('client') ?? clients[0]!.id)
  const [gym, setGym] = useState(kept.get('gym') ?? gyms[0]!.id)
  const begin = useBegin()
  return (
    <section aria-label="Start a session">
      <h2 className="border-b border-ink text-lg">Start a session without a plan</h2>
      <p className="py-2 font-serif text-lg">
        For{' '}
        <WordMenu
          label="Client"
          text={clients.find((listed) => listed.id === client)?.name ?? 'a client'}
          value={client}
          options={clients.map((listed) => ({
            value: listed.id,
            label: listed.name,
          }))}
          onChange={setClient}
        />{' '}
        at{' '}
        <WordMenu
          label="Gym"
          text={gyms.find((listed) => listed.id === gym)?.name ?? 'a gym'}
          value={gym}
          options={gyms.map((listed) => ({ value: listed.id, label: listed.name }))}
          onChange={setGym}
        />
        .
      </p>
      <p className="flex flex-wrap gap-2">
        <Link
          className="inline-flex min-h-8 items-center border border-ink bg-ink px-3 text-sm font-medium text-paper"
          to={`/exercises?client=${client}&gym=${gym}`}
        >
          Choose exercises
        </Link>
        <Button disabled={begin.isPending} onClick={() => begin.mutate({ client, gym })}>
          Start empty
        </Button>
      </p>
      {begin.isError && <Trouble error={begin.error} />}
    </section>
  )
}

/** Pain that comes back, a side behind, a stall: found in the records and not answered yet. */
function Advice({ advice }: { advice: Today['advice'] }) {
  return (
    <section aria-label="Waits for your word">
      <h2 className="border-b border-ink text-lg">Waits for your word</h2>
      {advice.length === 0 && (
        <Quiet>Nothing stands out in the records: no stall, no side behind, no pain again.</Quiet>
      )}
      <ul>
        {advice.map((otherAdvice) => (
          <li
            key={`${otherAdvice.clientId} ${otherAdvice.kind} ${otherAdvice.name}`}
            className="border-b border-rule/60 py-2"
          >
            <Link className="block hover:bg-paper-2" to={`/record/${otherAdvice.clientId}`}>
              <span className="font-semibold">{otherAdvice.clientName}</span>
              <span className="text-sm">, {otherAdvice.name}</span>{' '}
              <span className="text-sm text-accent">{otherAdvice.label}</span>
              <span className="block text-sm text-ink-2">{otherAdvice.figures}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
