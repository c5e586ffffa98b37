import { useEffect, useRef, useState } from 'react'

/** Asks for each question in turn, one request in flight at a time; questions that were overtaken while waiting are dropped, the newest always comes last. */
export function useLatest<Question, Answer>(
  question: Question | null,
  ask: (question: Question) => Promise<Answer>,
): { data: Answer | null; error: unknown; pending: boolean } {
  const [state, setState] = useState<{ data: Answer | null; error: unknown; pending: boolean }>({
    data: null,
    error: null,
    pending: false,
  })
  const busy = useRef(false)
  const waiting = useRef<Question | null>(null)
  const alive = useRef(true)
  const askNow = useRef(ask)
  const key = JSON.stringify(question)

  useEffect(() => {
    alive.current = true
    return () => {
      alive.current = false
    }
  }, [])

  useEffect(() => {
    askNow.current = ask
  })

  useEffect(() => {
    if (question === null) return
    const run = async (nullable: Question) => {
      busy.current = true
      setState((oldState) => ({ ...oldState, pending: true }))
      try {
        const data = await askNow.current(nullable)
        if (alive.current) setState({ data, error: null, pending: waiting.current !== null })
      } catch (error) {
        if (alive.current)
          setState((oldState) => ({ ...oldState, error, pending: waiting.current !== null }))
      }
      busy.current = false
      const next = waiting.current
      waiting.current = null
      if (next !== null && alive.current) void run(next)
    }
    if (busy.current) waiting.current = question
    else void run(question)
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the question by its content
  }, [key])

  return state
}
