import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { answer, api } from '../../api/client'
import type { Session, SessionItem } from '../../api/client'
import { keys, useCatalogue, useSession } from '../../api/queries'
import { day } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Trouble, Undo, Waiting } from '../../ui/Notice'
import { DEFAULT_PRESET, writeBrief } from '../brief/brief'
import { BriefWords } from '../brief/BriefLine'
import { useIsAbout } from '../brief/keptBrief'
import { ClientWarnings } from '../order/ForClient'
import { AddByName } from './AddByName'
import { ItemOfSession } from './ItemOfSession'

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
        <ItemOfSession
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
