import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Dialog } from 'radix-ui'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import type { Week } from '../../api/client'
import { keys } from '../../api/queries'
import { day as dayWords } from '../../quantity/format'
import { useStartPlanned } from '../today/useStart'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import { WEEKDAYS } from './words'
import { lengthUnit } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

const LINK =
  'inline-flex min-h-8 items-center border border-edge px-3 text-sm font-medium hover:border-ink'

/** Where the plan goes: onto the floor, onto paper, into a calendar, a file, or a link for the client. */
export function OutPanel({ week, unit }: { week: Week; unit: MassUnit }) {
  const [step, setStep] = useState(0)
  const at = `/api/weeks/${week.id}`
  const ofStep = step > 0 ? `&step=${step}` : ''
  const start = useStartPlanned(week.id, '/sessions')
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <Button>Print or share</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-16 left-1/2 z-50 max-h-[85vh] w-[36rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 overflow-auto border border-ink bg-paper p-4 text-sm"
        >
          <Dialog.Title className="text-lg">Print or share</Dialog.Title>
          {week.block.length > 0 && (
            <label className="mt-2 block">
              As{' '}
              <select
                className="border border-edge px-2 py-1"
                value={step}
                onChange={(event) => setStep(Number(event.target.value))}
              >
                <option value={0}>planned</option>
                {week.block.map((blockStep) => (
                  <option key={blockStep.number} value={blockStep.number}>
                    week {blockStep.number} of the block, {blockStep.label}
                  </option>
                ))}
              </select>
            </label>
          )}
          <table className="mt-2 w-full">
            <tbody>
              {week.days.map((day, k) => (
                <tr key={day.weekday} className="border-b border-rule/60">
                  <th scope="row" className="py-1 text-left">
                    {WEEKDAYS[day.weekday - 1]}
                  </th>
                  <td className="py-1 text-right">
                    {day.bouts.length === 0 ? (
                      <span className="text-ink-2">nothing in it</span>
                    ) : (
                      <span className="inline-flex gap-2">
                        <a
                          className={LINK}
                          href={`${at}/sheet.pdf?day=${k}&unit=${unit}&length=${lengthUnit()}${ofStep}`}
                          download
                        >
                          Sheet (PDF)
                        </a>
                        <Button
                          disabled={start.isPending}
                          onClick={() => start.mutate({ day: k, ...(step > 0 ? { step } : {}) })}
                        >
                          Start now
                        </Button>
                      </span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {start.isError && <Trouble error={start.error} />}
          <h3 className="mt-4 text-base">The whole plan</h3>
          <p className="mt-1 flex flex-wrap gap-2">
            <a className={LINK} href={`${at}/calendar.ics`} download>
              Calendar
            </a>
            <a className={LINK} href={`${at}/plan.csv`} download>
              CSV
            </a>
            <a className={LINK} href={`${at}/plan.json`} download>
              JSON
            </a>
          </p>
          <Share week={week} />
          <Dialog.Close className="mt-4 border border-edge px-3 py-1 text-sm">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** A link for the client: shown once, read-only, without health notes, and revocable. */
function Share({ week }: { week: Week }) {
  const queries = useQueryClient()
  const path = { params: { path: { id: week.id } } }
  const key = [...keys.week(week.id), 'shares']
  const out = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/weeks/{id}/shares', path)),
  })
  const fresh = () => queries.invalidateQueries({ queryKey: key })
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/weeks/{id}/shares', path)),
    onSuccess: fresh,
  })
  const revoke = useMutation({
    mutationFn: () => answer(api.DELETE('/api/weeks/{id}/shares', path)),
    onSuccess: () => {
      make.reset()
      return fresh()
    },
  })
  const link = make.data && `${window.location.origin}${make.data.path}`
  return (
    <>
      <h3 className="mt-4 text-base">A link for {week.clientName}</h3>
      <p className="text-ink-2">
        Whoever has it reads the sessions, loads and set-ups, not the health notes. Nothing can be
        changed by it.
      </p>
      {link && (
        <p className="mt-1">
          <input
            readOnly
            aria-label="Link for the client"
            className="w-full border border-edge px-2 py-1"
            value={link}
            onFocus={(event) => event.target.select()}
          />
          <span className="text-xs text-ink-2">
            Shown this once. It works where Istmo is reached; on this machine only, for now.
          </span>
        </p>
      )}
      <p className="mt-1 flex flex-wrap items-baseline gap-2">
        <Button disabled={make.isPending} onClick={() => make.mutate()}>
          Make a link
        </Button>
        {(out.data?.out.length ?? 0) > 0 && (
          <>
            <Button disabled={revoke.isPending} onClick={() => revoke.mutate()}>
              Revoke {out.data!.out.length === 1 ? 'it' : `all ${out.data!.out.length}`}
            </Button>
            <span className="text-ink-2">
              {out.data!.out.length === 1
                ? 'One link is out'
                : `${out.data!.out.length} links are out`}
              , since {dayWords(out.data!.out[0]!)}.
            </span>
          </>
        )}
      </p>
      {[make, revoke].map((m, k) => m.isError && <Trouble key={k} error={m.error} />)}
    </>
  )
}
