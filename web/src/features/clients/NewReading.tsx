import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { MeasuredKind, Measurements } from '../../api/client'
import { Landmarks } from '../../chart/Readings'
import { today } from '../../quantity/day'
import { coachUnit } from '../../quantity/format'
import { chosen, stored, typedDay, typedNumber } from '../../quantity/typed'
import { Button } from '../../ui/Button'
import { Choice, FaultText, Field, QuantityField } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'

const SIDES = [
  { value: 'LEFT', label: 'left' },
  { value: 'RIGHT', label: 'right' },
] as const

const READING = z.object({
  side: z.nullable(chosen<'LEFT' | 'RIGHT'>()),
  value: typedNumber,
  on: typedDay,
})

/** One more reading of one kind, in the coach's unit, with how it is taken. */
export function NewReading({
  clientId,
  kind,
  onDone,
}: {
  clientId: string
  kind: MeasuredKind
  onDone: (m: Measurements) => void
}) {
  const form = useSavedForm({
    reads: READING,
    begins: { side: null, value: '', on: today() },
    save: ({ side, value, on }) =>
      answer(
        api.POST('/api/clients/{clientId}/measurements', {
          params: { path: { clientId } },
          body: {
            kind: kind.kind,
            side: kind.twoSided ? (side ?? undefined) : 'NONE',
            value: stored(value, coachUnit(kind.unit).perStored),
            on,
          },
        }),
      ),
    onSaved: (measurements, { begin, typed }) => {
      begin({ ...typed, value: '' })
      onDone(measurements)
    },
  })
  return (
    <form
      onSubmit={form.submit}
      noValidate
      aria-label="New reading"
      className="space-y-3 border-l border-rule pl-5"
    >
      <h2 className="text-xl first-letter:uppercase">{kind.label}</h2>
      <p className="text-sm">{kind.how}</p>
      <Landmarks kind={kind.kind} />
      {kind.twoSided && <Choice label="Side" {...form.choice('side')} options={[...SIDES]} />}
      <div className="grid grid-cols-2 gap-3">
        <QuantityField label="Reading" of={kind.unit} {...form.box('value')} />
        <Field label="Day" type="date" {...form.box('on')} />
      </div>
      <FaultText text={form.fault('kind')} />
      {form.trouble && <Trouble error={form.trouble} />}
      <Button look="ink" type="submit" disabled={form.saving}>
        Add the reading
      </Button>
      <p className="text-xs text-ink-2">
        Two readings of one day show how well they repeat. Left and right: lengths are averaged; for
        movements and grip the lesser side counts.
      </p>
    </form>
  )
}
