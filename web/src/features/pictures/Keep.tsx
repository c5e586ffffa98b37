import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { afterClientChanged, keys } from '../../api/queries'
import { today } from '../../quantity/day'
import { Button } from '../../ui/Button'
import { FaultText, Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'

/** Makes what was seen this client's technique. */
export function Keep({
  clientId,
  picture,
  day,
}: {
  clientId: string
  picture: Schemas['PictureInput']
  day: string
}) {
  const queries = useQueryClient()
  const [on, setOn] = useState(day > today() ? today() : day)
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/clients/{clientId}/technique', {
          params: { path: { clientId } },
          body: { picture, on: on || undefined },
        }),
      ),
    onSuccess: (technique) => {
      queries.setQueryData(keys.technique(clientId), technique)
      afterClientChanged(queries)
    },
  })
  const fault = keep.error instanceof Problem ? keep.error : null
  return (
    <div className="space-y-2 border-t border-rule pt-2">
      <div className="flex items-end gap-3">
        <Field
          label="Taken on"
          type="date"
          className="w-40"
          value={on}
          onChange={(event) => setOn(event.target.value)}
          fault={fault?.fault('on')}
        />
        <Button look="ink" disabled={keep.isPending} onClick={() => keep.mutate()}>
          Use as this client’s technique
        </Button>
      </div>
      <FaultText text={fault?.fault('marks')} />
      {keep.isError && (fault?.faults.length ?? 0) === 0 && <Trouble error={keep.error} />}
      {keep.isSuccess && (
        <p role="status" className="text-sm">
          Kept. Ranking, set-up and loads of this exercise follow it. The picture was not kept.
        </p>
      )}
    </div>
  )
}
