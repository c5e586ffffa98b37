import { useQueryClient } from '@tanstack/react-query'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { Catalogue, Client, Schemas } from '../../api/client'
import { afterClientChanged } from '../../api/queries'
import { chosen, typedIn } from '../../quantity/typed'
import { Choice, Field, QuantityField } from '../../ui/Field'
import { FormEnd } from '../../ui/FormEnd'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { CautionsField } from './CautionsField'
import { ANKLE_WORDS } from './cautions'
import { OwnData } from './OwnData'
import { PainField } from './PainField'
import { ProfileField, UNKNOWN } from './ProfileField'
import { coachUnit, typedOf } from '../../quantity/format'

const THIGH = [
  { value: 'SHORT', label: 'short' },
  { value: 'USUAL', label: 'usual' },
  { value: 'LONG', label: 'long' },
] as const
const ANKLE = [
  { value: 'STIFF', label: ANKLE_WORDS.STIFF },
  { value: 'USUAL', label: ANKLE_WORDS.USUAL },
  { value: 'FREE', label: ANKLE_WORDS.FREE },
] as const

/** Height and weight are typed in the coach's units; all else is sent as it is chosen. */
const intakeOf = (client?: Client) =>
  z.object({
    name: z.string(),
    statureM: typedIn('m', client?.statureM),
    massKg: typedIn('kg', client?.massKg),
    sex: z.nullable(chosen<Client['sex']>()),
    thigh: chosen<Client['thigh']>(),
    ankle: chosen<Client['ankle']>(),
    pain: chosen<Client['pain']>(),
    profile: chosen<Client['profile']>(),
    cautions: chosen<Client['cautions']>(),
    restrictions: chosen<Client['restrictions']>(),
  })

function begins(client?: Client): z.input<ReturnType<typeof intakeOf>> {
  return {
    name: client?.name ?? '',
    statureM: client ? typedOf(client.statureM, coachUnit('m')) : '',
    massKg: client ? typedOf(client.massKg, coachUnit('kg')) : '',
    sex: client?.sex ?? null,
    thigh: client?.thigh ?? 'USUAL',
    ankle: client?.ankle ?? 'USUAL',
    pain: client?.pain ?? [],
    profile: client?.profile ?? UNKNOWN,
    cautions: client?.cautions ?? [],
    restrictions: client?.restrictions ?? [],
  }
}

function bodyOf(read: z.output<ReturnType<typeof intakeOf>>): Schemas['ClientInput'] {
  return {
    ...read,
    sex: read.sex ?? undefined,
    restrictions: read.restrictions.map((restriction) => ({
      ...restriction,
      on: restriction.on || undefined,
    })),
  }
}

/** What is asked of a client before the first order, and what may be changed later. */
export function Intake({
  client,
  catalogue,
  onDone,
  onTakenIn,
}: {
  client?: Client
  catalogue: Catalogue
  onDone: () => void
  /** a new client was saved */
  onTakenIn: (id: string) => void
}) {
  const queries = useQueryClient()
  const form = useSavedForm({
    reads: intakeOf(client),
    begins: begins(client),
    save: (read) =>
      client
        ? answer(
            api.PUT('/api/clients/{id}', {
              params: { path: { id: client.id } },
              body: { ...bodyOf(read), version: client.version },
            }),
          )
        : answer(api.POST('/api/clients', { body: bodyOf(read) })),
    onSaved: (saved) => {
      afterClientChanged(queries)
      if (client) onDone()
      else onTakenIn(saved.id)
    },
  })
  return (
    <form
      onSubmit={form.submit}
      aria-label="Intake"
      noValidate
      className="space-y-3 border-l border-rule pl-5"
    >
      <h2 className="text-xl">{client ? client.name : 'New client: sixty seconds'}</h2>
      <Field label="Name" {...form.box('name')} autoFocus />
      <div className="grid grid-cols-2 gap-3">
        <QuantityField label="Height" of="m" {...form.box('statureM')} />
        <QuantityField label="Weight" of="kg" {...form.box('massKg')} />
      </div>
      <Choice
        label="Sex, for proportions"
        {...form.choice('sex')}
        options={[
          { value: 'FEMALE', label: 'female' },
          { value: 'MALE', label: 'male' },
        ]}
      />
      <Choice label="Thigh, for the height" {...form.choice('thigh')} options={[...THIGH]} />
      <Choice label="Ankle, knee to the wall" {...form.choice('ankle')} options={[...ANKLE]} />
      <PainField
        catalogue={catalogue}
        pain={form.typed.pain}
        onPain={(pain) => form.set('pain', pain)}
        fault={form.fault}
      />
      <ProfileField
        catalogue={catalogue}
        profile={form.typed.profile}
        onProfile={(profile) => form.set('profile', profile)}
        fault={form.fault}
      />
      <CautionsField
        known={catalogue.cautions}
        redFlags={catalogue.redFlags}
        cautions={form.typed.cautions}
        restrictions={form.typed.restrictions}
        onCautions={(cautions) => form.set('cautions', cautions)}
        onRestrictions={(restrictions) => form.set('restrictions', restrictions)}
        fault={form.fault}
      />
      {form.error && <Trouble error={form.error} />}
      <FormEnd unsaved={form.unsaved} saving={form.saving} onLeave={onDone} />
      {client && <OwnData client={client} onErased={onDone} />}
    </form>
  )
}
