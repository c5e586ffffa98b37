import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, api } from '../../api/client'
import type { Session } from '../../api/client'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { MakeYourOwn } from '../exercises/MakeYourOwn'
import { HitPicker } from '../search/HitPicker'

/** Puts any exercise into a session by any of its names, computed or by word. */
export function AddByName({
  session,
  onAdded,
}: {
  session: Session
  onAdded: (session: Session) => void
}) {
  const [open, setOpen] = useState(false)
  const add = useMutation({
    mutationFn: (candidateId: string) =>
      answer(
        api.POST('/api/sessions/{id}/items', {
          params: { path: { id: session.id } },
          body: { candidateId },
        }),
      ),
    onSuccess: (changed) => {
      setOpen(false)
      onAdded(changed)
    },
  })
  return (
    <>
      <Button
        onClick={() => {
          add.reset()
          setOpen(true)
        }}
      >
        Add by name
      </Button>
      <Sheet title="Add an exercise" open={open} onClose={() => setOpen(false)}>
        <HitPicker
          label="Name or nickname"
          kinds={['EXERCISE', 'SET_UP', 'BY_WORD']}
          onPick={(hit) => add.mutate(hit.id)}
          nothing={(text) => <MakeYourOwn name={text} />}
        />
        {add.isError && <Trouble error={add.error} />}
      </Sheet>
    </>
  )
}
