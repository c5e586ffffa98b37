import { z } from 'zod/mini'
import type { Machine } from '../../api/client'
import { detailUnit, coachUnit, scaleUnit } from '../../quantity/format'
import { readNumber, stored, typedNumber } from '../../quantity/typed'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/Field'
import { useTypedForm } from '../../ui/forms'
import { GadgetField } from './GadgetField'
import { trim } from '../../quantity/number'

const PULL = z.object({
  at: typedNumber,
  force: typedNumber,
  lever: typedNumber,
  load: typedNumber,
  direction: z.enum(['UP', 'DOWN', 'STILL']),
})

/** One reading of the scale as it was typed: the texts of its boxes. */
export type TypedPull = z.input<typeof PULL>

const EMPTY: TypedPull = { at: '', force: '', lever: '', load: '', direction: 'UP' }

/** One more reading of the hanging scale: where, how much, and while it goes up, down or not at all. */
export function AddPull({
  gymId,
  machine,
  onAdd,
}: {
  gymId: string
  machine: Machine
  onAdd: (pull: TypedPull) => void
}) {
  const lever = machine.travel === 'LEVER'
  const at = detailUnit(lever ? 'deg' : 'm')
  const scale = scaleUnit()
  const arm = coachUnit('m')
  const { typed: next, ...form } = useTypedForm({
    reads: PULL,
    begins: {
      ...EMPTY,
      lever: machine.pulls[0] ? trim(machine.pulls[0].leverM * 100, 1) : '',
      load: machine.pulls[0] ? trim(machine.pulls[0].loadKg, 2) : '',
    },
  })
  return (
    <form
      aria-label="Add a pull"
      noValidate
      className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[repeat(5,minmax(0,1fr))_auto]"
      onSubmit={form.whenRead(() => {
        onAdd(next)
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
        unit={scale.unit}
        perInside={scale.perStored}
        text={next.force}
        onText={(text) => form.set('force', text)}
        fault={form.fault('force')}
        standIn={{
          gymId,
          item: machine.item,
          at: stored(readNumber(next.at), at.perStored) ?? 60,
          leverM: stored(readNumber(next.lever), arm.perStored) ?? 0.38,
          loadKg: stored(readNumber(next.load), coachUnit('kg').perStored) ?? 0,
          direction: next.direction,
          dropout: true,
        }}
      />
      {lever && (
        <GadgetField
          kind="LENGTH"
          label="Lever arm"
          unit={arm.unit}
          perInside={arm.perStored}
          text={next.lever}
          onText={(text) => form.set('lever', text)}
          fault={form.fault('lever')}
          standIn={{ at: 0.38 }}
        />
      )}
      <QuantityField label={lever ? 'Pin' : 'Plates'} of="kg" {...form.box('load')} />
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
  )
}
