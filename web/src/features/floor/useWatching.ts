import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { answer, api } from '../../api/client'
import type { FloorExercise, Schemas } from '../../api/client'

export type Seen = Schemas['WatchedView']
export type Gauge = 'LENGTH' | 'ANGLE'

const EVERY_MS = 500

/** A link to a sensor for one set, asked again and again for what it saw. It ends with the screen. */
export function useWatching(exercise: FloorExercise) {
  const [code, setCode] = useState<string | null>(null)
  const [turned, setTurned] = useState(false)
  const [failed, setFailed] = useState('')
  const tempo = exercise.prescription?.tempo
  const scheme = exercise.prescription?.scheme
  const watched = useQuery({
    queryKey: ['watched', code, turned],
    queryFn: () =>
      answer(
        api.GET('/api/gadget-links/{code}/watched', {
          params: {
            path: { code: code! },
            query: {
              loweringS: tempo?.loweringS ?? 0,
              lowS: tempo?.lowS ?? 0,
              turned,
              ...(scheme ? { scheme } : {}),
            },
          },
        }),
      ),
    enabled: code !== null,
    refetchInterval: EVERY_MS,
    gcTime: 0,
    retry: false,
  })
  useEffect(
    () =>
      code === null
        ? undefined
        : () =>
            void api
              .DELETE('/api/gadget-links/{code}', { params: { path: { code } } })
              .catch(() => undefined),
    [code],
  )
  const begin = async (kind: Gauge) => {
    try {
      setFailed('')
      setCode((await answer(api.POST('/api/gadget-links', { body: { kind, watch: true } }))).code)
    } catch (e) {
      setFailed(e instanceof Error ? e.message : 'The link could not be opened.')
    }
  }
  const standIn = () =>
    void answer(
      api.POST('/api/gadget-links/{code}/stand-in-set', {
        params: { path: { code: code! } },
        body: { repetitions: exercise.prescription?.repetitionsLow ?? 8, ...tempo },
      }),
    ).catch((error: Error) => setFailed(error.message))
  return {
    code,
    turned,
    turn: () => setTurned(!turned),
    seen: watched.data,
    failed: failed || (watched.isError ? watched.error.message : ''),
    begin,
    standIn,
  }
}
