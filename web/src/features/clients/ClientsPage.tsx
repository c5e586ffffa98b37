import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { Link } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import type { Catalogue, Client, Schemas } from '../../api/client'
import { afterClientChanged, useCatalogue, useClients } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Choice, Field } from '../../ui/Field'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { CautionsField } from './CautionsField'
import { OwnData } from './OwnData'
import { PainField } from './PainField'
import { ProfileField, UNKNOWN } from './ProfileField'

const THIGH = [
  { value: 'SHORT', label: 'short' },
  { value: 'USUAL', label: 'usual' },
  { value: 'LONG', label: 'long' },
] as const
const ANKLE = [
  { value: 'STIFF', label: 'stiff' },
  { value: 'USUAL', label: 'usual' },
  { value: 'FREE', label: 'free' },
] as const

/** Clients and the sixty-second intake. */
export function ClientsPage() {
  const clients = useClients()
  const catalogue = useCatalogue()
  const [chosen, setChosen] = useState<string | null>(null) // an id, or 'new'
  const failed = [clients, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!clients.data || !catalogue.data) return <Waiting what="Loading" />
  const client = clients.data.find((c) => c.id === chosen)
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section aria-label="Clients" className="min-w-0">
        <div className="flex items-baseline justify-between border-b border-ink pb-1">
          <h1 className="text-xl">Clients</h1>
          <span className="flex items-baseline gap-4">
            <Link className="text-sm text-accent-2 underline" to="/clients/bring">
              Bring in from a file
            </Link>
            <Button look="ink" onClick={() => setChosen('new')}>
              New client
            </Button>
          </span>
        </div>
        {clients.data.length === 0 && <Quiet>No client yet. The intake takes sixty seconds.</Quiet>}
        <div className="overflow-x-auto">
          <table className="w-full">
            <thead>
              <tr className="border-b border-rule text-left text-xs text-ink-2">
                <th scope="col" className="py-1 font-normal">
                  Name
                </th>
                <th scope="col" className="hidden text-right font-normal sm:table-cell">
                  Stature
                </th>
                <th scope="col" className="hidden text-right font-normal sm:table-cell">
                  Mass
                </th>
                <th scope="col" className="hidden px-4 font-normal sm:table-cell">
                  Thigh
                </th>
                <th scope="col" className="hidden font-normal sm:table-cell">
                  Ankle
                </th>
                <th scope="col" className="font-normal">
                  Sore
                </th>
                <th scope="col" className="font-normal">
                  Cautions
                </th>
                <th scope="col" />
              </tr>
            </thead>
            <tbody>
              {clients.data.map((c) => (
                <tr
                  key={c.id}
                  className={`border-b border-rule/60 ${c.id === chosen ? 'bg-paper-2' : ''}`}
                >
                  <th scope="row" className="py-1.5 text-left font-semibold">
                    {c.name}
                  </th>
                  <td className="hidden pl-3 text-right whitespace-nowrap sm:table-cell">
                    {Math.round(100 * c.statureM)} cm
                  </td>
                  <td className="hidden pl-3 text-right whitespace-nowrap sm:table-cell">
                    {c.massKg} kg
                  </td>
                  <td className="hidden px-4 sm:table-cell">{c.thigh.toLowerCase()}</td>
                  <td className="hidden pr-4 sm:table-cell">{c.ankle.toLowerCase()}</td>
                  <td className={`pr-4 ${c.pain.length > 0 ? 'text-warn' : 'text-ink-2'}`}>
                    {c.pain.length === 0
                      ? '–'
                      : c.pain
                          .map((p) =>
                            catalogue.data.painFlags
                              .find((f) => f.id === p.joint)
                              ?.label.replace('sore ', ''),
                          )
                          .join(', ')}
                  </td>
                  <td className="text-sm">{cautionWords(c, catalogue.data.cautions)}</td>
                  <td className="text-right sm:whitespace-nowrap">
                    <Button
                      look="bare"
                      aria-label={`Change ${c.name}`}
                      onClick={() => setChosen(c.id)}
                    >
                      Change
                    </Button>
                    <Link
                      className="px-2 text-sm text-accent-2 underline"
                      aria-label={`Measure ${c.name}`}
                      to={`/clients/${c.id}`}
                    >
                      Measure
                    </Link>
                    <Link
                      className="px-2 text-sm text-accent-2 underline"
                      to={`/sessions?client=${c.id}`}
                    >
                      Sessions
                    </Link>
                    <Link className="px-2 text-sm text-accent-2 underline" to={`/record/${c.id}`}>
                      Record
                    </Link>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      {chosen !== null && (
        <Intake
          key={`${chosen} ${client?.version}`}
          client={client}
          catalogue={catalogue.data}
          onDone={() => setChosen(null)}
        />
      )}
    </div>
  )
}

/** Cautions in a few words; what still waits for a clinician says so. */
function cautionWords(c: Client, known: Catalogue['cautions']): string {
  const words = c.cautions.map((x) => {
    const k = known.find((k) => k.id === x.caution)
    return `${k?.label ?? x.caution}${k?.asksClearance && !x.clearedBy ? ' (not cleared)' : ''}`
  })
  if (c.restrictions.length > 0)
    words.push(
      c.restrictions.length === 1
        ? 'a written restriction'
        : `${c.restrictions.length} written restrictions`,
    )
  return words.join(', ') || '–'
}

/** Stature in cm and mass in kg as the coach says them; sent in m and kg. */
function Intake({
  client,
  catalogue,
  onDone,
}: {
  client?: Client
  catalogue: Catalogue
  onDone: () => void
}) {
  const queries = useQueryClient()
  const [name, setName] = useState(client?.name ?? '')
  const [stature, setStature] = useState(client ? String(Math.round(100 * client.statureM)) : '')
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
        restrictions: restrictions.map((r) => ({ ...r, on: r.on || undefined })),
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
    onSuccess: () => {
      afterClientChanged(queries)
      onDone()
    },
  })
  const problem = save.error instanceof Problem ? save.error : null
  const onSubmit = (e: FormEvent) => {
    e.preventDefault()
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
        onChange={(e) => setName(e.target.value)}
        fault={problem?.fault('name')}
        autoFocus
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Stature"
          unit="cm"
          inputMode="decimal"
          value={stature}
          onChange={(e) => setStature(e.target.value)}
          fault={inCentimetres(problem?.fault('statureM'))}
        />
        <Field
          label="Mass"
          unit="kg"
          inputMode="decimal"
          value={mass}
          onChange={(e) => setMass(e.target.value)}
          fault={problem?.fault('massKg')}
        />
      </div>
      <Choice
        label="Body tables that fit better"
        value={sex}
        onChange={setSex}
        fault={problem?.fault('sex')}
        options={[
          { value: 'FEMALE', label: 'female' },
          { value: 'MALE', label: 'male' },
        ]}
      />
      <Choice
        label="Thigh, for the stature"
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
        fault={(f) => problem?.fault(f)}
      />
      <ProfileField
        catalogue={catalogue}
        profile={profile}
        onProfile={setProfile}
        fault={(f) => problem?.fault(f)}
      />
      <CautionsField
        known={catalogue.cautions}
        redFlags={catalogue.redFlags}
        cautions={cautions}
        restrictions={restrictions}
        onCautions={setCautions}
        onRestrictions={setRestrictions}
        fault={(f) => problem?.fault(f)}
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
    ?.replace(/([\d.]+)(?= (?:is not|to)| m$)/g, (n) => String(Math.round(100 * Number(n))))
    .replace(/ m$/, ' cm')
}
