import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useRef, useState } from 'react'
import { answer, api } from '../../api/client'
import type { Plan, Week } from '../../api/client'
import { keys } from '../../api/queries'

export type Edit = (what: string, change: (plan: Plan) => Plan) => void

/** Edits of one week, sent one after the other, each made on what the one before it left; so that quick keys build on one another. */
export function usePlanEdits(id: string) {
  const queries = useQueryClient()
  const queue = useRef<Promise<unknown>>(Promise.resolve())
  const [error, setError] = useState<unknown>(null)
  const [waiting, setWaiting] = useState(0)

  const keep = useCallback(
    (plan: Week) => {
      queries.setQueryData(keys.week(id), plan)
      void queries.invalidateQueries({ queryKey: ['weeks'] })
      void queries.invalidateQueries({ queryKey: ['week', id, 'swaps'] })
    },
    [id, queries],
  )

  const send = useCallback(
    (call: (now: Week) => Promise<Week> | null) => {
      setWaiting((oldWaiting) => oldWaiting + 1)
      queue.current = queue.current
        .then(async () => {
          const now = queries.getQueryData<Week>(keys.week(id))
          const next = now && (await call(now))
          if (next) keep(next)
          setError(null)
        })
        .catch((e: unknown) => {
          setError(e)
          void queries.invalidateQueries({ queryKey: keys.week(id), exact: true })
        })
        .finally(() => setWaiting((oldWaiting) => oldWaiting - 1))
    },
    [id, keep, queries],
  )

  const path = { params: { path: { id } } }
  const edit: Edit = (what, change) =>
    send((now) => {
      const plan = change(now.plan)
      return plan === now.plan
        ? null
        : answer(
            api.PUT('/api/weeks/{id}', { ...path, body: { version: now.version, what, plan } }),
          )
    })
  const undo = () =>
    send((now) =>
      now.undo
        ? answer(api.POST('/api/weeks/{id}/undo', { ...path, body: { version: now.version } }))
        : null,
    )
  const redo = () =>
    send((now) =>
      now.redo
        ? answer(api.POST('/api/weeks/{id}/redo', { ...path, body: { version: now.version } }))
        : null,
    )
  const arrange = (day: number) =>
    send((now) =>
      answer(api.POST('/api/weeks/{id}/arrange', { ...path, body: { version: now.version, day } })),
    )
  return { edit, undo, redo, arrange, keep, error, busy: waiting > 0 }
}

/** A search for a week: begun, followed, stopped. */
export function useCompose(id: string, keep: (w: Week) => void) {
  const queries = useQueryClient()
  const [run, setRun] = useState<string | null>(null)
  const [seconds, setSeconds] = useState(0)
  const search = useMutation({
    mutationFn: async (wanted: number) => {
      const now = queries.getQueryData<Week>(keys.week(id))
      const key = crypto.randomUUID()
      setRun(key)
      setSeconds(wanted)
      return answer(
        api.POST('/api/weeks/{id}/compose', {
          params: { path: { id } },
          body: { version: now!.version, run: key, seconds: wanted },
        }),
      )
    },
    onSuccess: (c) => keep(c.week),
    onSettled: () => setRun(null),
  })
  const progress = useQuery({
    queryKey: ['week', id, 'compose', run],
    queryFn: () =>
      answer(api.GET('/api/weeks/{id}/compose/{run}', { params: { path: { id, run: run! } } })),
    enabled: run !== null,
    refetchInterval: 500,
    retry: false,
  })
  const stop = () =>
    run && void api.DELETE('/api/weeks/{id}/compose/{run}', { params: { path: { id, run } } })
  return { search, run, seconds, stop, progress: run === null ? undefined : progress.data }
}
