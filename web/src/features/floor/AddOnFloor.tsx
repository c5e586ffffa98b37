import { useMutation } from '@tanstack/react-query'
import { Sheet } from '../../ui/Sheet'
import { Trouble } from '../../ui/Notice'
import { MakeYourOwn } from '../exercises/MakeYourOwn'
import { HitPicker } from '../search/HitPicker'
import type { Floor } from './useFloor'

/** Any exercise by any of its names, at the end of the session that is under way. */
export function AddOnFloor({
  floor,
  open,
  onClose,
  onAdded,
}: {
  floor: Floor
  open: boolean
  onClose: () => void
  onAdded: () => void
}) {
  const add = useMutation({
    mutationFn: (candidateId: string) => floor.add(candidateId),
    onSuccess: () => {
      onClose()
      onAdded()
    },
  })
  return (
    <Sheet title="Add an exercise" open={open} onClose={onClose}>
      <HitPicker
        label="Name or nickname"
        kinds={['EXERCISE', 'SET_UP', 'BY_WORD']}
        onPick={(hit) => add.mutate(hit.id)}
        nothing={(text) => <MakeYourOwn name={text} />}
      />
      {add.isPending && <p role="status">Adding it …</p>}
      {add.isError && <Trouble error={add.error} />}
    </Sheet>
  )
}
