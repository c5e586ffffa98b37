import { Button } from './Button'
import { letGo, useUnsaved } from './unsaved'

/** The end of a long form, always in sight: save it, or leave it. Leaving loses nothing unasked. */
export function FormEnd({
  unsaved,
  saving,
  onLeave,
}: {
  unsaved: boolean
  saving: boolean
  onLeave: () => void
}) {
  useUnsaved(unsaved)
  return (
    <div className="sticky bottom-0 z-10 flex gap-2 border-t border-rule bg-paper py-2">
      <Button look="ink" type="submit" disabled={saving}>
        Save
      </Button>
      <Button
        onClick={() => {
          letGo()
          onLeave()
        }}
      >
        Cancel
      </Button>
    </div>
  )
}
