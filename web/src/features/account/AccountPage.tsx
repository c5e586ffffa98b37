import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import { forgetSeen } from '../../api/lastSeen'
import { keys, useAccount } from '../../api/queries'
import { day } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { NOBODY, NewCoachFields, useNewCoach } from './NewCoach'
import { forgetWalks } from '../floor/store'
import { stayOut } from './signOut'

const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

/** The coach's own account: where it is signed in, its password, other coaches. */
export function AccountPage() {
  const account = useAccount()
  if (!account.data) return <Waiting what="Loading" />
  const demo = account.data.demo
  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <SignedIn name={account.data.name ?? ''} demo={demo} />
      {demo ? (
        <Quiet>
          The demo’s coach has no password, and the demo has no other coaches. An installation of
          your own asks for the first account when it starts.
        </Quiet>
      ) : (
        <div className="space-y-8">
          <Password />
          <AnotherCoach />
        </div>
      )}
      <p className="text-xs text-ink-2 lg:col-span-2">
        Licences of what Istmo is built with:{' '}
        <a className="underline" href="/notices-java.txt">
          on the server
        </a>
        ,{' '}
        <a className="underline" href="/notices-web.md">
          on the screen
        </a>
        . The same as lists for programs (CycloneDX):{' '}
        <a className="underline" href="/sbom-java.json" download>
          server
        </a>
        ,{' '}
        <a className="underline" href="/sbom-web.json" download>
          screen
        </a>
        .
      </p>
    </div>
  )
}

function SignedIn({ name, demo }: { name: string; demo: boolean }) {
  const queries = useQueryClient()
  const sessions = useQuery({
    queryKey: keys.signedIn,
    queryFn: () => answer(api.GET('/api/account/sessions')),
  })
  const end = useMutation({
    mutationFn: (id: string) =>
      answer(api.DELETE('/api/account/sessions/{id}', { params: { path: { id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.signedIn }),
  })
  const out = useMutation({
    mutationFn: () => answer(api.POST('/api/account/sign-out')),
    onSuccess: async () => {
      if (demo) stayOut(true)
      await Promise.all([forgetWalks(), forgetSeen()])
      window.location.assign('/')
    },
  })
  return (
    <section aria-label="Signed in">
      <div className="flex items-baseline justify-between border-b border-ink pb-1">
        <h1 className="text-xl">{name}</h1>
        <Button disabled={out.isPending} onClick={() => out.mutate()}>
          Sign out
        </Button>
      </div>
      <p className="py-1 text-sm text-ink-2">
        {demo ? 'The demo signs in by itself, on this machine only. ' : ''}Signed in here:
      </p>
      {sessions.isError && <Trouble error={sessions.error} retry={() => void sessions.refetch()} />}
      <ul>
        {(sessions.data ?? []).map((session) => (
          <li
            key={session.id}
            className="flex items-baseline gap-3 border-b border-rule/60 py-1.5 text-sm"
          >
            <span className="min-w-0 flex-1">
              <span className="block truncate" title={session.device}>
                {deviceWords(session.device)}
              </span>
              <span className="text-ink-2">
                since {day(session.since)}, last used {day(session.lastUsed)}{' '}
                {TIME.format(new Date(session.lastUsed))}
              </span>
            </span>
            {session.current ? (
              <b>this one</b>
            ) : (
              <Button look="bare" disabled={end.isPending} onClick={() => end.mutate(session.id)}>
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {[end, out].map((x, k) => x.isError && <Trouble key={k} error={x.error} />)}
      <h2 className="mt-6 border-b border-rule pb-1 text-lg">Everything as one file</h2>
      <p className="py-1 text-sm text-ink-2">
        Clients with health notes, records and planned weeks, gyms, own variants and own schools.
        Who has the file can read all of it.
      </p>
      <p className="flex flex-wrap gap-4 text-sm">
        <a className="text-accent-2 underline" href="/api/account/file" download>
          Take the whole account out
        </a>
        <Link className="text-accent-2 underline" to="/clients/bring">
          Bring in from a file
        </Link>
      </p>
    </section>
  )
}

const PASSWORDS = z.object({ oldPassword: z.string(), newPassword: z.string() })
const BLANK: z.input<typeof PASSWORDS> = { oldPassword: '', newPassword: '' }

function Password() {
  const queries = useQueryClient()
  const form = useSavedForm({
    reads: PASSWORDS,
    begins: BLANK,
    save: (body) => answer(api.PUT('/api/account/password', { body })),
    onSaved: (_, { begin }) => {
      begin(BLANK)
      void queries.invalidateQueries({ queryKey: keys.signedIn })
    },
  })
  return (
    <form onSubmit={form.submit} noValidate aria-label="Password" className="space-y-3">
      <h2 className="text-lg">Change the password</h2>
      <Field
        label="Password now"
        type="password"
        autoComplete="current-password"
        {...form.box('oldPassword')}
      />
      <Field
        label="New password"
        type="password"
        autoComplete="new-password"
        {...form.box('newPassword')}
      />
      {form.trouble && <Trouble error={form.trouble} />}
      {form.saved && (
        <p role="status" className="text-sm">
          Changed, and signed out everywhere else.
        </p>
      )}
      <Button type="submit" disabled={form.saving}>
        Change it
      </Button>
    </form>
  )
}

function AnotherCoach() {
  const form = useNewCoach(
    (body) => answer(api.POST('/api/account/coaches', { body })),
    (_, { begin }) => begin(NOBODY),
  )
  return (
    <form onSubmit={form.submit} noValidate aria-label="Another coach" className="space-y-3">
      <h2 className="text-lg">Add another coach</h2>
      <p className="text-sm text-ink-2">
        With clients, gyms and sessions of their own. Nobody sees anybody else’s.
      </p>
      <NewCoachFields form={form} />
      {form.saved && (
        <p role="status" className="text-sm">
          Added.
        </p>
      )}
      <Button type="submit" disabled={form.saving}>
        Add
      </Button>
    </form>
  )
}

/** A browser and its machine in two words, from what it says of itself. */
function deviceWords(agent: string): string {
  const browser = [
    ['Edg/', 'Edge'],
    ['Firefox/', 'Firefox'],
    ['Chrome/', 'Chrome or alike'],
    ['Safari/', 'Safari'],
  ].find(([mark]) => agent.includes(mark!))?.[1]
  const machine = [
    ['iPhone', 'iPhone'],
    ['iPad', 'iPad'],
    ['Android', 'Android'],
    ['Windows', 'Windows'],
    ['Mac OS', 'Mac'],
    ['Linux', 'Linux'],
  ].find(([mark]) => agent.includes(mark!))?.[1]
  return browser && machine ? `${browser} on ${machine}` : agent
}
