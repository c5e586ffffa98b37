import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { Lifts } from '../../api/client'
import { afterClientChanged, keys, useCatalogue, useLifts } from '../../api/queries'
import { day, setWords } from '../../quantity/format'
import { typedDay, typedNumber, typedIn } from '../../quantity/typed'
import { Button } from '../../ui/Button'
import { Field, QuantityField } from '../../ui/Field'
import { Trouble, Undo, Waiting } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { today } from '../../quantity/day'

type Lift = Lifts['lifts'][number]

const LIFT = z.object({
  candidateId: z.string(),
  loadKg: typedIn('kg'),
  repetitions: typedNumber,
  reserve: typedNumber,
  on: typedDay,
})

/** One known lift says how strong the client is; until then no load is shown anywhere. */
export function KnownLifts({ clientId }: { clientId: string }) {
  const lifts = useLifts(clientId)
  const catalogue = useCatalogue()
  const queries = useQueryClient()
  const [removed, setRemoved] = useState<Lift | null>(null)
  const put = (otherLifts: Lifts) => {
    queries.setQueryData(keys.lifts(clientId), otherLifts)
    afterClientChanged(queries)
  }
  const post = (lift: z.output<typeof LIFT>) =>
    answer(
      api.POST('/api/clients/{clientId}/lifts', { params: { path: { clientId } }, body: lift }),
    )
  const form = useSavedForm({
    reads: LIFT,
    begins: {
      candidateId: 'back-squat/high-bar',
      loadKg: '',
      repetitions: '',
      reserve: '1',
      on: today(),
    },
    save: post,
    onSaved: (all, { begin, typed }) => {
      begin({ ...typed, loadKg: '', repetitions: '' })
      put(all)
    },
  })
  const remove = useMutation({
    mutationFn: (lift: Lift) =>
      answer(
        api.DELETE('/api/clients/{clientId}/lifts/{liftId}', {
          params: { path: { clientId, liftId: lift.id } },
        }),
      ),
    onSuccess: (all, lift) => {
      setRemoved(lift)
      put(all)
    },
  })
  const restore = useMutation({
    mutationFn: (lift: Lift) => post(lift),
    onSuccess: (l) => {
      setRemoved(null)
      put(l)
    },
  })
  if (lifts.isError) return <Trouble error={lifts.error} retry={() => void lifts.refetch()} />
  if (!lifts.data || !catalogue.data) return <Waiting what="Loading" />
  return (
    <section aria-label="Known lifts" className="mt-4">
      <h2 className="border-b border-ink text-lg">Known lifts</h2>
      <p className="py-1 text-sm text-ink-2" data-testid="strength">
        {lifts.data.strength
          ? lifts.data.strength.basis
          : 'None that says how strong this client is: until one is known, no loads are shown, only shares and ranges.'}{' '}
        The lower back holds about {Math.round(lifts.data.lumbarNm / 10) * 10} N m (
        {lifts.data.strength ? 'by these lifts' : 'estimated from mass and stature'}).
      </p>
      <ul>
        {lifts.data.lifts.map((lift) => (
          <li
            key={lift.id}
            className="flex items-baseline gap-3 border-b border-rule/60 py-0.5 text-sm"
            data-testid="lift"
          >
            <span className="flex-1">
              <b className="font-medium">{lift.name}</b> {setWords(lift)} · {day(lift.on)}
            </span>
            <Button
              look="bare"
              className="!min-h-6 !py-0"
              aria-label={`Remove the lift ${lift.name}`}
              onClick={() => remove.mutate(lift)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {removed && (
        <Undo
          text={`Removed: ${removed.name}, ${setWords(removed)}.`}
          pending={restore.isPending}
          onUndo={() => restore.mutate(removed)}
        />
      )}
      {[remove, restore].map((x, k) => x.isError && <Trouble key={k} error={x.error} />)}
      <form
        onSubmit={form.submit}
        noValidate
        aria-label="Add a known lift"
        className="mt-2 grid grid-cols-2 items-end gap-2 sm:grid-cols-[minmax(0,1fr)_5rem_6rem_6rem_9rem_auto]"
      >
        <label className="col-span-2 block text-sm text-ink-2 sm:col-span-1">
          Exercise
          <select
            className="mt-0.5 w-full border border-edge px-1 py-1.5 text-base text-ink"
            {...form.register('candidateId')}
          >
            {catalogue.data.exercises.flatMap((exercise) =>
              exercise.candidates
                .filter((candidate) => !candidate.own)
                .map((candidate) => (
                  <option key={candidate.id} value={candidate.id}>
                    {candidate.name}
                  </option>
                )),
            )}
          </select>
        </label>
        <QuantityField label="Load" of="kg" {...form.box('loadKg')} />
        <Field label="Repetitions" inputMode="numeric" {...form.box('repetitions')} />
        <Field label="In reserve" inputMode="decimal" {...form.box('reserve')} />
        <Field label="Done on" type="date" {...form.box('on')} />
        <Button type="submit" className="!min-h-9" disabled={form.saving}>
          Add
        </Button>
      </form>
      {form.trouble && <Trouble error={form.trouble} />}
      <p className="mt-1 text-xs text-ink-2">
        A free bar or a sled says it best, to ten repetitions. Stacks of two machines do not
        compare: a lift on one says the load for that one only.
      </p>
    </section>
  )
}
