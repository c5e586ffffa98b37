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
      machine.details.filter((d) => d.measured).map((d) => [d.id, shown(d, d.value)]),
    ),
  )
  const put = (m: Machines) => {
    queries.setQueryData(keys.machines(gymId), m)
    afterGymChanged(queries)
  }
  const save = useMutation({
    mutationFn: () => {
      const measured = Object.fromEntries(
        machine.details
          .filter((d) => (texts[d.id] ?? '').trim() !== '')
          .map((d) => [d.id, stored(d, texts[d.id]!)]),
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
  const fault = (d: MachineDetail) => inUnit(d, problem?.fault(`measured.${machine.item}.${d.id}`))
  const moved = machine.details.some(
    (d) => (texts[d.id] ?? '') !== (d.measured ? shown(d, d.value) : ''),
  )
  const onSubmit = (e: FormEvent) => {
    e.preventDefault()
    save.mutate()
  }
  const byHand = machine.details.filter((d) => !fromPulls(d))
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
        {byHand.map((d) => (
          <Detail
            key={d.id}
            detail={d}
            text={texts[d.id] ?? ''}
            onText={(t) => setTexts({ ...texts, [d.id]: t })}
            fault={fault(d)}
          />
        ))}
        {byScale.length > 0 && (
          <details open={byScale.some((d) => d.measured) || byScale.some((d) => fault(d))}>
            <summary className="py-1 text-sm">
              Resistance over the travel, where it is known by figures (
              {byScale.filter((d) => d.measured).length} known)
            </summary>
            {byScale.map((d) => (
              <Detail
                key={d.id}
                detail={d}
                text={texts[d.id] ?? ''}
                onText={(t) => setTexts({ ...texts, [d.id]: t })}
                fault={fault(d)}
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

function fromPulls(d: MachineDetail): boolean {
  return d.id.startsWith('curve') || d.id === 'pulley'
}

function Detail({
  detail: d,
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
  const unit = detailUnit(d.unit)
  return (
    <div
      className="grid grid-cols-[minmax(0,1fr)_8.5rem] items-center gap-x-3 border-b border-rule/60 py-1"
      data-detail={d.id}
    >
      <label htmlFor={id} className="min-w-0">
        {d.label}
        <span
          className={`ml-2 text-xs ${text.trim() === '' ? 'text-ink-2' : 'font-semibold text-accent-2'}`}
        >
          {text.trim() === ''
            ? `generic: ${d.unit === 'yes' ? (d.generic ? 'yes' : 'no') : `${shown(d, d.generic)}${unit.unit === '°' ? '' : ' '}${unit.unit}`}`
            : 'measured'}
        </span>
        <span className="block text-xs text-ink-2">{d.how}</span>
      </label>
      {d.unit === 'yes' ? (
        <select
          id={id}
          className="border border-edge px-1 py-1"
          value={text}
          onChange={(e) => onText(e.target.value)}
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
            onChange={(e) => onText(e.target.value)}
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

function shown(d: MachineDetail, value: number): string {
  return trim(value * detailUnit(d.unit).perStored, d.unit === 'kg' ? 2 : 1)
}

function stored(d: MachineDetail, text: string): number {
  return Number(text.replace(',', '.')) / detailUnit(d.unit).perStored
}

/** The server names the range in metres or as a ratio; the coach typed centimetres or per cent. */
function inUnit(d: MachineDetail, fault?: string): string | undefined {
  const { unit, perStored } = detailUnit(d.unit)
  if (!fault?.includes('is not within') || perStored === 1) return fault
  return `${fault.replace(/ m$/, '').replace(/-?[\d.]+/g, (n) => trim(Number(n) * perStored, 1))} ${unit}`
}
