import { useMutation, useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import { fetchSessions, keys } from '../../api/queries'
import type { Brief } from '../brief/brief'

/** Pins a candidate to the client's open session, which is begun when there is none. */
export function usePin(brief: Brief) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async ({
      candidateId,
      setup,
    }: {
      candidateId: string
      setup?: Record<string, number>
    }) => {
      const lines = await fetchSessions(brief.client!)
      const open = lines.find((line) => !line.finishedAt && line.gymId === brief.gym)
      const id =
        open?.id ??
        (
          await answer(
            api.POST('/api/sessions', {
              body: {
                clientId: brief.client!,
                gymId: brief.gym!,
                aim: brief.aim,
                keepOut: brief.keepOut,
                school: brief.school,
                stiffToday: brief.stiff,
              },
            }),
          )
        ).id
      return answer(
        api.POST('/api/sessions/{id}/items', {
          params: { path: { id } },
          body: setup ? { candidateId, setup } : { candidateId },
        }),
      )
    },
    onSuccess: (session) => {
      queries.setQueryData(keys.session(session.id), session)
      void queries.invalidateQueries({ queryKey: ['sessions'] })
    },
  })
}
