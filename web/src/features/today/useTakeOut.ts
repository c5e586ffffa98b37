import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import type { Today } from '../../api/client'

type Session = Today['open'][number]

/** Takes a session out in which nothing was logged, and puts it back. */
export function useTakeOut() {
  const queries = useQueryClient()
  const [taken, setTaken] = useState<Session | null>(null)
  const fresh = async () => {
    await queries.invalidateQueries({ queryKey: ['today'] })
    await queries.invalidateQueries({ queryKey: ['sessions'] })
  }
  const out = useMutation({
    mutationFn: (session: Session) =>
      answer(api.DELETE('/api/sessions/{id}', { params: { path: { id: session.id } } })),
    onSuccess: (_, session) => {
      setTaken(session)
      return fresh()
    },
  })
  const back = useMutation({
    mutationFn: (session: Session) =>
      answer(api.POST('/api/sessions/{id}/restore', { params: { path: { id: session.id } } })),
    onSuccess: () => {
      setTaken(null)
      return fresh()
    },
  })
  return {
    taken,
    pending: out.isPending || back.isPending,
    error: out.error ?? back.error,
    remove: (session: Session) => out.mutate(session),
    putBack: () => taken && back.mutate(taken),
  }
}
