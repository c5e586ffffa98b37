import { useMutation } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { z } from 'zod/mini'
import { Problem, answer, api } from '../../api/client'
import type { Fit, Machine, Machines, Schemas } from '../../api/client'
import { FitPlot } from '../../chart/FitPlot'
import { detailUnit, percent, trim } from '../../quantity/format'
import { readNumber, stored, typedNumber } from '../../quantity/typed'
import { NEWTONS_PER_KG } from '../../quantity/units'
import { Button } from '../../ui/Button'
import { FaultText, Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useTypedForm } from '../../ui/forms'
import { GadgetField } from './GadgetField'

const PULL = z.object({
  at: typedNumber,
  force: typedNumber,
  lever: typedNumber,
  load: typedNumber,
  direction: z.enum(['UP', 'DOWN', 'STILL']),
})
type Row = z.input<typeof PULL>
type Props = {
  gymId: string
  version: number
  machine: Machine
  brief: Schemas['BriefInput'] | null
  onSaved: (m: Machines) => void
}

const EMPTY: Row = { at: '', force: '', lever: '', load: '', direction: 'UP' }

/** Measuring the resistance with a hanging scale: pulls, the fit beside the generic type, and what it does to the order. */
export function Pulls({ gymId, version, machine, brief, onSaved }: Props) {
  const lever = machine.travel === 'LEVER'
  const at = detailUnit(lever ? 'deg' : 'm')
  const [rows, setRows] = useState<Row[]>(() =>
    machine.pulls.map((pull) => ({
      at: trim(pull.at * at.perStored, 1),
      force: trim(pull.forceN / NEWTONS_PER_KG, 2),
      lever: trim(pull.leverM * 100, 1),
      load: trim(pull.loadKg, 2),
      direction: pull.direction,
    })),
  )
  const { typed: next, ...form } = useTypedForm({
    reads: PULL,
    begins: {
      ...EMPTY,
      lever: machine.pulls[0] ? trim(machine.pulls[0].leverM * 100, 1) : '',
      load: machine.pulls[0] ? trim(machine.pulls[0].loadKg, 2) : '',
    },
  })
  const [changed, setChanged] = useState(false)
  const body = (list: Row[]) => ({
    pulls: list.map((row) => ({
      at: stored(readNumber(row.at), at.perStored),
      forceN: stored(readNumber(row.force), 1 / NEWTONS_PER_KG),
      loadKg: readNumber(row.load),
      direction: row.direction,
      ...(lever ? { leverM: stored(readNumber(row.lever), 100) } : {}),
    })),
  })
  const path = { gymId, item: machine.item }
  const [effect, setEffect] = useState<Schemas['OrderChangeView'] | null>(null)
  const fit = useMutation({
    mutationFn: async ({ list, isNew }: { list: Row[]; isNew: boolean }) => {
      const fitted: Fit = await answer(
        api.POST('/api/gyms/{gymId}/machines/{item}/fit', { params: { path }, body: body(list) }),
      )
      setEffect(
        brief && isNew
          ? await answer(
              api.POST('/api/orders/with-machine', {
                body: { brief, item: machine.item, measured: fitted.values },
              }),
            )
          : null,
      )
      return fitted
    },
  })
  const { mutate } = fit
  useEffect(() => {
    if (machine.pulls.length > 0) mutate({ list: rows, isNew: false })
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once: what was kept is shown with its fit
  }, [])
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/gyms/{gymId}/machines/{item}/pulls', {
          params: { path },
          body: { version, ...body(rows) },
        }),
      ),
    onSuccess: (r) => onSaved(r.machines),
  })
  const change = (list: Row[]) => {
    setRows(list)
    setChanged(true)
    if (list.length > 0) fit.mutate({ list, isNew: true })
  }
  const problem = fit.error instanceof Problem ? fit.error : null
  const shown = rows.length > 0 ? fit.data : undefined
  return (
    <section aria-label="Measure the resistance" className="mt-5">
      <div className="flex flex-wrap items-baseline justify-between gap-2 border-b border-ink pb-1">
        <h3 className="text-lg">Measure the resistance</h3>
        <Button
          look="ink"
          disabled={save.isPending || !changed || (rows.length > 0 && !fit.isSuccess)}
          onClick={() => save.mutate()}
        >
          {rows.length === 0 && machine.pulls.length > 0
            ? 'Take the measurement away'
            : 'Keep this measurement'}
        </Button>
      </div>
      <p className="py-1 text-sm text-ink-2">
        {lever
          ? 'Hang the scale on the roller, square to the lever. Read it while the lever goes up slowly, and again while it goes down, at three angles at least: near straight, in the middle, well bent. A middle pin; the lever arm is from the pivot to where the scale pulls.'
          : 'Hang the scale on the sled or bar, along its track. Read it while it goes up slowly, and again while it goes down. Empty is best.'}
      </p>
      <form
        aria-label="Add a pull"
        noValidate
        className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[repeat(5,minmax(0,1fr))_auto]"
        onSubmit={form.whenRead(() => {
          change([...rows, next])
          form.begin({
            ...next,
            at: next.direction === 'UP' ? next.at : '',
            force: '',
            direction: next.direction === 'UP' ? 'DOWN' : 'UP',
          })
        })}
      >
        <GadgetField
          kind={lever ? 'ANGLE' : 'LENGTH'}
          label={lever ? 'Knee bend at the lever' : 'Travel from the bottom'}
          unit={at.unit}
          perInside={at.perStored}
          text={next.at}
          onText={(text) => form.set('at', text)}
          fault={form.fault('at')}
          standIn={{ at: stored(readNumber(next.at), at.perStored) ?? (lever ? 60 : 0.3) }}
        />
        <GadgetField
          kind="FORCE"
          label="Scale reads"
          unit="kg"
          perInside={1 / NEWTONS_PER_KG}
          text={next.force}
          onText={(text) => form.set('force', text)}
          fault={form.fault('force')}
          standIn={{
            gymId,
            item: machine.item,
            at: stored(readNumber(next.at), at.perStored) ?? 60,
            leverM: stored(readNumber(next.lever), 100) ?? 0.38,
            loadKg: readNumber(next.load) ?? 0,
            direction: next.direction,
            dropout: true,
          }}
        />
        {lever && (
          <GadgetField
            kind="LENGTH"
            label="Lever arm"
            unit="cm"
            perInside={100}
            text={next.lever}
            onText={(text) => form.set('lever', text)}
            fault={form.fault('lever')}
            standIn={{ at: 0.38 }}
          />
        )}
        <Field
          label={lever ? 'Pin' : 'Plates'}
          unit="kg"
          inputMode="decimal"
          {...form.box('load')}
        />
        <label className="block text-sm text-ink-2">
          While it goes
          <select
            className="mt-0.5 w-full border border-edge px-1 py-1.5 text-base text-ink"
            {...form.register('direction')}
          >
            <option value="UP">up</option>
            <option value="DOWN">down</option>
            <option value="STILL">not at all</option>
          </select>
        </label>
        <Button type="submit" className="!min-h-9 sm:mt-5">
          Add
        </Button>
      </form>
      {rows.length > 0 && (
        <div className="overflow-x-auto">
          <table className="mt-2 w-full text-sm">
            <thead>
              <tr className="border-b border-rule text-right text-xs text-ink-2">
                <th scope="col" className="py-1 font-normal">
                  {at.unit}
                </th>
                <th scope="col" className="font-normal">
                  scale, kg
                </th>
                {lever && (
                  <th scope="col" className="font-normal">
                    arm, cm
                  </th>
                )}
                <th scope="col" className="font-normal">
                  load, kg
                </th>
                <th scope="col" className="pl-3 text-left font-normal">
                  going
                </th>
                <th scope="col" className="font-normal">
                  off the fit
                </th>
                <th scope="col" className="font-normal">
                  off the generic type
                </th>
                <th scope="col">
                  <span className="sr-only">what can be done</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row, k) => {
                const point = shown?.points[k]
                return (
                  <tr key={k} className="border-b border-rule/60 text-right" data-testid="pull">
                    <td>{row.at}</td>
                    <td>{row.force}</td>
                    {lever && <td>{row.lever}</td>}
                    <td>{row.load}</td>
                    <td className="pl-3 text-left">
                      {row.direction === 'UP' ? 'up' : row.direction === 'DOWN' ? 'down' : 'still'}
                    </td>
                    <td>{point ? signed(point.measured / point.fitted - 1) : '–'}</td>
                    <td>{point ? signed(point.measured / point.generic - 1) : '–'}</td>
                    <td>
                      <Button
                        look="bare"
                        className="!min-h-6 !py-0"
                        aria-label={`Remove pull ${k + 1}`}
                        onClick={() => change(rows.filter((_, i) => i !== k))}
                      >
                        Remove
                      </Button>
                      <FaultText
                        text={['at', 'forceN', 'leverM', 'loadKg']
                          .map((field) => problem?.fault(`pulls.${k}.${field}`))
                          .find(Boolean)}
                      />
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        </div>
      )}
      {problem && (
        <FaultText
          text={['pulls', 'pulls.lever', 'pulls.friction', 'pulls.curve', 'pulls.mass']
            .map((field) => problem.fault(field))
            .find(Boolean)}
        />
      )}
      {fit.isError && (problem?.faults.length ?? 0) === 0 && <Trouble error={fit.error} />}
      {save.isError && <Trouble error={save.error} />}
      {shown && (
        <div className="mt-2 grid gap-4 sm:grid-cols-[18rem_minmax(0,1fr)]" data-testid="fit">
          <FitPlot points={shown.points} unit={shown.unit} atUnit={at.unit} perAt={at.perStored} />
          <div className="space-y-1 text-sm">
            <p>
              Pulls lie {percent(shown.repeatError)} about the fit, {percent(shown.genericError)}{' '}
              about the generic type.
            </p>
            <p>
              {machine.details
                .filter((detail) => shown.values[detail.id] !== undefined)
                .map(
                  (detail) =>
                    `${detail.label}: ${trim(shown.values[detail.id]! * detailUnit(detail.unit).perStored, 0)} ${detailUnit(detail.unit).unit}`,
                )
                .join(' · ')}
            </p>
            {shown.notes.map((note) => (
              <p key={note} className="text-ink-2">
                {note}
              </p>
            ))}
            {effect && (
              <p data-testid="effect">
                <b>For the order at hand:</b>{' '}
                {effect.moved === 0 && effect.sentences.length === 0
                  ? 'nothing moves.'
                  : effect.sentences.join(' ')}
              </p>
            )}
          </div>
        </div>
      )}
    </section>
  )
}

function signed(share: number): string {
  const p = Math.round(100 * share)
  return `${p > 0 ? '+' : ''}${p} %`
}
