import type { ReactNode } from 'react'
import { Button } from './Button'
import { faultsOf } from './faults'

/** Something went wrong: what, what was kept, and what to do. */
export function Trouble({ error, retry }: { error: unknown; retry?: () => void }) {
  const message = error instanceof Error ? error.message : 'Something went wrong.'
  // a form marks its fields; where something is only shown there is nothing to mark
  const faults = retry ? faultsOf(error) : []
  const { status, requestId } = (error ?? {}) as { status?: number; requestId?: string }
  return (
    <div role="alert" className="border-l-2 border-warn bg-paper-2 px-3 py-2 text-sm">
      <p>{faults.length > 0 ? 'This cannot be shown:' : message}</p>
      {faults.map((fault) => (
        <p key={fault.field}>
          {fault.field}: {fault.message}
        </p>
      ))}
      {status !== undefined && status >= 500 && requestId && (
        <p className="text-ink-2">Its number in the server’s log: {requestId}</p>
      )}
      {retry && (
        <p className="mt-2 flex items-baseline gap-4">
          <Button onClick={retry}>Try again</Button>
          {status === 404 && (
            <a href="/" className="underline">
              To Today
            </a>
          )}
        </p>
      )}
    </div>
  )
}

export function Quiet({ children }: { children: ReactNode }) {
  return <p className="px-1 py-3 text-sm text-ink-2">{children}</p>
}

export function Waiting({ what }: { what: string }) {
  return (
    <p role="status" className="px-1 py-3 text-sm text-ink-2">
      {what} …
    </p>
  )
}

/** What was just taken away, and the way back. */
export function Undo({
  text,
  pending,
  onUndo,
}: {
  text: string
  pending: boolean
  onUndo: () => void
}) {
  return (
    <p role="status" className="no-print flex items-baseline gap-2 text-sm text-ink-2">
      {text}
      <Button look="bare" className="!min-h-6 !p-0" disabled={pending} onClick={onUndo}>
        Undo
      </Button>
    </p>
  )
}
