import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import type { FormEvent } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Machine, MachineDetail, Machines, Schemas } from '../../api/client'
import { afterGymChanged, keys } from '../../api/queries'
import { detailUnit, trim } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { FaultText } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { Pulls } from './Pulls'

type Props = {
  gymId: string
  version: number
  machine: Machine
  brief: Schemas['BriefInput'] | null
}

/** One machine: each value generic until somebody has measured it, and how to. */
export function MachineForm({ gymId, version, machine, brief }: Props) {
  const queries = useQueryClient()
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      machine.details
        .filter((detail) => detail.measured)
        .map((detail) => [detail.id, shown(detail, detail.value)]),
    ),
  )
  const put = (machines: Machines) => {
    queries.setQueryData(keys.machines(gymId), machines)
    afterGymChanged(queries)
  }
  const save = useMutation({
    mutationFn: () => {
      const measured = Object.fromEntries(
        machine.details
          .filter((detail) => (texts[detail.id] ?? '').trim() !== '')
          .map((detail) => [detail.id, stored(detail, texts[detail.id]!)]),
      )
      return answer(
        api.PUT('/api/gyms/{gymId}/machines/{item}', {
          params: { path: { gymId, item: machine.item } },
          body: { version, measured },
        }),
      )
    },
    onSuccess: put,
  })
  const problem = save.error instanceof Problem ? save.error : null
  const fault = (detail: MachineDetail) =>
    inUnit(detail, problem?.fault(`measured.${machine.item}.${detail.id}`))
  const moved = machine.details.some(
    (detail) => (texts[detail.id] ?? '') !== (detail.measured ? shown(detail, detail.value) : ''),
  )
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    save.mutate()
  }
  const byHand = machine.details.filter((detail) => !fromPulls(detail))
  const byScale = machine.details.filter(fromPulls)
  return (
    <div className="min-w-0">
      <form onSubmit={onSubmit} noValidate aria-label={machine.name}>
        <div className="flex flex-wrap items-baseline justify-between gap-2 border-b border-ink pb-1">
          <h2 className="text-xl">{machine.name}</h2>
          <Button look="ink" type="submit" disabled={save.isPending || !moved}>
            Save
          </Button>
        </div>
        <p className="py-1 text-sm text-ink-2">
          Leave blank for usual values. What is filled in counts as measured here, in every ranking
          and set-up.
        </p>
        {byHand.map((detail) => (
          <Detail
            key={detail.id}
            detail={detail}
            text={texts[detail.id] ?? ''}
            onText={(text) => setTexts({ ...texts, [detail.id]: text })}
            fault={fault(detail)}
          />
        ))}
        {byScale.length > 0 && (
          <details
            open={
              byScale.some((detail) => detail.measured) || byScale.some((detail) => fault(detail))
            }
          >
            <summary className="py-1 text-sm">
              Resistance over the travel, where it is known by figures (
              {byScale.filter((detail) => detail.measured).length} known)
            </summary>
            {byScale.map((detail) => (
              <Detail
                key={detail.id}
                detail={detail}
                text={texts[detail.id] ?? ''}
                onText={(text) => setTexts({ ...texts, [detail.id]: text })}
                fault={fault(detail)}
              />
            ))}
          </details>
        )}
        {save.isError && (problem?.faults.length ?? 0) === 0 && <Trouble error={save.error} />}
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
  detail: detail,
  text,
  onText,
  fault,
}: {
  detail: MachineDetail
  text: string
  onText: (t: string) => void
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
            : 'measured'}
        </span>
        <span className="block text-xs text-ink-2">{detail.how}</span>
      </label>
      {detail.unit === 'yes' ? (
        <select
          id={id}
          className="border border-edge px-1 py-1"
          value={text}
          onChange={(event) => onText(event.target.value)}
        >
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
            value={text}
            onChange={(event) => onText(event.target.value)}
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
  return trim(value * detailUnit(detail.unit).perStored, detail.unit === 'kg' ? 2 : 1)
}

function stored(detail: MachineDetail, text: string): number {
  return Number(text.replace(',', '.')) / detailUnit(detail.unit).perStored
}

/** The server names the range in metres or as a ratio; the coach typed centimetres or per cent. */
function inUnit(detail: MachineDetail, fault?: string): string | undefined {
  const { unit, perStored } = detailUnit(detail.unit)
  if (!fault?.includes('is not within') || perStored === 1) return fault
  return `${fault.replace(/ m$/, '').replace(/-?[\d.]+/g, (name) => trim(Number(name) * perStored, 1))} ${unit}`
}
