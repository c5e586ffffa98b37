import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Dialog } from 'radix-ui'
import { Fragment, useEffect, useState } from 'react'
import type { FormEvent, ReactNode } from 'react'
import { Problem, SIGNED_OUT, answer, api } from '../../api/client'
import type { Account } from '../../api/client'
import { forgetTheLastCoach, keys, useAccount } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble, Waiting } from '../../ui/Notice'
import { staysOut } from './signOut'

/** Lets the screens in once somebody is signed in. A session that ends while a screen is open asks on top of it, so that nothing typed is lost. */
export function Gate({ children }: { children: ReactNode }) {
  const queries = useQueryClient()
  const account = useAccount()
  const [wasIn, setWasIn] = useState(false)
  const [lastId, setLastId] = useState<string>()
  const enter = useMutation({
    mutationFn: () => answer(api.POST('/api/account/demo')),
    onSuccess: (a) => queries.setQueryData(keys.account, a),
  })
  useEffect(() => {
    const out = () => void queries.invalidateQueries({ queryKey: keys.account, exact: true })
    window.addEventListener(SIGNED_OUT, out)
    return () => window.removeEventListener(SIGNED_OUT, out)
  }, [queries])
  const signedIn = account.data
  const byItself = signedIn !== undefined && signedIn.demo && !signedIn.signedIn && !staysOut()
  const { mutate, isPending, isError } = enter
  useEffect(() => {
    if (byItself && !isPending && !isError) mutate()
  }, [byItself, isPending, isError, mutate])
  useOwnTimeZone(signedIn)
  if (signedIn?.signedIn && !wasIn) setWasIn(true)
  if (signedIn?.signedIn && signedIn.id !== lastId) setLastId(signedIn.id)
  const entering = byItself && !isError
  if (!signedIn)
    return account.isError ? (
      <Trouble error={account.error} retry={() => void account.refetch()} />
    ) : (
      <Waiting what="Opening" />
    )
  // another coach's screens begin anew; the same coach's keep what was typed
  const screens = <Fragment key={lastId ?? 'nobody'}>{children}</Fragment>
  if (signedIn.signedIn || (entering && wasIn)) return screens
  if (entering) return <Waiting what="Opening" />
  const ask = signedIn.demo ? (
    <EnterDemo pending={enter.isPending} error={enter.error} onEnter={() => enter.mutate()} />
  ) : signedIn.firstRun ? (
    <FirstAccount />
  ) : (
    <SignIn lastId={lastId} />
  )
  if (!wasIn) return <div className="mx-auto w-full max-w-md py-16">{ask}</div>
  return (
    <>
      {screens}
      <Dialog.Root open>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-24 left-1/2 z-50 w-[26rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 border border-ink bg-paper p-4"
          >
            <Dialog.Title className="mb-2 text-lg">
              You were signed out. What you typed is kept.
            </Dialog.Title>
            {ask}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  )
}

/** Tells the time zone of this device, so that days and weeks are the coach's own. */
function useOwnTimeZone(account: Account | undefined) {
  const queries = useQueryClient()
  const { mutate } = useMutation({
    mutationFn: (timeZone: string) =>
      answer(api.PUT('/api/account/time-zone', { body: { timeZone } })),
    onSuccess: () => queries.invalidateQueries(),
  })
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone
  const moved = account?.signedIn === true && here !== '' && account.timeZone !== here
  useEffect(() => {
    if (moved) mutate(here)
  }, [moved, here, mutate])
}

function EnterDemo({
  pending,
  error,
  onEnter,
}: {
  pending: boolean
  error: Error | null
  onEnter: () => void
}) {
  return (
    <div className="space-y-3">
      <h1 className="text-2xl">The demo</h1>
      <p>Everybody in it is invented. It signs in by itself, on this machine only.</p>
      {error && <Trouble error={error} />}
      <Button look="ink" disabled={pending} onClick={onEnter}>
        Enter the demo
      </Button>
    </div>
  )
}

function SignIn({ lastId }: { lastId: string | undefined }) {
  const queries = useQueryClient()
  const [signInName, setName] = useState('')
  const [password, setPassword] = useState('')
  const enter = useMutation({
    mutationFn: () => answer(api.POST('/api/account/sign-in', { body: { signInName, password } })),
    onSuccess: async () => {
      const account = await answer(api.GET('/api/account'))
      if (lastId !== undefined && account.id !== lastId) forgetTheLastCoach(queries)
      queries.setQueryData(keys.account, account)
      return queries.invalidateQueries()
    },
  })
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    enter.mutate()
  }
  return (
    <form onSubmit={onSubmit} noValidate aria-label="Sign in" className="space-y-3">
      <h1 className="text-2xl">Sign in</h1>
      <Field
        label="Name"
        autoComplete="username"
        value={signInName}
        onChange={(event) => setName(event.target.value)}
        autoFocus
      />
      <Field
        label="Password"
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
      />
      {enter.isError && <Trouble error={enter.error} />}
      <Button look="ink" type="submit" disabled={enter.isPending}>
        Sign in
      </Button>
    </form>
  )
}

function FirstAccount() {
  const queries = useQueryClient()
  const form = useNewCoach()
  const create = useMutation({
    mutationFn: () => answer(api.POST('/api/account/first', { body: form.body })),
    onSuccess: () => queries.invalidateQueries(),
  })
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    create.mutate()
  }
  return (
    <form onSubmit={onSubmit} noValidate aria-label="First account" className="space-y-3">
      <h1 className="text-2xl">The first coach on this machine</h1>
      <p className="text-sm text-ink-2">
        There is nobody to send a forgotten password to: keep it somewhere safe.
      </p>
      <NewCoachFields form={form} error={create.error} />
      <Button look="ink" type="submit" disabled={create.isPending}>
        Begin
      </Button>
    </form>
  )
}

export function useNewCoach() {
  const [name, setName] = useState('')
  const [signInName, setSignInName] = useState('')
  const [password, setPassword] = useState('')
  const clear = () => {
    setName('')
    setSignInName('')
    setPassword('')
  }
  return { body: { name, signInName, password }, setName, setSignInName, setPassword, clear }
}

export function NewCoachFields({
  form,
  error,
}: {
  form: ReturnType<typeof useNewCoach>
  error: Error | null
}) {
  const problem = error instanceof Problem ? error : null
  return (
    <>
      <Field
        label="Coach's name"
        autoComplete="name"
        value={form.body.name}
        onChange={(event) => form.setName(event.target.value)}
        fault={problem?.fault('name')}
      />
      <Field
        label="Name to sign in with"
        autoComplete="username"
        value={form.body.signInName}
        onChange={(event) => form.setSignInName(event.target.value)}
        fault={problem?.fault('signInName')}
      />
      <Field
        label="Password"
        type="password"
        autoComplete="new-password"
        value={form.body.password}
        onChange={(event) => form.setPassword(event.target.value)}
        fault={problem?.fault('password')}
      />
      {error && (problem?.faults.length ?? 0) === 0 && <Trouble error={error} />}
    </>
  )
}
