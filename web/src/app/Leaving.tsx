import { AlertDialog } from 'radix-ui'
import { useEffect } from 'react'
import { useBlocker } from 'react-router'
import { Button } from '../ui/Button'
import { isUnsaved, letGo, useIsUnsaved } from '../ui/unsaved'

/** Asks before a page is left on which something is typed that is not saved. */
export function Leaving() {
  const unsaved = useIsUnsaved()
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      isUnsaved() && currentLocation.pathname !== nextLocation.pathname,
  )
  useEffect(() => {
    if (!unsaved) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [unsaved])
  return (
    <AlertDialog.Root
      open={blocker.state === 'blocked'}
      onOpenChange={(open) => !open && blocker.reset?.()}
    >
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <AlertDialog.Content className="fixed top-24 left-1/2 z-50 w-[26rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 border border-ink bg-paper p-4">
          <AlertDialog.Title className="text-lg">Leave without saving?</AlertDialog.Title>
          <AlertDialog.Description className="my-2 text-sm">
            What you have typed here is not saved. It is lost when you leave.
          </AlertDialog.Description>
          <div className="flex gap-2">
            <AlertDialog.Cancel asChild>
              <Button look="ink">Stay here</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button
                onClick={() => {
                  letGo()
                  blocker.proceed?.()
                }}
              >
                Leave
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
