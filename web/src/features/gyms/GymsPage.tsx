import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { Link, useLocation } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import type { Catalogue, Gym } from '../../api/client'
import { afterGymChanged, useCatalogue, useGyms } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Field, Tick } from '../../ui/Field'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'

/** Gyms: a tick list of what is there. */
export function GymsPage() {
  const gyms = useGyms()
  const catalogue = useCatalogue()
  const [chosen, setChosen] = useState<string | null>(null) // an id, or 'new'
  const { search } = useLocation()
  const failed = [gyms, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!gyms.data || !catalogue.data) return <Waiting what="Loading" />
  const gym = gyms.data.find((g) => g.id === chosen)
  const words = (ids: string[]) =>
    catalogue.data.equipment
      .filter((i) => ids.includes(i.id))
      .map((i) => i.name)
      .join(', ')
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <section aria-label="Gyms">
        <div className="flex items-baseline justify-between border-b border-ink pb-1">
          <h1 className="text-xl">Gyms</h1>
          <Button look="ink" onClick={() => setChosen('new')}>
            New gym
          </Button>
        </div>
        {gyms.data.length === 0 && (
          <Quiet>No gym yet. Tick what is there; measures come later.</Quiet>
        )}
        <ul>
          {gyms.data.map((g) => (
            <li
              key={g.id}
              className={`flex items-baseline gap-3 border-b border-rule/60 py-2 ${g.id === chosen ? 'bg-paper-2' : ''}`}
            >
              <span className="flex-1">
                <b>{g.name}</b>
                <span className="block text-sm text-ink-2">
                  {words(g.equipment) || 'nothing ticked yet'}
                </span>
              </span>
              <Link
                className="px-2 text-sm text-accent-2 underline"
                aria-label={`Machines of ${g.name}`}
                to={`/gyms/${g.id}${search}`}
              >
                Machines
              </Link>
              <Button look="bare" aria-label={`Change ${g.name}`} onClick={() => setChosen(g.id)}>
                Change
              </Button>
            </li>
          ))}
        </ul>
      </section>
      {chosen !== null && (
        <GymForm
          key={`${chosen} ${gym?.version}`}
          gym={gym}
          others={gyms.data.filter((g) => g.id !== chosen)}
          catalogue={catalogue.data}
          onDone={() => setChosen(null)}
        />
      )}
    </div>
  )
}

function GymForm({
  gym,
  others,
  catalogue,
  onDone,
}: {
  gym?: Gym
  others: Gym[]
  catalogue: Catalogue
  onDone: () => void
}) {
  const queries = useQueryClient()
  const [name, setName] = useState(gym?.name ?? '')
  const [equipment, setEquipment] = useState<string[]>(gym?.equipment ?? [])
  const [find, setFind] = useState('')
  const save = useMutation({
    mutationFn: () =>
      gym
        ? answer(
            api.PUT('/api/gyms/{id}', {
              params: { path: { id: gym.id } },
              body: { version: gym.version, name, equipment },
            }),
          )
        : answer(api.POST('/api/gyms', { body: { name, equipment } })),
    onSuccess: () => {
      afterGymChanged(queries)
      void queries.invalidateQueries({ queryKey: ['machines'] })
      onDone()
    },
  })
  const problem = save.error instanceof Problem ? save.error : null
  const groups = [...new Set(catalogue.equipment.map((i) => i.group))]
  const matches = (i: Catalogue['equipment'][number]) =>
    [i.name, ...i.alsoCalled].some((w) => w.toLowerCase().includes(find.trim().toLowerCase()))
  const onSubmit = (e: FormEvent) => {
    e.preventDefault()
    save.mutate()
  }
  return (
    <form
      onSubmit={onSubmit}
      aria-label="Gym"
      noValidate
      className="space-y-3 border-l border-rule pl-5"
    >
      <h2 className="text-xl">{gym ? gym.name : 'New gym: tick what is there'}</h2>
      <Field
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value)}
        fault={problem?.fault('name')}
        autoFocus
      />
      {!gym && others.length > 0 && (
        <p className="text-sm">
          <WordMenu
            label="Copy from"
            text="Copy what another gym has"
            options={others.map((g) => ({ value: g.id, label: g.name }))}
            onChange={(id) => setEquipment(others.find((g) => g.id === id)!.equipment)}
          />
          , then untick what is missing.
        </p>
      )}
      <Field
        label="Find by name or nickname"
        value={find}
        onChange={(e) => setFind(e.target.value)}
        placeholder="the 45"
      />
      {groups.map((group) => {
        const items = catalogue.equipment.filter((i) => i.group === group && matches(i))
        return items.length === 0 ? null : (
          <fieldset key={group}>
            <legend className="w-full border-b border-rule text-sm text-ink-2">{group}</legend>
            {items.map((i) => (
              <Tick
                key={i.id}
                label={i.name}
                note={i.alsoCalled.join(', ')}
                checked={equipment.includes(i.id)}
                onChange={(on) =>
                  setEquipment(on ? [...equipment, i.id] : equipment.filter((e) => e !== i.id))
                }
              />
            ))}
          </fieldset>
        )
      })}
      {save.isError && <Trouble error={save.error} />}
      <div className="sticky bottom-0 z-10 flex gap-2 border-t border-rule bg-paper py-2">
        <Button look="ink" type="submit" disabled={save.isPending}>
          Save
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  )
}
