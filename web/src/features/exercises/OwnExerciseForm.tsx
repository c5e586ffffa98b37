import { useQueryClient } from '@tanstack/react-query'
import type { UseFormRegisterReturn } from 'react-hook-form'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { ByWord, Catalogue } from '../../api/client'
import { afterExerciseChanged } from '../../api/queries'
import { chosen, typedNumber } from '../../quantity/typed'
import { Button } from '../../ui/Button'
import { Choice, FaultText, Field, Tick } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { useUnsaved } from '../../ui/unsaved'
import { toggled } from '../../ui/toggled'
import { linesOf, saidOf } from './own'
import type { Said } from './own'
import { Regions } from './Regions'

const typedLines = z.pipe(z.string(), z.transform(linesOf))

const OWN = z.object({
  name: z.string(),
  does: chosen<Said['does']>(),
  mainly: z.array(z.string()),
  partly: z.array(z.string()),
  needs: z.array(z.string()),
  troubles: chosen<Said['troubles']>(),
  knee: chosen<Said['knee']>(),
  hip: chosen<Said['hip']>(),
  back: chosen<Said['back']>(),
  onBelly: z.boolean(),
  oneLeg: z.boolean(),
  repetitions: z.string(),
  setUpMinutes: typedNumber,
  alsoCalled: typedLines,
  cues: typedLines,
  stopSigns: typedLines,
  cautions: typedLines,
})

const typedOf = (name: string, said: Said): z.input<typeof OWN> => ({
  ...said,
  name,
  setUpMinutes: String(said.setUpMinutes),
  alsoCalled: said.alsoCalled.join('\n'),
  cues: said.cues.join('\n'),
  stopSigns: said.stopSigns.join('\n'),
  cautions: said.cautions.join('\n'),
})

/** Says what an exercise of the coach's own is: its name, what it trains and does, and, under more, all else. */
export function OwnExerciseForm(asked: Asked) {
  const { catalogue, changes } = asked
  const form = useOwnExercise(asked)
  useUnsaved(form.unsaved)
  const bends = catalogue.bends.map((bend) => ({ value: bend.id, label: bend.label }))
  const marked = form.error !== null && form.trouble === null
  return (
    <form
      className="space-y-3"
      aria-label={changes ? `Change ${changes.name}` : 'An exercise of your own'}
      onSubmit={form.submit}
    >
      <Field label="Name" {...form.box('name')} />
      <Ticks
        form={form}
        field="does"
        label="What it does"
        options={catalogue.movements}
        className="grid gap-x-4 sm:grid-cols-2"
      />
      <Regions
        regions={catalogue.regions}
        shares={form.typed}
        onShares={({ mainly, partly }) => {
          form.set('mainly', mainly)
          form.set('partly', partly)
        }}
        fault={form.fault('mainly') ?? form.fault('partly')}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <Choice label="The knee bends" options={bends} {...form.choice('knee')} />
        <Choice label="The hip bends" options={bends} {...form.choice('hip')} />
        <Choice
          label="The lower back carries"
          options={catalogue.backs.map((back) => ({ value: back.id, label: back.label }))}
          {...form.choice('back')}
        />
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Repetitions" {...form.box('repetitions')} />
        <Field label="To set up" unit="minutes" inputMode="decimal" {...form.box('setUpMinutes')} />
        <div>
          <Tick
            label="One leg at a time"
            checked={form.typed.oneLeg}
            onChange={(oneLeg) => form.set('oneLeg', oneLeg)}
          />
          <Tick
            label="On the belly, or a bar across the hips"
            checked={form.typed.onBelly}
            onChange={(onBelly) => form.set('onBelly', onBelly)}
          />
        </div>
      </div>
      <More catalogue={catalogue} form={form} />
      {form.trouble && <Trouble error={form.trouble} />}
      {marked && (
        <p role="alert" className="text-sm text-warn">
          Check the marked fields; nothing was lost.
        </p>
      )}
      <Button type="submit" look="ink" disabled={form.saving}>
        {changes ? 'Keep the changes' : 'Keep this exercise'}
      </Button>
    </form>
  )
}

type Asked = {
  catalogue: Catalogue
  name: string
  said: Said
  /** the own exercise that is said otherwise; none for a new one */
  changes?: ByWord
  onKept: (kept: ByWord) => void
}

function useOwnExercise({ name: firstName, said: firstSaid, changes, onKept }: Asked) {
  const queries = useQueryClient()
  return useSavedForm({
    reads: OWN,
    begins: typedOf(firstName, firstSaid),
    save: ({ name, ...said }) =>
      answer(
        changes
          ? api.PUT('/api/exercises/{exerciseId}', {
              params: { path: { exerciseId: changes.id } },
              body: { name, said, version: changes.version! },
            })
          : api.POST('/api/exercises', { body: { name, said } }),
      ),
    onSaved: async (kept) => {
      await afterExerciseChanged(queries)
      onKept(kept)
    },
  })
}

type Form = ReturnType<typeof useOwnExercise>

/** What it needs, when to leave it out, and what to tell the client. */
function More({ catalogue, form }: { catalogue: Catalogue; form: Form }) {
  const equipment = catalogue.equipment.map((item) => ({ id: item.id, label: item.name }))
  return (
    <details>
      <summary className="py-1 text-sm">
        Equipment, sore joints, nicknames, cues and cautions
      </summary>
      <div className="mt-1 space-y-3">
        <Ticks
          form={form}
          field="needs"
          label="It needs"
          options={equipment}
          className="grid max-h-48 gap-x-4 overflow-auto border border-rule px-2 sm:grid-cols-2"
        />
        <Ticks
          form={form}
          field="troubles"
          label="Leave it out with a"
          options={catalogue.painFlags}
          className="flex flex-wrap gap-x-4"
        />
        <div className="grid gap-3 sm:grid-cols-2">
          <Lines label="Also called" {...form.box('alsoCalled')} />
          <Lines label="What you tell the client" {...form.box('cues')} />
          <Lines label="What ends a set" {...form.box('stopSigns')} />
          <Lines label="What must be seen to" {...form.box('cautions')} />
        </div>
      </div>
    </details>
  )
}

/** Any of some, ticked. */
function Ticks<Id extends string>({
  form,
  field,
  label,
  options,
  className,
}: {
  form: Form
  field: 'does' | 'needs' | 'troubles'
  label: string
  options: { id: Id; label: string }[]
  className: string
}) {
  const ticked: string[] = form.typed[field]
  return (
    <fieldset>
      <legend className="text-sm text-ink-2">{label}</legend>
      <div className={className}>
        {options.map((option) => (
          <Tick
            key={option.id}
            label={option.label}
            checked={ticked.includes(option.id)}
            onChange={() => form.set(field, toggled(ticked, option.id))}
          />
        ))}
      </div>
      <FaultText text={form.fault(field)} />
    </fieldset>
  )
}

function Lines({
  label,
  fault,
  ...box
}: UseFormRegisterReturn & { label: string; fault?: string }) {
  return (
    <label className="block text-sm text-ink-2">
      {label}, one a line
      <textarea
        rows={3}
        aria-invalid={fault ? true : undefined}
        className={`mt-0.5 block w-full border px-2 py-1 text-base text-ink ${fault ? 'border-warn' : 'border-edge'}`}
        {...box}
      />
      <FaultText text={fault} />
    </label>
  )
}

export const formOf = (word: ByWord): { name: string; said: Said } => ({
  name: word.name,
  said: saidOf(word),
})
