import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Lifts } from '../../api/client'
import { afterClientChanged, keys, useCatalogue, useLifts } from '../../api/queries'
import { day, setWords } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble, Undo, Waiting } from '../../ui/Notice'
import { today } from '../../quantity/day'

type Lift = Lifts['lifts'][number]

/** One known lift says how strong the client is; until then no load is shown anywhere. */
export function KnownLifts({ clientId }: { clientId: string }) {
  const lifts = useLifts(clientId)
  const catalogue = useCatalogue()
  const queries = useQueryClient()
  const [candidateId, setCandidate] = useState('back-squat/high-bar')
  const [load, setLoad] = useState('')
  const [repetitions, setRepetitions] = useState('')
  const [reserve, setReserve] = useState('1')
  const [on, setOn] = useState(today)
  const [removed, setRemoved] = useState<Lift | null>(null)
  const put = (otherLifts: Lifts) => {
    queries.setQueryData(keys.lifts(clientId), otherLifts)
    afterClientChanged(queries)
  }
  const post = (l: {
    candidateId: string
    loadKg?: number
    repetitions?: number
    reserve?: number
    on?: string
  }) =>
    answer(api.POST('/api/clients/{clientId}/lifts', { params: { path: { clientId } }, body: l }))
  const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')))
  const add = useMutation({
    mutationFn: () =>
      post({
        candidateId,
        loadKg: number(load),
        repetitions: number(repetitions),
        reserve: number(reserve),
        on: on || undefined,
      }),
    onSuccess: (l) => {
      setLoad('')
      setRepetitions('')
      put(l)
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
  const problem = add.error instanceof Problem ? add.error : null
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    add.mutate()
  }
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
        onSubmit={onSubmit}
        noValidate
        aria-label="Add a known lift"
        className="mt-2 grid grid-cols-2 items-end gap-2 sm:grid-cols-[minmax(0,1fr)_5rem_6rem_6rem_9rem_auto]"
      >
        <label className="col-span-2 block text-sm text-ink-2 sm:col-span-1">
          Exercise
          <select
            className="mt-0.5 w-full border border-edge px-1 py-1.5 text-base text-ink"
            value={candidateId}
            onChange={(event) => setCandidate(event.target.value)}
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
        <Field
          label="Done on"
          type="date"
          value={on}
          onChange={(event) => setOn(event.target.value)}
          fault={problem?.fault('on')}
        />
        <Button type="submit" className="!min-h-9" disabled={add.isPending}>
          Add
        </Button>
      </form>
      {add.isError && (problem?.faults.length ?? 0) === 0 && <Trouble error={add.error} />}
      <p className="mt-1 text-xs text-ink-2">
        A free bar or a sled says it best, to ten repetitions. Stacks of two machines do not
        compare: a lift on one says the load for that one only.
      </p>
    </section>
  )
}
