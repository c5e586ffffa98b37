import { useMutation, useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { answer, api } from '../../api/client'

const begun = (queries: QueryClient) => {
  void queries.invalidateQueries({ queryKey: ['sessions'] })
  void queries.invalidateQueries({ queryKey: ['today'] })
}

/**
 * Begins what a plan asks for; a second press of the same button begins nothing more.
 *
 * `to`: the room that shows the session then
 */
export function useStartPlanned(planId: string, to: '/floor' | '/sessions' = '/floor') {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const [session, setSession] = useState(() => crypto.randomUUID())
  return useMutation({
    mutationFn: (what: { day: number; step?: number }) =>
      answer(
        api.POST('/api/weeks/{id}/start', {
          params: { path: { id: planId } },
          body: { ...what, session },
        }),
      ),
    onSuccess: (s) => {
      setSession(crypto.randomUUID())
      begun(queries)
      void navigate(`${to}/${s.sessionId}`)
    },
  })
}

/** Begins a session with nothing in it yet. */
export function useBegin() {
  const queries = useQueryClient()
  const navigate = useNavigate()
  return useMutation({
    mutationFn: ({ client, gym }: { client: string; gym: string }) =>
      answer(api.POST('/api/sessions', { body: { clientId: client, gymId: gym, aim: {} } })),
    onSuccess: (s) => {
      begun(queries)
      void navigate(`/sessions/${s.id}`)
    },
  })
}
