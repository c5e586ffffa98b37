import { Link, useParams } from 'react-router'
import type { Client, Today, Week } from '../../api/client'
import {
  useCatalogue,
  useClients,
  useGyms,
  useMeasurements,
  useSessions,
  useToday,
  useWeek,
  useWeeks,
} from '../../api/queries'
import { useKeptBrief, withBrief } from '../brief/keptBrief'
import { day, lengthWords, massWords } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { loadsWords, prescriptionWords } from '../plans/words'
import { LessonList } from '../record/LessonList'
import { useStartPlanned } from '../today/useStart'
import { dayWords } from '../today/words'
import { OwnData } from './OwnData'
import { cautionWords } from './cautions'
import { Thumb } from '../../chart/stage/Thumb'
import { useMassUnit } from '../../quantity/units'

const LINK = 'text-accent-2 underline'
const NEWEST = 5

/** Everything of one client: the next session on top, then what to mind, body, plan, record. */
export function ClientPage() {
  const { id } = useParams()
  const clients = useClients()
  const today = useToday()
  const failed = [clients, today].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!clients.data || !today.data) return <Waiting what="Loading" />
  const client = clients.data.find((listed) => listed.id === id)
  if (!client)
    return (
      <Quiet>
        There is no such client.{' '}
        <Link className={LINK} to="/clients">
          All clients
        </Link>
      </Quiet>
    )
  const planned = today.data.planned.find((p) => p.clientId === client.id)
  const open = today.data.open.find((s) => s.clientId === client.id)
  return (
    <article className="grid gap-x-8 gap-y-5 pb-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="min-w-0 space-y-5">
        <Head client={client} />
        {open && <OpenSession session={open} />}
        {planned ? (
          <Next planned={planned} />
        ) : (
          <section aria-label="Next session">
            <h2 className="border-b border-ink text-lg">Next session</h2>
            <Quiet>
              No plan asks for one.{' '}
              <Link className={LINK} to={`/weeks?client=${client.id}`}>
                Plan a week
              </Link>
              , or choose exercises from the order.
            </Quiet>
          </section>
        )}
        <LessonList clientId={client.id} />
      </div>
      <div className="min-w-0 space-y-5">
        <Care client={client} />
        <BodyFacts client={client} />
        <PlansOf clientId={client.id} />
        <SessionsOf clientId={client.id} />
        <section aria-label="Files">
          <h2 className="border-b border-ink text-lg">Files</h2>
          <OwnData client={client} />
        </section>
      </div>
    </article>
  )
}

function Head({ client }: { client: Client }) {
  const brief = useKeptBrief()
  const gyms = useGyms()
  const gym = new URLSearchParams(brief).get('gym') ?? gyms.data?.[0]?.id
  const order = withBrief(`/exercises?client=${client.id}${gym ? `&gym=${gym}` : ''}`, brief)
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
      <h1 className="text-2xl">{client.name}</h1>
      <span className="text-ink-2">
        {lengthWords(client.statureM)}, {massWords(client.massKg)}
      </span>
      <Link className={`text-sm ${LINK}`} to={`/clients?change=${client.id}`}>
        Change
      </Link>
      <span className="ml-auto flex gap-2">
        <Link
          className="inline-flex min-h-8 items-center border border-ink bg-ink px-3 text-sm font-medium text-paper"
          to={order}
        >
          Exercises for {client.name.split(' ')[0]}
        </Link>
        <Link
          className="inline-flex min-h-8 items-center border border-edge px-3 text-sm hover:border-ink"
          to={`${order}&stiff=1`}
          title="Less ankle and hip, for today only"
        >
          Stiff today
        </Link>
      </span>
    </div>
  )
}

function OpenSession({ session: session }: { session: Today['open'][number] }) {
  return (
    <section aria-label="Open session" className="flex flex-wrap items-baseline gap-x-4">
      <h2 className="text-lg">Open session</h2>
      <span className="min-w-0 flex-1 text-sm text-ink-2">
        begun {day(session.createdAt)} at {session.gymName}:{' '}
        {session.names.join(', ') || 'nothing in it yet'}
      </span>
      <Link
        className="inline-flex min-h-8 items-center border border-ink bg-ink px-3 text-sm font-medium text-paper"
        to={`/floor/${session.id}`}
      >
        Go on
      </Link>
    </section>
  )
}

/** All exercises of the next session with sets, repetitions and loads, and the way to start it. */
function Next({ planned: session }: { planned: Today['planned'][number] }) {
  const week = useWeek(session.planId)
  const start = useStartPlanned(session.planId)
  const [unit] = useMassUnit()
  const items = week.data?.days[session.day]?.bouts.flatMap((bout) => bout.items)
  return (
    <section aria-label="Next session">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b border-ink pb-1">
        <h2 className="text-lg">Next session</h2>
        <span className="text-sm">
          {dayWords(session.on)}, {session.minutes} minutes at {session.gymName}
          {session.step ? `, week ${session.step} of the block` : ''}
        </span>
        <span className="ml-auto">
          {session.names.length > 0 && (
            <Button
              look="ink"
              disabled={start.isPending}
              onClick={() =>
                start.mutate({ day: session.day, ...(session.step ? { step: session.step } : {}) })
              }
            >
              Start
            </Button>
          )}
        </span>
      </div>
      {start.isError && <Trouble error={start.error} />}
      {week.isError && <Trouble error={week.error} retry={() => void week.refetch()} />}
      {!items && !week.isError && <Waiting what="Reading the plan" />}
      {items && items.length === 0 && (
        <Quiet>
          Nothing in it yet.{' '}
          <Link className={LINK} to={`/weeks/${session.planId}`}>
            Fill the plan
          </Link>
        </Quiet>
      )}
      {items && items.length > 0 && (
        <table className="w-full text-base">
          <tbody>
            {items.map((item) => (
              <NextLine key={item.id} item={item} unit={unit} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}

type Item = Week['days'][number]['bouts'][number]['items'][number]

function NextLine({ item: item, unit }: { item: Item; unit: 'kg' | 'lb' }) {
  const loads = item.load
    ? loadsWords(
        item.load.sets.map((set) => set.load),
        unit,
      )
    : ''
  return (
    <tr className="border-b border-rule/60">
      <th scope="row" className="py-1.5 text-left font-medium">
        <span className="flex items-center gap-2">
          <Thumb candidateId={item.candidateId} className="size-9" />
          <span>
            {item.name}
            {item.refusal && (
              <span className="block text-sm font-normal text-warn">{item.refusal}</span>
            )}
          </span>
        </span>
      </th>
      <td className="py-1.5 text-right text-sm sm:whitespace-nowrap">
        {prescriptionWords(item.prescription)}
      </td>
      <td className="py-1.5 pl-3 text-right text-sm sm:w-40">
        {loads || (
          <span className="text-ink-2">
            {item.load?.bodyWeight ? 'body weight' : 'load by feel'}
          </span>
        )}
      </td>
    </tr>
  )
}

/** What to mind: pain, cautions, a clinician's orders. */
function Care({ client }: { client: Client }) {
  const catalogue = useCatalogue()
  const words = catalogue.data ? cautionWords(client, catalogue.data.cautions) : ''
  const sore = client.pain.map(
    (soreness) =>
      catalogue.data?.painFlags.find((painFlag) => painFlag.id === soreness.joint)?.label ??
      soreness.joint,
  )
  return (
    <section aria-label="To mind">
      <h2 className="border-b border-ink text-lg">To mind</h2>
      {client.restrictions.map((restriction) => (
        <p
          key={`${restriction.by} ${restriction.on}`}
          className="border-l-2 border-warn px-2 py-1 text-sm"
        >
          {restriction.text} <span className="text-ink-2">({restriction.by})</span>
        </p>
      ))}
      <p className="py-1 text-sm">
        {sore.length > 0 && <b className="font-medium text-warn">{sore.join(', ')}. </b>}
        {words !== '–' && words}
        {sore.length === 0 && words === '–' && (
          <span className="text-ink-2">Nothing was said.</span>
        )}
      </p>
    </section>
  )
}

function BodyFacts({ client }: { client: Client }) {
  const measurements = useMeasurements(client.id)
  const kinds = measurements.data?.kinds.filter((kind) => kind.kind !== 'MASS') ?? []
  const measured = kinds.filter((kind) => kind.origin === 'MEASURED')
  return (
    <section aria-label="Body">
      <h2 className="border-b border-ink text-lg">Body</h2>
      <p className="py-1 text-sm">
        {measurements.data
          ? `${measured.length} of ${kinds.length} measured; the rest is estimated. The ankle bends to ${Math.round(measurements.data.dorsiflexionDeg)}° under load.`
          : 'Loading …'}{' '}
        <Link className={LINK} to={`/clients/${client.id}/body`}>
          Measure, and lifts that are known
        </Link>
        .{' '}
        <Link className={LINK} to={`/clients/${client.id}/picture`}>
          Technique from a picture
        </Link>
      </p>
    </section>
  )
}

function PlansOf({ clientId }: { clientId: string }) {
  const plans = useWeeks(clientId)
  return (
    <section aria-label="Plans">
      <h2 className="border-b border-ink text-lg">Plans</h2>
      <ul className="text-sm">
        {plans.data?.slice(0, NEWEST).map((plan) => (
          <li key={plan.id} className="py-1">
            <Link className={LINK} to={`/weeks/${plan.id}`}>
              {plan.name}
            </Link>{' '}
            <span className="text-ink-2">
              {plan.days} {plan.days === 1 ? 'session' : 'sessions'} a week
            </span>
          </li>
        ))}
        <li className="py-1">
          <Link className={LINK} to={`/weeks?client=${clientId}`}>
            Plan a week
          </Link>
        </li>
      </ul>
    </section>
  )
}

function SessionsOf({ clientId }: { clientId: string }) {
  const sessions = useSessions(clientId)
  const done = sessions.data?.filter((session) => session.finishedAt) ?? []
  return (
    <section aria-label="Sessions">
      <h2 className="border-b border-ink text-lg">Sessions</h2>
      {sessions.data && done.length === 0 && <Quiet>None is finished yet.</Quiet>}
      <ul className="text-sm">
        {done.slice(0, NEWEST).map((s) => (
          <li key={s.id} className="py-1">
            <Link className={LINK} to={`/sessions/${s.id}`}>
              {day(s.createdAt)}
            </Link>{' '}
            <span className="text-ink-2">{s.names.join(', ')}</span>
          </li>
        ))}
        {done.length > NEWEST && (
          <li className="py-1">
            <Link className={LINK} to={`/sessions?client=${clientId}`}>
              All sessions
            </Link>
          </li>
        )}
      </ul>
    </section>
  )
}
