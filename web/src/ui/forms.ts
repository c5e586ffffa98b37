import { zodResolver } from '@hookform/resolvers/zod'
import { useMutation } from '@tanstack/react-query'
import type { FormEvent } from 'react'
import { get, useForm, useWatch } from 'react-hook-form'
import type { DefaultValues, FieldPath, FieldValues, PathValue } from 'react-hook-form'
import type { z } from 'zod/mini'
import { faultsOf } from './faults'
import type { Fault } from './faults'

type Asked<Typed extends FieldValues, Read> = {
  /** how what is typed becomes what is meant */
  reads: z.ZodMiniType<Read, Typed>
  begins: Typed
  /** marks what cannot be read as soon as it is typed, not only when it is sent */
  whileTyping?: boolean
}

/** A form: what is typed, how it is read, and what is wrong with which box. A box that cannot be read is marked, and nothing is sent. */
export function useTypedForm<Typed extends FieldValues, Read>({
  reads,
  begins,
  whileTyping = false,
}: Asked<Typed, Read>) {
  const form = useForm<Typed, unknown, Read>({
    resolver: zodResolver(reads),
    defaultValues: begins as DefaultValues<Typed>,
    mode: whileTyping ? 'onChange' : 'onSubmit',
  })
  const { clearErrors, control, formState, getValues, handleSubmit, register, setError, setValue } =
    form
  useWatch({ control })
  const fault = (field: string): string | undefined => {
    const found: unknown = get(formState.errors, field)
    return (found as { message?: string } | undefined)?.message
  }
  const set = <F extends FieldPath<Typed>>(field: F, value: PathValue<Typed, F>) => {
    clearErrors(field)
    setValue(field, value, { shouldDirty: true, shouldValidate: whileTyping })
  }
  return {
    register,
    typed: getValues(),
    fault,
    set,
    /** all that a text box needs; a number or a day is a text box too */
    box: (field: FieldPath<Typed>) => ({ ...register(field), fault: fault(field) }),
    /** all that a choice of one of a few needs */
    choice: <F extends FieldPath<Typed>>(field: F) => ({
      value: getValues(field),
      onChange: (value: PathValue<Typed, F>) => set(field, value),
      fault: fault(field),
    }),
    /** hands on what was read, once all of it could be */
    whenRead: (use: (read: Read) => void) => (event: FormEvent) => void handleSubmit(use)(event),
    /** marks the boxes of these names until they are changed */
    mark: (faults: Fault[]) =>
      faults.forEach(({ field, message }) =>
        setError(field as FieldPath<Typed>, { type: 'server', message }),
      ),
    begin: (values: Typed) => form.reset(values),
    changed: formState.isDirty,
    readable: formState.isValid,
  }
}

/** A form that is sent to the server; what the server finds wrong is marked at the box of the same name. */
export function useSavedForm<Typed extends FieldValues, Read, Saved>({
  save,
  onSaved,
  ...asked
}: Asked<Typed, Read> & {
  save: (read: Read) => Promise<Saved>
  /** what happens once it is saved; begin empties or fills the form for the next */
  onSaved?: (
    saved: Saved,
    again: { typed: Typed; begin: (values: Typed) => void },
  ) => Promise<unknown> | void
}) {
  const form = useTypedForm(asked)
  const saving = useMutation({
    mutationFn: (read: Read) => save(read),
    onSuccess: (saved) => onSaved?.(saved, form),
    onError: (error) => form.mark(faultsOf(error)),
  })
  return {
    ...form,
    submit: form.whenRead((read) => saving.mutate(read)),
    saving: saving.isPending,
    /** whether leaving now would lose what is typed */
    unsaved: form.changed && !saving.isPending,
    saved: saving.isSuccess,
    error: saving.error,
    /** what went wrong apart from single boxes */
    trouble: faultsOf(saving.error).length > 0 ? null : saving.error,
  }
}
