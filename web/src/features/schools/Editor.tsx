import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { useUnsaved } from '../../ui/unsaved'
import { DIALS } from './dials'
import type { Draft } from './dials'

const WAY = z.object({
  label: z.string(),
  reason: z.string(),
  lengthBias: z.number(),
  passiveWeight: z.number(),
  activityTrust: z.number(),
  practiceTrust: z.number(),
  basics: z.number(),
})

/** A way of ranking of the coach's own: its words, and its numbers as sliders. */
export function Editor({
  id,
  draft,
  onDone,
  onCancel,
}: {
  /** the way that is changed; none for a new one */
  id: string | null
  draft: Draft
  onDone: () => void
  onCancel: () => void
}) {
  const form = useSavedForm({
    reads: WAY,
    begins: draft,
    save: (body) =>
      id
        ? answer(api.PUT('/api/schools/{id}', { params: { path: { id } }, body }))
        : answer(api.POST('/api/schools', { body })),
    onSaved: onDone,
  })
  useUnsaved(form.unsaved)
  return (
    <form
      onSubmit={form.submit}
      noValidate
      className="space-y-3"
      aria-label={id ? 'Change a way of ranking' : 'A new way of ranking'}
    >
      <h2 className="border-b border-ink pb-1 text-lg">{id ? 'Change' : 'A way of your own'}</h2>
      <Field label="Ranked" placeholder="by the bottom half" {...form.box('label')} />
      <Field label="Why" placeholder="What speaks for it" {...form.box('reason')} />
      {DIALS.map((dial) => (
        <label key={dial.id} className="block text-sm">
          <span className="flex justify-between">
            {dial.label} <b className="font-medium">{form.typed[dial.id].toFixed(2)}</b>
          </span>
          <input
            type="range"
            min={dial.min}
            max={dial.max}
            step={dial.step}
            value={form.typed[dial.id]}
            className="h-6 w-full accent-[var(--accent)]"
            onChange={(event) => form.set(dial.id, Number(event.target.value))}
          />
          <span className="flex justify-between text-xs text-ink-2">
            <span>{dial.low}</span>
            <span>{dial.high}</span>
          </span>
        </label>
      ))}
      <div className="flex gap-2">
        <Button look="ink" type="submit" disabled={form.saving}>
          Keep
        </Button>
        <Button onClick={onCancel}>Leave it</Button>
      </div>
      {form.trouble && <Trouble error={form.trouble} />}
    </form>
  )
}
