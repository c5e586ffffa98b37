import { useState } from 'react'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { Session, SessionItem } from '../../api/client'
import { Button } from '../../ui/Button'
import { Field, QuantityField } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { typedNumber, typedIn } from '../../quantity/typed'
import { trim } from '../../quantity/number'
import { coachUnit, typedOf } from '../../quantity/format'

/** The load to begin with: the last one, but no more than today's first load where cautions ask for less, and none for what is left out. */
function startLoad(item: SessionItem, before?: number): number | undefined {
  const less =
    item.sets.length === 0 && item.load && before !== undefined && before > item.load.highKg
      ? item.load.lowKg
      : before
  return item.refusal && item.sets.length === 0 ? undefined : less
}

const setOf = (beforeKg?: number) =>
  z.object({
    loadKg: typedIn('kg', beforeKg),
    repetitions: typedNumber,
    reserve: typedNumber,
  })

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
  const startKg = startLoad(item, before?.loadKg)
  const [setId, setSetId] = useState(() => crypto.randomUUID())
  const form = useSavedForm({
    reads: setOf(startKg),
    begins: {
      loadKg: startKg === undefined ? '' : typedOf(startKg, coachUnit('kg')),
      repetitions: before ? String(before.repetitions) : '',
      reserve: trim((before ?? item).reserve, 1),
    },
    save: (set) =>
      answer(
        api.PUT('/api/sessions/{id}/items/{itemId}/sets/{setId}', {
          params: { path: { id: sessionId, itemId: item.id, setId } },
          body: set,
        }),
      ),
    onSaved: (session) => {
      setSetId(crypto.randomUUID())
      onLogged(session)
    },
  })
  return (
    <form
      onSubmit={form.submit}
      noValidate
      aria-label={`Log a set of ${item.name}`}
      className="no-print mt-2"
    >
      <div className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
        <QuantityField label="Load" of="kg" {...form.box('loadKg')} />
        <Field label="Repetitions" inputMode="numeric" {...form.box('repetitions')} />
        <Field label="In reserve" inputMode="decimal" {...form.box('reserve')} />
        <Button look="ink" type="submit" className="!min-h-10" disabled={form.saving}>
          Log set {item.sets.length + 1}
        </Button>
      </div>
      {form.trouble && <Trouble error={form.trouble} />}
    </form>
  )
}
