import { Link, useSearchParams } from 'react-router'
import { useClients, useGyms, useSessions } from '../../api/queries'
import { day } from '../../quantity/format'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'

/** The newest sessions, of everyone or of one client. */
export function SessionsPage() {
  const [params, setParams] = useSearchParams()
  const client = params.get('client') ?? undefined
  const sessions = useSessions(client)
  const clients = useClients()
  const gyms = useGyms()
  const failed = [sessions, clients, gyms].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!sessions.data || !clients.data || !gyms.data) return <Waiting what="Loading" />
  const name = (id: string) => clients.data.find((listed) => listed.id === id)?.name
  return (
    <section>
      <h1 className="border-b border-ink pb-1 text-xl">
        Sessions of{' '}
        <WordMenu
          label="Whose"
          text={client ? (name(client) ?? 'one client') : 'everyone'}
          value={client ?? ''}
          options={[
            { value: '', label: 'everyone' },
            ...clients.data.map((listed) => ({
              value: listed.id,
              label: listed.name,
            })),
          ]}
          onChange={(id) => setParams(id ? { client: id } : {})}
        />
      </h1>
      {sessions.data.length === 0 && (
        <Quiet>None yet. Add an exercise from the ranking, and a session begins.</Quiet>
      )}
      <ul>
        {sessions.data.map((session) => (
          <li key={session.id} className="border-b border-rule/60">
            <Link
              to={`/sessions/${session.id}`}
              className="grid gap-x-4 py-2 hover:bg-paper-2 sm:grid-cols-[7rem_10rem_10rem_1fr]"
            >
              <span className={session.finishedAt ? 'text-ink-2' : 'font-semibold text-accent'}>
                {session.finishedAt ? day(session.createdAt) : 'open'}
              </span>
              <span className="font-semibold">{name(session.clientId)}</span>
              <span className="text-ink-2">
                {gyms.data.find((gym) => gym.id === session.gymId)?.name ??
                  'a gym that was taken out'}
              </span>
              <span className="text-sm">{session.names.join(', ') || 'nothing in it yet'}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
