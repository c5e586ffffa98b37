import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { ByWord, Catalogue } from '../../api/client'
import { afterExerciseChanged } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Choice, FaultText, Field, Tick } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { linesOf, saidOf, toggled } from './own'
import type { Said } from './own'
import { Regions } from './Regions'

/** Says what an exercise of the coach's own is: its name, what it trains and does, and, under more, all else. */
export function OwnExerciseForm({
  catalogue,
  name: firstName,
  said: firstSaid,
  changes,
  onKept,
}: {
  catalogue: Catalogue
  name: string
  said: Said
  /** the own exercise that is said otherwise; none for a new one */
  changes?: ByWord
  onKept: (kept: ByWord) => void
}) {
  const queries = useQueryClient()
  const [name, setName] = useState(firstName)
  const [said, setSaid] = useState(firstSaid)
  const keep = useMutation({
    mutationFn: () =>
      answer(
        changes
          ? api.PUT('/api/exercises/{exerciseId}', {
              params: { path: { exerciseId: changes.id } },
              body: { name, said, version: changes.version! },
            })
          : api.POST('/api/exercises', { body: { name, said } }),
      ),
    onSuccess: async (kept) => {
      await afterExerciseChanged(queries)
      onKept(kept)
    },
  })
  const problem = keep.error instanceof Problem ? keep.error : undefined
  const fault = (field: string) => problem?.fault(field)
  const say = (more: Partial<Said>) => setSaid({ ...said, ...more })
  return (
    <form
      className="space-y-3"
      aria-label={changes ? `Change ${changes.name}` : 'An exercise of your own'}
      onSubmit={(event) => {
        event.preventDefault()
        keep.mutate()
      }}
    >
      <Field
        label="Name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        fault={fault('name')}
      />
      <fieldset>
        <legend className="text-sm text-ink-2">What it does</legend>
        <div className="grid gap-x-4 sm:grid-cols-2">
          {catalogue.movements.map((movement) => (
            <Tick
              key={movement.id}
              label={movement.label}
              checked={said.does?.includes(movement.id) ?? false}
              onChange={() => say({ does: toggled(said.does, movement.id) })}
            />
          ))}
        </div>
        <FaultText text={fault('does')} />
      </fieldset>
      <Regions
        regions={catalogue.regions}
        said={said}
        onSaid={setSaid}
        fault={fault('mainly') ?? fault('partly')}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <Choice
          label="The knee bends"
          options={catalogue.bends.map((bend) => ({ value: bend.id, label: bend.label }))}
          value={said.knee ?? null}
          onChange={(knee) => say({ knee })}
        />
        <Choice
          label="The hip bends"
          options={catalogue.bends.map((bend) => ({ value: bend.id, label: bend.label }))}
          value={said.hip ?? null}
          onChange={(hip) => say({ hip })}
        />
        <Choice
          label="The lower back carries"
          options={catalogue.backs.map((back) => ({ value: back.id, label: back.label }))}
          value={said.back ?? null}
          onChange={(back) => say({ back })}
        />
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        <Field
          label="Repetitions"
          value={said.repetitions ?? ''}
          onChange={(event) => say({ repetitions: event.target.value })}
          fault={fault('repetitions')}
        />
        <Field
          label="To set up"
          unit="minutes"
          type="number"
          min={0}
          max={15}
          step={0.5}
          value={said.setUpMinutes ?? ''}
          onChange={(event) =>
            say({
              setUpMinutes: event.target.value === '' ? undefined : Number(event.target.value),
            })
          }
          fault={fault('setUpMinutes')}
        />
        <div>
          <Tick
            label="One leg at a time"
            checked={said.oneLeg ?? false}
            onChange={(oneLeg) => say({ oneLeg })}
          />
          <Tick
            label="On the belly, or a bar across the hips"
            checked={said.onBelly ?? false}
            onChange={(onBelly) => say({ onBelly })}
          />
        </div>
      </div>
      <More catalogue={catalogue} said={said} say={say} fault={fault} />
      {keep.isError && !problem?.faults.length && <Trouble error={keep.error} />}
      {!!problem?.faults.length && (
        <p role="alert" className="text-sm text-warn">
          Check the marked fields; nothing was lost.
        </p>
      )}
      <Button type="submit" look="ink" disabled={keep.isPending}>
        {changes ? 'Keep the changes' : 'Keep this exercise'}
      </Button>
    </form>
  )
}

/** What it needs, when to leave it out, and what to tell the client. */
function More({
  catalogue,
  said,
  say,
  fault,
}: {
  catalogue: Catalogue
  said: Said
  say: (more: Partial<Said>) => void
  fault: (field: string) => string | undefined
}) {
  return (
    <details>
      <summary className="py-1 text-sm">
        Equipment, sore joints, nicknames, cues and cautions
      </summary>
      <div className="mt-1 space-y-3">
        <fieldset>
          <legend className="text-sm text-ink-2">It needs</legend>
          <div className="grid max-h-48 gap-x-4 overflow-auto border border-rule px-2 sm:grid-cols-2">
            {catalogue.equipment.map((equipment) => (
              <Tick
                key={equipment.id}
                label={equipment.name}
                checked={said.needs?.includes(equipment.id) ?? false}
                onChange={() => say({ needs: toggled(said.needs, equipment.id) })}
              />
            ))}
          </div>
        </fieldset>
        <fieldset>
          <legend className="text-sm text-ink-2">Leave it out with a</legend>
          <div className="flex flex-wrap gap-x-4">
            {catalogue.painFlags.map((painFlag) => (
              <Tick
                key={painFlag.id}
                label={painFlag.label}
                checked={said.troubles?.includes(painFlag.id) ?? false}
                onChange={() => say({ troubles: toggled(said.troubles, painFlag.id) })}
              />
            ))}
          </div>
        </fieldset>
        <div className="grid gap-3 sm:grid-cols-2">
          <Lines
            label="Also called"
            lines={said.alsoCalled}
            onLines={(alsoCalled) => say({ alsoCalled })}
            fault={fault('alsoCalled')}
          />
          <Lines
            label="What you tell the client"
            lines={said.cues}
            onLines={(cues) => say({ cues })}
            fault={fault('cues')}
          />
          <Lines
            label="What ends a set"
            lines={said.stopSigns}
            onLines={(stopSigns) => say({ stopSigns })}
            fault={fault('stopSigns')}
          />
          <Lines
            label="What must be seen to"
            lines={said.cautions}
            onLines={(cautions) => say({ cautions })}
            fault={fault('cautions')}
          />
        </div>
      </div>
    </details>
  )
}

function Lines({
  label,
  lines,
  onLines,
  fault,
}: {
  label: string
  lines?: string[]
  onLines: (lines: string[]) => void
  fault?: string
}) {
  const [text, setText] = useState((lines ?? []).join('\n'))
  return (
    <label className="block text-sm text-ink-2">
      {label}, one a line
      <textarea
        rows={3}
        aria-invalid={fault ? true : undefined}
        className={`mt-0.5 block w-full border px-2 py-1 text-base text-ink ${fault ? 'border-warn' : 'border-edge'}`}
        value={text}
        onChange={(event) => {
          setText(event.target.value)
          onLines(linesOf(event.target.value))
        }}
      />
      <FaultText text={fault} />
    </label>
  )
}

export const formOf = (word: ByWord): { name: string; said: Said } => ({
  name: word.name,
  said: saidOf(word),
})
