import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { School } from '../../api/client'
import { answer, api } from '../../api/client'
import { keys, useSchools } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { DIALS, draftOf } from './dials'
import type { Draft } from './dials'
import { Editor } from './Editor'

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
