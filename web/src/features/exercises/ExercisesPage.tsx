import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import type { ByWord, Catalogue } from '../../api/client'
import { afterExerciseChanged, useCatalogue } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { Trouble, Waiting } from '../../ui/Notice'
import { OwnExerciseForm, formOf } from './OwnExerciseForm'
import { NOTHING_SAID } from './own'
import type { Said } from './own'
import { PinByWord } from './PinByWord'
import { useAddress } from '../../ui/useAddress'

type Form = { name: string; said: Said; changes?: ByWord }

/** Exercises that are used by word: the coach's own first, then what everybody knows. */
export function ExercisesPage() {
  const catalogue = useCatalogue()
  const [params, put] = useAddress()
  const make = params.get('make')
  const [form, setForm] = useState<Form | null>(
    make === null ? null : { name: make, said: NOTHING_SAID },
  )
  if (catalogue.isError)
    return <Trouble error={catalogue.error} retry={() => void catalogue.refetch()} />
  if (!catalogue.data) return <Waiting what="Loading" />
  const all = catalogue.data.byWord
  const shown = all.find((x) => x.candidateId === params.get('show')) ?? all.find((x) => x.own)
  const show = (id: string) => put({ show: id, make: null }, 'step')
  return (
    <section className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-baseline gap-4 border-b border-ink pb-1">
        <h1 className="text-xl">Exercises by word</h1>
        <p className="text-sm text-ink-2">
          Istmo does not compute these. They are planned, logged and followed by what is said of
          them, and have no place in an order.
        </p>
        <Button
          look="ink"
          className="ml-auto"
          onClick={() => setForm({ name: '', said: NOTHING_SAID })}
        >
          Make one of your own
        </Button>
      </div>
      <div className="grid min-h-0 flex-1 gap-6 pt-2 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <nav aria-label="Exercises by word" className="min-h-0 overflow-auto">
          <List title="Your own" of={all.filter((x) => x.own)} shown={shown} onShow={show} />
          <List
            title="In use everywhere"
            of={all.filter((x) => !x.own)}
            shown={shown}
            onShow={show}
          />
        </nav>
        {shown ? (
          <Detail key={shown.id} x={shown} catalogue={catalogue.data} onForm={setForm} />
        ) : (
          <p className="py-2 text-base text-ink-2">
            Choose one to see what is said of it, or make one of your own.
          </p>
        )}
      </div>
      <Sheet
        wide
        title={form?.changes ? 'What you say of it' : 'An exercise of your own'}
        open={form !== null}
        onClose={() => setForm(null)}
      >
        {form && (
          <OwnExerciseForm
            catalogue={catalogue.data}
            {...form}
            onKept={(kept) => {
              setForm(null)
              show(kept.candidateId)
            }}
          />
        )}
      </Sheet>
    </section>
  )
}

function List({
  title,
  of,
  shown,
  onShow,
}: {
  title: string
  of: ByWord[]
  shown?: ByWord
  onShow: (id: string) => void
}) {
  if (of.length === 0) return null
  return (
    <>
      <h2 className="mt-2 text-base">{title}</h2>
      <ul>
        {[...of]
          .sort((first, second) => first.name.localeCompare(second.name))
          .map((word) => (
            <li key={word.id}>
              <button
                type="button"
                aria-current={word.id === shown?.id}
                className={`min-h-7 w-full border-b border-rule/60 px-1 py-1 text-left hover:bg-paper-2 ${word.id === shown?.id ? 'bg-paper-2 font-semibold' : ''}`}
                onClick={() => onShow(word.candidateId)}
              >
                {word.name}
                {word.retired && <span className="font-normal text-ink-2"> (taken out)</span>}
              </button>
            </li>
          ))}
      </ul>
    </>
  )
}

function Detail({
  x,
  catalogue,
  onForm,
}: {
  x: ByWord
  catalogue: Catalogue
  onForm: (form: Form) => void
}) {
  const queries = useQueryClient()
  const turn = useMutation({
    mutationFn: () => {
      const way = { params: { path: { exerciseId: x.id } } }
      return answer(
        x.retired
          ? api.PUT('/api/exercises/{exerciseId}/back', way)
          : api.DELETE('/api/exercises/{exerciseId}', way),
      )
    },
    onSuccess: () => afterExerciseChanged(queries),
  })
  const names = (ids: string[]) =>
    ids
      .map((id) => catalogue.regions.find((region) => region.id === id)?.coachName ?? id)
      .join(', ')
  const label = <T extends string>(list: { id: T; label: string }[], id: T) =>
    list.find((m) => m.id === id)?.label ?? id
  const facts: [string, string][] = [
    ['Also called', x.alsoCalled.join(', ')],
    ['A hard set is a whole set of', names(x.mainly)],
    ['and half a set of', names(x.partly)],
    ['What it does', x.does.map((doe) => label(catalogue.movements, doe)).join(', ')],
    ['Knee and hip bend', `${label(catalogue.bends, x.knee)}; ${label(catalogue.bends, x.hip)}`],
    ['The lower back carries', label(catalogue.backs, x.back)],
    [
      'Leave it out with a',
      x.troubles.map((trouble) => label(catalogue.painFlags, trouble)).join(', '),
    ],
    [
      'Needs',
      x.needs
        .map((id) => catalogue.equipment.find((equipment) => equipment.id === id)?.name ?? id)
        .join(', '),
    ],
    ['Usually', `${x.repetitions} repetitions${x.oneLeg ? ' each side' : ''}`],
  ]
  return (
    <article className="min-h-0 overflow-auto" aria-label={x.name}>
      <h2 className="text-xl">{x.name}</h2>
      <p className="max-w-2xl text-base">{x.told}</p>
      <dl className="mt-3 grid max-w-2xl grid-cols-[13rem_1fr] gap-y-1 text-base">
        {facts
          .filter(([, value]) => value !== '')
          .map(([term, value]) => (
            <div key={term} className="contents">
              <dt className="text-ink-2">{term}</dt>
              <dd>{value}</dd>
            </div>
          ))}
      </dl>
      <ul className="mt-3 max-w-2xl text-base">
        {x.cues.map((cue) => (
          <li key={cue}>{cue}</li>
        ))}
        {x.stopSigns.length > 0 && (
          <li>
            <b className="text-warn">Stop signs:</b> {x.stopSigns.join(' ')}
          </li>
        )}
        {x.cautions.map((caution) => (
          <li key={caution} className="text-ink-2">
            {caution}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap items-start gap-2">
        {!x.retired && <PinByWord candidateId={x.candidateId} />}
        {x.own ? (
          <>
            <Button onClick={() => onForm({ ...formOf(x), changes: x })}>
              Change what is said
            </Button>
            <Button disabled={turn.isPending} onClick={() => turn.mutate()}>
              {x.retired ? 'Put it back' : 'Take it out'}
            </Button>
          </>
        ) : (
          <Button onClick={() => onForm({ ...formOf(x), name: `${x.name}, my way` })}>
            Say it your way
          </Button>
        )}
      </div>
      {turn.isError && <Trouble error={turn.error} />}
    </article>
  )
}
