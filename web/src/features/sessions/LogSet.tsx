import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Session, SessionItem } from '../../api/client'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { trim } from '../../quantity/format'

/** The load to begin with: the last one, but no more than today's first load where cautions ask for less, and none for what is left out. */
function startLoad(item: SessionItem, before?: number): string {
  const less =
    item.sets.length === 0 && item.load && before !== undefined && before > item.load.highKg
      ? item.load.lowKg
      : before
  return less === undefined || (item.refusal && item.sets.length === 0) ? '' : trim(less, 2)
}

/** One set into the record. Starts from the last set, or from last time. The set's id is made here, so sending it again stores it once. */
export function LogSet({
  sessionId,
  item,
  onLogged,
}: {
  sessionId: string
  item: SessionItem
  onLogged: (s: Session) => void
}) {
  const before =
    item.sets.at(-1) ??
    item.lastTime?.sets[Math.min(item.sets.length, (item.lastTime?.sets.length ?? 1) - 1)]
  const [load, setLoad] = useState(startLoad(item, before?.loadKg))
  const [repetitions, setRepetitions] = useState(before ? String(before.repetitions) : '')
  const [reserve, setReserve] = useState(trim((before ?? item).reserve, 1))
  const [setId, setSetId] = useState(() => crypto.randomUUID())
  const log = useMutation({
    mutationFn: () => {
      const number = (text: string) =>
        text.trim() === '' ? undefined : Number(text.replace(',', '.'))
      return answer(
        api.PUT('/api/sessions/{id}/items/{itemId}/sets/{setId}', {
          params: { path: { id: sessionId, itemId: item.id, setId } },
          body: {
            loadKg: number(load),
            repetitions: number(repetitions),
            reserve: number(reserve),
          },
        }),
      )
    },
    onSuccess: (s) => {
      setSetId(crypto.randomUUID())
      onLogged(s)
    },
  })
  const problem = log.error instanceof Problem ? log.error : null
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    log.mutate()
  }
  return (
    <form
      onSubmit={onSubmit}
      noValidate
      aria-label={`Log a set of ${item.name}`}
      className="no-print mt-2"
    >
      <div className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
        <Field
          label="Load"
          unit="kg"
          inputMode="decimal"
          value={load}
          onChange={(event) => setLoad(event.target.value)}
          fault={problem?.fault('loadKg')}
        />
        <Field
          label="Repetitions"
          inputMode="numeric"
          value={repetitions}
          onChange={(event) => setRepetitions(event.target.value)}
          fault={problem?.fault('repetitions')}
        />
        <Field
          label="In reserve"
          inputMode="decimal"
          value={reserve}
          onChange={(event) => setReserve(event.target.value)}
          fault={problem?.fault('reserve')}
        />
        <Button look="ink" type="submit" className="!min-h-10" disabled={log.isPending}>
          Log set {item.sets.length + 1}
        </Button>
      </div>
      {log.isError && (problem?.faults.length ?? 0) === 0 && <Trouble error={log.error} />}
    </form>
  )
}
