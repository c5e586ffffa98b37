import { useQueryClient } from '@tanstack/react-query'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import { forgetTheLastCoach, keys } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { NewCoachFields, useNewCoach } from './NewCoach'

const SIGN_IN = z.object({ signInName: z.string(), password: z.string() })

/** Asks for the coach's name and password. */
export function SignIn({ lastId }: { lastId: string | undefined }) {
  const queries = useQueryClient()
  const form = useSavedForm({
    reads: SIGN_IN,
    begins: { signInName: '', password: '' },
    save: (body) => answer(api.POST('/api/account/sign-in', { body })),
    onSaved: async () => {
      const account = await answer(api.GET('/api/account'))
      if (lastId !== undefined && account.id !== lastId) forgetTheLastCoach(queries)
      queries.setQueryData(keys.account, account)
      return queries.invalidateQueries()
    },
  })
  return (
    <form onSubmit={form.submit} noValidate aria-label="Sign in" className="space-y-3">
      <h1 className="text-2xl">Sign in</h1>
      <Field label="Name" autoComplete="username" {...form.box('signInName')} autoFocus />
      <Field
        label="Password"
        type="password"
        autoComplete="current-password"
        {...form.box('password')}
      />
      {form.error && <Trouble error={form.error} />}
      <Button look="ink" type="submit" disabled={form.saving}>
        Sign in
      </Button>
    </form>
  )
}

/** Makes the first coach's account on a new machine. */
export function FirstAccount() {
  const queries = useQueryClient()
  const form = useNewCoach(
    (body) => answer(api.POST('/api/account/first', { body })),
    () => queries.invalidateQueries(),
  )
  return (
    <form onSubmit={form.submit} noValidate aria-label="First account" className="space-y-3">
      <h1 className="text-2xl">The first coach on this machine</h1>
      <p className="text-sm text-ink-2">
        There is nobody to send a forgotten password to: keep it somewhere safe.
      </p>
      <NewCoachFields form={form} />
      <Button look="ink" type="submit" disabled={form.saving}>
        Begin
      </Button>
    </form>
  )
}
