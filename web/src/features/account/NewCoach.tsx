import { z } from 'zod/mini'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'

const NEW_COACH = z.object({ name: z.string(), signInName: z.string(), password: z.string() })
export const NOBODY: z.input<typeof NEW_COACH> = { name: '', signInName: '', password: '' }

/** The form for a coach who is not known yet. */
export function useNewCoach<Saved>(
  save: (coach: z.output<typeof NEW_COACH>) => Promise<Saved>,
  onSaved: (saved: Saved, again: { begin: (coach: typeof NOBODY) => void }) => Promise<void> | void,
) {
  return useSavedForm({ reads: NEW_COACH, begins: NOBODY, save, onSaved })
}

export function NewCoachFields({ form }: { form: ReturnType<typeof useNewCoach> }) {
  return (
    <>
      <Field label="Coach's name" autoComplete="name" {...form.box('name')} />
      <Field label="Name to sign in with" autoComplete="username" {...form.box('signInName')} />
      <Field
        label="Password"
        type="password"
        autoComplete="new-password"
        {...form.box('password')}
      />
      {form.trouble && <Trouble error={form.trouble} />}
    </>
  )
}
