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
  const name = (id: string) => clients.data.find((c) => c.id === id)?.name
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
            ...clients.data.map((c) => ({ value: c.id, label: c.name })),
          ]}
          onChange={(id) => setParams(id ? { client: id } : {})}
        />
      </h1>
      {sessions.data.length === 0 && (
        <Quiet>None yet. Add an exercise from the ranking, and a session begins.</Quiet>
      )}
      <ul>
        {sessions.data.map((s) => (
          <li key={s.id} className="border-b border-rule/60">
            <Link
              to={`/sessions/${s.id}`}
              className="grid gap-x-4 py-2 hover:bg-paper-2 sm:grid-cols-[7rem_10rem_10rem_1fr]"
            >
              <span className={s.finishedAt ? 'text-ink-2' : 'font-semibold text-accent'}>
                {s.finishedAt ? day(s.createdAt) : 'open'}
              </span>
              <span className="font-semibold">{name(s.clientId)}</span>
              <span className="text-ink-2">
                {gyms.data.find((g) => g.id === s.gymId)?.name ?? 'a gym that was taken out'}
              </span>
              <span className="text-sm">{s.names.join(', ') || 'nothing in it yet'}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
