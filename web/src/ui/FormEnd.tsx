import { Button } from './Button'

/** The end of a long form, always in sight: save it, or leave it. */
export function FormEnd({ saving, onLeave }: { saving: boolean; onLeave: () => void }) {
  return (
    <div className="sticky bottom-0 z-10 flex gap-2 border-t border-rule bg-paper py-2">
      <Button look="ink" type="submit" disabled={saving}>
        Save
      </Button>
      <Button onClick={onLeave}>Cancel</Button>
    </div>
  )
}
