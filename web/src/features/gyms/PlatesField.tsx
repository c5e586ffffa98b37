import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Machines } from '../../api/client'
import { afterGymChanged, keys } from '../../api/queries'
import { plateWords, readPlates } from '../../quantity/plates'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'

/** The plates that a gym owns, in one line: "20 x 4, 2.5 x 2" is four pairs of twenty and two of two and a half. */
export function PlatesField({ machines }: { machines: Machines }) {
  const queries = useQueryClient()
  const before = plateWords(machines.plates)
  const [text, setText] = useState(before)
  const read = readPlates(text)
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/gyms/{gymId}/machines', {
          params: { path: { gymId: machines.gymId } },
          body: { version: machines.version, plates: read ?? [] },
        }),
      ),
    onSuccess: (m) => {
      queries.setQueryData(keys.machines(machines.gymId), m)
      afterGymChanged(queries)
    },
  })
  const problem = save.error instanceof Problem ? save.error : null
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    save.mutate()
  }
  return (
    <form onSubmit={onSubmit} noValidate aria-label="Plates" className="mt-3 flex items-end gap-2">
      <Field
        className="min-w-0 flex-1"
        label="Plates owned: kg x pairs"
        placeholder="20 x 4, 10 x 2, 2.5 x 2"
        value={text}
        onChange={(event) => setText(event.target.value)}
        fault={
          read === null
            ? 'write each mass with its pairs, as 20 x 4, 2.5 x 2'
            : problem?.fault('plates')
        }
      />
      <Button
        type="submit"
        className="!min-h-9"
        disabled={save.isPending || read === null || text === before}
      >
        Save plates
      </Button>
      {save.isError && (problem?.faults.length ?? 0) === 0 && <Trouble error={save.error} />}
    </form>
  )
}
