import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

/** A dialog over the page, with its title and a way to close it. */
export function Sheet({
  title,
  open,
  onClose,
  wide = false,
  children,
}: {
  title: string
  open: boolean
  onClose: () => void
  wide?: boolean
  children: ReactNode
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed top-12 left-1/2 z-50 flex max-h-[85vh] max-w-[calc(100vw-2rem)] -translate-x-1/2 flex-col overflow-auto border border-ink bg-paper p-4 ${wide ? 'w-[46rem]' : 'w-[34rem]'}`}
        >
          <Dialog.Title className="text-lg">{title}</Dialog.Title>
          {children}
          <Dialog.Close className="mt-2 self-start border border-edge px-3 py-1 text-sm">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
