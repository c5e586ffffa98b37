import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import type { School } from '../../api/client'
import { Problem, answer, api } from '../../api/client'
import { keys, useSchools } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble, Waiting } from '../../ui/Notice'

const DIALS = [
  {
    id: 'lengthBias',
    label: 'Long lengths count more',
    low: 'short more',
    high: 'long more',
    min: -1.5,
    max: 1.5,
    step: 0.1,
  },
  {
    id: 'passiveWeight',
    label: 'Stretch tension counts',
    low: 'not at all',
    high: 'as much as active',
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    id: 'activityTrust',
    label: 'Studies of muscle activity count',
    low: 'not at all',
    high: 'like growth',
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    id: 'practiceTrust',
    label: 'What coaches agree on counts',
    low: 'not at all',
    high: 'like growth',
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    id: 'basics',
    label: 'Heavy basics count more',
    low: 'no',
    high: 'much',
    min: 0,
    max: 3,
    step: 0.1,
  },
] as const

type Draft = {
  label: string
  reason: string
  lengthBias: number
  passiveWeight: number
  activityTrust: number
  practiceTrust: number
  basics: number
}

/** Schools: settings, not truths. The stated ones as they are, own ones to make and change. */
export function SchoolsPage() {
  const schools = useSchools()
  const [editing, setEditing] = useState<{ id: string | null; draft: Draft } | null>(null)
  const queries = useQueryClient()
  const done = () => {
    setEditing(null)
    void queries.invalidateQueries({ queryKey: keys.schools })
    void queries.invalidateQueries({ queryKey: keys.catalogue })
    void queries.invalidateQueries({ queryKey: ['order'] })
  }
  const retire = useMutation({
    mutationFn: (id: string) =>
      answer(api.DELETE('/api/schools/{id}', { params: { path: { id } } })),
    onSuccess: done,
  })
  const back = useMutation({
    mutationFn: (settings: School) =>
      answer(
        api.PUT('/api/schools/{id}', {
          params: { path: { id: settings.id } },
          body: draftOf(settings),
        }),
      ),
    onSuccess: done,
  })
  if (schools.isError) return <Trouble error={schools.error} retry={() => void schools.refetch()} />
  if (!schools.data) return <Waiting what="Loading" />
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section aria-label="Ways of ranking">
        <div className="flex items-baseline justify-between border-b border-ink pb-1">
          <h1 className="text-xl">Ways of ranking</h1>
          <Button
            onClick={() =>
              setEditing({
                id: null,
                draft: { ...draftOf(schools.data[0]!), label: '', reason: '' },
              })
            }
          >
            A way of your own
          </Button>
        </div>
        <p className="mt-1 text-ink-2">
          Coaches differ in how they judge tension. A way of ranking is a few numbers, not a truth;
          the ranking says what moves when you choose another.
        </p>
        <ul className="mt-2 divide-y divide-rule">
          {schools.data.map((school, k) => (
            <li key={school.id} className={`py-2 ${school.retired ? 'text-ink-2' : ''}`}>
              <div className="flex flex-wrap items-baseline gap-x-3">
                <h2 className="text-lg">Ranked {school.label}</h2>
                {k === 0 && <span className="text-sm text-accent">the default</span>}
                {school.retired && <span className="text-sm text-ink-2">taken out</span>}
                <span className="ml-auto flex gap-2">
                  <Button
                    onClick={() =>
                      setEditing({
                        id: null,
                        draft: { ...draftOf(school), label: `${school.label}, changed` },
                      })
                    }
                  >
                    Copy
                  </Button>
                  {school.own && !school.retired && (
                    <Button onClick={() => setEditing({ id: school.id, draft: draftOf(school) })}>
                      Change
                    </Button>
                  )}
                  {school.own && !school.retired && (
                    <Button disabled={retire.isPending} onClick={() => retire.mutate(school.id)}>
                      Take out
                    </Button>
                  )}
                  {school.retired && (
                    <Button disabled={back.isPending} onClick={() => back.mutate(school)}>
                      Put back
                    </Button>
                  )}
                </span>
              </div>
              <p className="text-sm">{school.reason}</p>
              <dl className="mt-1 grid gap-x-6 text-sm sm:grid-cols-2">
                {DIALS.map((d) => (
                  <div key={d.id} className="flex items-center gap-2">
                    <dt className="text-ink-2">{d.label}</dt>
                    <dd className="ml-auto">{school[d.id].toFixed(2)}</dd>
                    <Scale value={school[d.id]} min={d.min} max={d.max} />
                  </div>
                ))}
              </dl>
            </li>
          ))}
        </ul>
        {(retire.isError || back.isError) && <Trouble error={(retire.error ?? back.error)!} />}
      </section>
      {editing && (
        <Editor
          key={editing.id ?? editing.draft.label}
          id={editing.id}
          draft={editing.draft}
          onDone={done}
          onCancel={() => setEditing(null)}
        />
      )}
    </div>
  )
}

function draftOf(settings: School): Draft {
  return {
    label: settings.label,
    reason: settings.reason,
    lengthBias: settings.lengthBias,
    passiveWeight: settings.passiveWeight,
    activityTrust: settings.activityTrust,
    practiceTrust: settings.practiceTrust,
    basics: settings.basics,
  }
}

function Scale({ value, min, max }: { value: number; min: number; max: number }) {
  const at = (v: number) => 60 * ((v - min) / (max - min))
  return (
    <svg viewBox="-3 0 66 10" className="h-2.5 w-16" aria-hidden>
      <line x1={0} x2={60} y1={5} y2={5} stroke="var(--rule)" />
      <line x1={at(0)} x2={at(0)} y1={2} y2={8} stroke="var(--ink-2)" />
      <circle cx={at(value)} cy={5} r={3} fill="var(--accent)" />
    </svg>
  )
}

function Editor({
  id,
  draft,
  onDone,
  onCancel,
}: {
  id: string | null
  draft: Draft
  onDone: () => void
  onCancel: () => void
}) {
  const [otherDraft, setD] = useState(draft)
  const save = useMutation({
    mutationFn: () =>
      id
        ? answer(api.PUT('/api/schools/{id}', { params: { path: { id } }, body: otherDraft }))
        : answer(api.POST('/api/schools', { body: otherDraft })),
    onSuccess: onDone,
  })
  const fault = (field: string) =>
    save.error instanceof Problem
      ? save.error.faults.find((otherFault) => otherFault.field === field)?.message
      : undefined
  const submit = (event: FormEvent) => {
    event.preventDefault()
    save.mutate()
  }
  return (
    <form
      onSubmit={submit}
      noValidate
      className="space-y-3"
      aria-label={id ? 'Change a way of ranking' : 'A new way of ranking'}
    >
      <h2 className="border-b border-ink pb-1 text-lg">{id ? 'Change' : 'A way of your own'}</h2>
      <Field
        label="Ranked"
        placeholder="by the bottom half"
        value={otherDraft.label}
        fault={fault('label')}
        onChange={(event) => setD({ ...otherDraft, label: event.target.value })}
      />
      <Field
        label="Why"
        placeholder="What speaks for it"
        value={otherDraft.reason}
        fault={fault('reason')}
        onChange={(event) => setD({ ...otherDraft, reason: event.target.value })}
      />
      {DIALS.map((x) => (
        <label key={x.id} className="block text-sm">
          <span className="flex justify-between">
            {x.label} <b className="font-medium">{otherDraft[x.id].toFixed(2)}</b>
          </span>
          <input
            type="range"
            min={x.min}
            max={x.max}
            step={x.step}
            value={otherDraft[x.id]}
            className="h-6 w-full accent-[var(--accent)]"
            onChange={(event) => setD({ ...otherDraft, [x.id]: Number(event.target.value) })}
          />
          <span className="flex justify-between text-xs text-ink-2">
            <span>{x.low}</span>
            <span>{x.high}</span>
          </span>
        </label>
      ))}
      <div className="flex gap-2">
        <Button look="ink" type="submit" disabled={save.isPending}>
          Keep
        </Button>
        <Button onClick={onCancel}>Leave it</Button>
      </div>
      {save.isError && !(save.error instanceof Problem && save.error.faults.length > 0) && (
        <Trouble error={save.error} />
      )}
    </form>
  )
}
