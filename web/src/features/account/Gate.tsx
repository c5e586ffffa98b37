import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Dialog } from 'radix-ui'
import { Fragment, Suspense, lazy, useEffect, useState } from 'react'
import type { ReactNode } from 'react'
import { SIGNED_OUT, answer, api } from '../../api/client'
import type { Account } from '../../api/client'
import { keys, useAccount } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble, Waiting } from '../../ui/Notice'
import { staysOut } from './signOut'

// nobody who is signed in already waits for what a form needs
const SignIn = lazy(() => import('./SignIn').then((room) => ({ default: room.SignIn })))
const FirstAccount = lazy(() => import('./SignIn').then((room) => ({ default: room.FirstAccount })))

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
  ) : (
    <Suspense fallback={<Waiting what="Opening" />}>
      {signedIn.firstRun ? <FirstAccount /> : <SignIn lastId={lastId} />}
    </Suspense>
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
