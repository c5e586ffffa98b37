import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { Catalogue, Gym } from '../../api/client'
import { afterGymChanged } from '../../api/queries'
import { Field, Tick } from '../../ui/Field'
import { FormEnd } from '../../ui/FormEnd'
import { Trouble } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { useSavedForm } from '../../ui/forms'
import { toggled } from '../../ui/toggled'

const GYM = z.object({ name: z.string(), equipment: z.array(z.string()) })

/** A gym's name, and what is ticked as being there. */
export function GymForm({
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
  const [find, setFind] = useState('')
  const form = useSavedForm({
    reads: GYM,
    begins: { name: gym?.name ?? '', equipment: gym?.equipment ?? [] },
    save: (body) =>
      gym
        ? answer(
            api.PUT('/api/gyms/{id}', {
              params: { path: { id: gym.id } },
              body: { version: gym.version, ...body },
            }),
          )
        : answer(api.POST('/api/gyms', { body })),
    onSaved: () => {
      afterGymChanged(queries)
      void queries.invalidateQueries({ queryKey: ['machines'] })
      onDone()
    },
  })
  const groups = [...new Set(catalogue.equipment.map((item) => item.group))]
  const matches = (item: Catalogue['equipment'][number]) =>
    [item.name, ...item.alsoCalled].some((word) =>
      word.toLowerCase().includes(find.trim().toLowerCase()),
    )
  return (
    <form
      onSubmit={form.submit}
      aria-label="Gym"
      noValidate
      className="space-y-3 border-l border-rule pl-5"
    >
      <h2 className="text-xl">{gym ? gym.name : 'New gym: tick what is there'}</h2>
      <Field label="Name" {...form.box('name')} autoFocus />
      {!gym && others.length > 0 && (
        <p className="text-sm">
          <WordMenu
            label="Copy from"
            text="Copy what another gym has"
            options={others.map((other) => ({ value: other.id, label: other.name }))}
            onChange={(id) =>
              form.set('equipment', others.find((other) => other.id === id)!.equipment)
            }
          />
          , then untick what is missing.
        </p>
      )}
      <Field
        label="Find by name or nickname"
        value={find}
        onChange={(event) => setFind(event.target.value)}
        placeholder="the 45"
      />
      {groups.map((group) => {
        const items = catalogue.equipment.filter((item) => item.group === group && matches(item))
        return items.length === 0 ? null : (
          <fieldset key={group}>
            <legend className="w-full border-b border-rule text-sm text-ink-2">{group}</legend>
            {items.map((item) => (
              <Tick
                key={item.id}
                label={item.name}
                note={item.alsoCalled.join(', ')}
                checked={form.typed.equipment.includes(item.id)}
                onChange={() => form.set('equipment', toggled(form.typed.equipment, item.id))}
              />
            ))}
          </fieldset>
        )
      })}
      {form.error && <Trouble error={form.error} />}
      <FormEnd unsaved={form.unsaved} saving={form.saving} onLeave={onDone} />
    </form>
  )
}
