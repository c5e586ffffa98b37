import { useQueryClient } from '@tanstack/react-query'
import { useId } from 'react'
import type { UseFormRegisterReturn } from 'react-hook-form'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { Machine, MachineDetail, Machines, Schemas } from '../../api/client'
import { afterGymChanged, keys } from '../../api/queries'
import { detailUnit, typedOf, faultIn } from '../../quantity/format'
import { storedOr, typedNumber } from '../../quantity/typed'
import { Button } from '../../ui/Button'
import { FaultText } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { useUnsaved } from '../../ui/unsaved'
import { Pulls } from './Pulls'

type Props = {
  gymId: string
  version: number
  machine: Machine
  brief: Schemas['BriefInput'] | null
}

/** What is typed by machine and value, named as the server names what is wrong with it. */
const VALUES = z.object({ measured: z.record(z.string(), z.record(z.string(), typedNumber)) })

/** One machine: each value generic until somebody has measured it, and how to. */
export function MachineForm({ gymId, version, machine, brief }: Props) {
  const queries = useQueryClient()
  const put = (machines: Machines) => {
    queries.setQueryData(keys.machines(gymId), machines)
    afterGymChanged(queries)
  }
  const form = useSavedForm({
    reads: VALUES,
    begins: {
      measured: {
        [machine.item]: Object.fromEntries(
          machine.details.map((detail) => [
            detail.id,
            detail.measured ? shown(detail, detail.value) : '',
          ]),
        ),
      },
    },
    save: ({ measured }) =>
      answer(
        api.PUT('/api/gyms/{gymId}/machines/{item}', {
          params: { path: { gymId, item: machine.item } },
          body: {
            version,
            measured: Object.fromEntries(
              machine.details.flatMap((detail) => {
                const value = storedOr(
                  detail.measured ? detail.value : undefined,
                  measured[machine.item]![detail.id],
                  detailUnit(detail.unit),
                )
                return value === undefined ? [] : [[detail.id, value]]
              }),
            ),
          },
        }),
      ),
    onSaved: put,
  })
  useUnsaved(form.unsaved)
  const rows = (details: MachineDetail[]) =>
    details.map((detail) => {
      const field = `measured.${machine.item}.${detail.id}` as const
      const box = form.box(field)
      return (
        <Detail
          key={detail.id}
          detail={detail}
          text={form.typed.measured[machine.item]![detail.id]!}
          {...box}
          fault={faultIn(detailUnit(detail.unit), box.fault)}
        />
      )
    })
  const byHand = machine.details.filter((detail) => !fromPulls(detail))
  const byScale = machine.details.filter(fromPulls)
  return (
    <div className="min-w-0">
      <form onSubmit={form.submit} noValidate aria-label={machine.name}>
        <div className="flex flex-wrap items-baseline justify-between gap-2 border-b border-ink pb-1">
          <h2 className="text-xl">{machine.name}</h2>
          <Button look="ink" type="submit" disabled={form.saving || !form.changed}>
            Save
          </Button>
        </div>
        <p className="py-1 text-sm text-ink-2">
          Leave blank for usual values. What is filled in counts as measured here, in every ranking
          and set-up.
        </p>
        {rows(byHand)}
        {byScale.length > 0 && (
          <details
            open={byScale.some(
              (detail) =>
                detail.measured ||
                form.fault(`measured.${machine.item}.${detail.id}`) !== undefined,
            )}
          >
            <summary className="py-1 text-sm">
              Resistance over the travel, where it is known by figures (
              {byScale.filter((detail) => detail.measured).length} known)
            </summary>
            {rows(byScale)}
          </details>
        )}
        {form.trouble && <Trouble error={form.trouble} />}
      </form>
      {machine.travel !== 'NONE' && (
        <Pulls gymId={gymId} version={version} machine={machine} brief={brief} onSaved={put} />
      )}
    </div>
  )
}

function fromPulls(detail: MachineDetail): boolean {
  return detail.id.startsWith('curve') || detail.id === 'pulley'
}

function Detail({
  detail,
  text,
  fault,
  ...box
}: UseFormRegisterReturn & {
  detail: MachineDetail
  text: string
  fault?: string
}) {
  const id = useId()
  const unit = detailUnit(detail.unit)
  return (
    <div
      className="grid grid-cols-[minmax(0,1fr)_8.5rem] items-center gap-x-3 border-b border-rule/60 py-1"
      data-detail={detail.id}
    >
      <label htmlFor={id} className="min-w-0">
        {detail.label}
        <span
          className={`ml-2 text-xs ${text.trim() === '' ? 'text-ink-2' : 'font-semibold text-accent-2'}`}
        >
          {text.trim() === ''
            ? `generic: ${detail.unit === 'yes' ? (detail.generic ? 'yes' : 'no') : `${shown(detail, detail.generic)}${unit.unit === '°' ? '' : ' '}${unit.unit}`}`
            : fault
              ? ''
              : 'measured'}
        </span>
        <span className="block text-xs text-ink-2">{detail.how}</span>
      </label>
      {detail.unit === 'yes' ? (
        <select id={id} className="border border-edge px-1 py-1" {...box}>
          <option value="">not looked at</option>
          <option value="1">yes</option>
          <option value="0">no</option>
        </select>
      ) : (
        <span className="flex items-center gap-1">
          <input
            id={id}
            inputMode="decimal"
            aria-invalid={fault ? true : undefined}
            className={`w-20 border px-2 py-1 text-right ${fault ? 'border-warn' : 'border-edge'}`}
            {...box}
          />
          <span className="text-sm text-ink-2">{unit.unit}</span>
        </span>
      )}
      {fault && (
        <div className="col-span-2">
          <FaultText text={fault} />
        </div>
      )}
    </div>
  )
}

function shown(detail: MachineDetail, value: number): string {
  return typedOf(value, detailUnit(detail.unit))
}
