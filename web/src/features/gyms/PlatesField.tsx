import { useQueryClient } from '@tanstack/react-query'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import type { Machines } from '../../api/client'
import { afterGymChanged, keys } from '../../api/queries'
import { plateWords, readPlates } from '../../quantity/plates'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'
import { massUnit } from '../../quantity/units'

const PLATES = z.object({
  plates: z.pipe(
    z.string(),
    z.transform((text: string, context) => {
      const plates = readPlates(text)
      if (plates) return plates
      context.issues.push({
        code: 'custom',
        message: 'write each mass with its pairs, as 20 x 4, 2.5 x 2',
        input: text,
      })
      return z.NEVER
    }),
  ),
})

/** The plates that a gym owns, in one line: "20 x 4, 2.5 x 2" is four pairs of twenty and two of two and a half. */
export function PlatesField({ machines }: { machines: Machines }) {
  const queries = useQueryClient()
  const form = useSavedForm({
    reads: PLATES,
    begins: { plates: plateWords(machines.plates) },
    whileTyping: true,
    save: ({ plates }) =>
      answer(
        api.PUT('/api/gyms/{gymId}/machines', {
          params: { path: { gymId: machines.gymId } },
          body: { version: machines.version, plates },
        }),
      ),
    onSaved: (saved) => {
      queries.setQueryData(keys.machines(machines.gymId), saved)
      afterGymChanged(queries)
    },
  })
  return (
    <form
      onSubmit={form.submit}
      noValidate
      aria-label="Plates"
      className="mt-3 flex items-end gap-2"
    >
      <Field
        className="min-w-0 flex-1"
        label={`Plates owned: ${massUnit()} x pairs`}
        placeholder={massUnit() === 'kg' ? '20 x 4, 10 x 2, 2.5 x 2' : '45 x 4, 25 x 2, 5 x 2'}
        {...form.box('plates')}
      />
      <Button
        type="submit"
        className="!min-h-9"
        disabled={form.saving || !form.readable || !form.changed}
      >
        Save plates
      </Button>
      {form.trouble && <Trouble error={form.trouble} />}
    </form>
  )
}
