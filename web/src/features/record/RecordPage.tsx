import { Thumb } from '../../chart/stage/Thumb'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { useCatalogue, useClients, useRecord, useSessions } from '../../api/queries'
import { day } from '../../quantity/format'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { useIsAbout, useKeptBrief } from '../brief/keptBrief'
import { LessonList } from './LessonList'
import { Girths, RangeOfMotion, Said } from './Said'
import { SeriesPanel } from './SeriesPanel'
import { WeekSets } from './WeekSets'

/** A client's record: what it teaches, each series, weeks, girths, what was said. */
export function RecordPage() {
  const { clientId } = useParams()
  const clients = useClients()
  const sessions = useSessions(undefined, clientId === undefined)
  const kept = new URLSearchParams(useKeptBrief()).get('client')
  const chosen =
    clientId ??
    kept ??
    sessions.data?.[0]?.clientId ??
    (sessions.data ? clients.data?.[0]?.id : undefined)
  if (clients.isError) return <Trouble error={clients.error} retry={() => void clients.refetch()} />
  if (clients.data?.length === 0)
    return <Quiet>No client yet. Begin with the intake under Clients.</Quiet>
  if (!clients.data || !chosen) return <Waiting what="Opening the record" />
  return (
    <OfClient
      key={chosen}
      clientId={chosen}
      clients={clients.data.map((client) => ({ value: client.id, label: client.name }))}
    />
  )
}

function OfClient({
  clientId,
  clients,
}: {
  clientId: string
  clients: { value: string; label: string }[]
}) {
  const navigate = useNavigate()
  const record = useRecord(clientId)
  const catalogue = useCatalogue()
  const [params, setParams] = useSearchParams()
  useIsAbout(clientId)
  const failed = [record, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!record.data || !catalogue.data) return <Waiting what="Opening the record" />
  const loaded = record.data
  const seriesId = params.get('series') ?? loaded.series[0]?.id
  return (
    <article className="flex min-h-0 flex-1 flex-col">
      <h1 className="border-b border-ink pb-1 text-xl">
        Record of{' '}
        <WordMenu
          label="Client"
          text={loaded.clientName}
          value={clientId}
          options={clients}
          onChange={(id) => void navigate(`/record/${id}`)}
        />
      </h1>
      {loaded.series.length === 0 ? (
        <>
          <Quiet>
            No set is logged yet.{' '}
            <Link className="underline" to="/sessions">
              Begin a session
            </Link>
            , or{' '}
            <Link className="underline" to={`/clients/${clientId}/bring`}>
              bring sets in from a spreadsheet
            </Link>
            .
          </Quiet>
          <RangeOfMotion clientId={clientId} />
          <Girths clientId={clientId} />
        </>
      ) : (
        <div className="grid min-h-0 flex-1 gap-x-6 gap-y-3 lg:grid-cols-[21rem_minmax(0,1fr)] lg:overflow-hidden">
          <div className="min-w-0 space-y-3 lg:overflow-auto lg:pr-2">
            <LessonList clientId={clientId} />
            <section aria-label="Series">
              <h2 className="border-b border-ink text-lg">Exercises</h2>
              <ul>
                {loaded.series.map((sery) => (
                  <li key={sery.id}>
                    <button
                      type="button"
                      aria-current={sery.id === seriesId ? 'true' : undefined}
                      className={`flex w-full items-center gap-2 border-b border-rule/60 py-1 text-left text-sm ${sery.id === seriesId ? 'border-l-4 border-l-accent pl-2' : 'hover:bg-paper-2'}`}
                      onClick={() => setParams({ series: sery.id })}
                    >
                      <Thumb candidateId={sery.candidateId} className="size-9" />
                      <span>
                        <span className="font-semibold">{sery.name}</span>
                        {sery.setup.length > 0 && (
                          <span className="block text-xs text-ink-2">{sery.setup.join(', ')}</span>
                        )}
                        <span className="block text-xs text-ink-2">
                          {sery.outings} {sery.outings === 1 ? 'session' : 'sessions'}, last{' '}
                          {day(sery.lastAt)}
                        </span>
                      </span>
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          </div>
          <div className="min-w-0 space-y-4 lg:overflow-auto lg:pr-2">
            {seriesId && <SeriesPanel key={seriesId} clientId={clientId} seriesId={seriesId} />}
            <WeekSets clientId={clientId} regions={catalogue.data.regions} />
            <div className="grid gap-x-6 gap-y-3 *:min-w-0 lg:grid-cols-2">
              <Said record={loaded} regions={catalogue.data.regions} />
              <div className="space-y-3">
                <RangeOfMotion clientId={clientId} />
                <Girths clientId={clientId} />
              </div>
            </div>
          </div>
        </div>
      )}
    </article>
  )
}
