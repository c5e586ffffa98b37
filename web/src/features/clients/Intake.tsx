import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Catalogue, Client, Schemas } from '../../api/client'
import { afterClientChanged } from '../../api/queries'
import { trim } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Choice, Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { CautionsField } from './CautionsField'
import { ANKLE_WORDS } from './cautions'
import { OwnData } from './OwnData'
import { PainField } from './PainField'
import { ProfileField, UNKNOWN } from './ProfileField'

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

/** Height in cm and weight in kg as the coach says them; sent in m and kg. */
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
  const [name, setName] = useState(client?.name ?? '')
  const [stature, setStature] = useState(client ? trim(100 * client.statureM, 1) : '')
  const [mass, setMass] = useState(client ? String(client.massKg) : '')
  const [sex, setSex] = useState<Schemas['ClientView']['sex'] | null>(client?.sex ?? null)
  const [thigh, setThigh] = useState<Client['thigh']>(client?.thigh ?? 'USUAL')
  const [ankle, setAnkle] = useState<Client['ankle']>(client?.ankle ?? 'USUAL')
  const [pain, setPain] = useState<Client['pain']>(client?.pain ?? [])
  const [profile, setProfile] = useState<Client['profile']>(client?.profile ?? UNKNOWN)
  const [cautions, setCautions] = useState<Client['cautions']>(client?.cautions ?? [])
  const [restrictions, setRestrictions] = useState<Client['restrictions']>(
    client?.restrictions ?? [],
  )
  const save = useMutation({
    mutationFn: () => {
      const number = (text: string) =>
        text.trim() === '' ? undefined : Number(text.replace(',', '.'))
      const cm = number(stature)
      const body: Schemas['ClientInput'] = {
        name,
        statureM: cm === undefined ? undefined : cm / 100,
        massKg: number(mass),
        sex: sex ?? undefined,
        thigh,
        ankle,
        pain,
        profile,
        cautions,
        restrictions: restrictions.map((restriction) => ({
          ...restriction,
          on: restriction.on || undefined,
        })),
      }
      return client
        ? answer(
            api.PUT('/api/clients/{id}', {
              params: { path: { id: client.id } },
              body: { ...body, version: client.version },
            }),
          )
        : answer(api.POST('/api/clients', { body }))
    },
    onSuccess: (saved) => {
      afterClientChanged(queries)
      if (client) onDone()
      else onTakenIn(saved.id)
    },
  })
  const problem = save.error instanceof Problem ? save.error : null
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    save.mutate()
  }
  return (
    <form
      onSubmit={onSubmit}
      aria-label="Intake"
      noValidate
      className="space-y-3 border-l border-rule pl-5"
    >
      <h2 className="text-xl">{client ? client.name : 'New client: sixty seconds'}</h2>
      <Field
        label="Name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        fault={problem?.fault('name')}
        autoFocus
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Height"
          unit="cm"
          inputMode="decimal"
          value={stature}
          onChange={(event) => setStature(event.target.value)}
          fault={inCentimetres(problem?.fault('statureM'))}
        />
        <Field
          label="Weight"
          unit="kg"
          inputMode="decimal"
          value={mass}
          onChange={(event) => setMass(event.target.value)}
          fault={problem?.fault('massKg')}
        />
      </div>
      <Choice
        label="Sex, for proportions"
        value={sex}
        onChange={setSex}
        fault={problem?.fault('sex')}
        options={[
          { value: 'FEMALE', label: 'female' },
          { value: 'MALE', label: 'male' },
        ]}
      />
      <Choice
        label="Thigh, for the height"
        value={thigh}
        onChange={setThigh}
        options={[...THIGH]}
      />
      <Choice
        label="Ankle, knee to the wall"
        value={ankle}
        onChange={setAnkle}
        options={[...ANKLE]}
      />
      <PainField
        catalogue={catalogue}
        pain={pain}
        onPain={setPain}
        fault={(field) => problem?.fault(field)}
      />
      <ProfileField
        catalogue={catalogue}
        profile={profile}
        onProfile={setProfile}
        fault={(field) => problem?.fault(field)}
      />
      <CautionsField
        known={catalogue.cautions}
        redFlags={catalogue.redFlags}
        cautions={cautions}
        restrictions={restrictions}
        onCautions={setCautions}
        onRestrictions={setRestrictions}
        fault={(field) => problem?.fault(field)}
      />
      {save.isError && <Trouble error={save.error} />}
      <div className="sticky bottom-0 z-10 flex gap-2 border-t border-rule bg-paper py-2">
        <Button look="ink" type="submit" disabled={save.isPending}>
          Save
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
      {client && <OwnData client={client} onErased={onDone} />}
    </form>
  )
}

/** The server speaks metres; the coach typed centimetres. */
function inCentimetres(fault?: string): string | undefined {
  return fault
    ?.replace(/([\d.]+)(?= (?:is not|to)| m$)/g, (name) => String(Math.round(100 * Number(name))))
    .replace(/ m$/, ' cm')
}
