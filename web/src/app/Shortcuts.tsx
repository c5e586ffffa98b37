import { Dialog } from 'radix-ui'
import { useEffect } from 'react'
import { useNavigate } from 'react-router'
import { withBrief } from '../features/brief/keptBrief'

const KEYS: [string, string][] = [
  ['?', 'this list'],
  ['/', 'find an exercise, a client, a gym, a saying or a screen by any name'],
  ['g then t, c, e, p, f, y', 'go to Today, Clients, Exercises, Plan, Train (the floor), Gyms'],
  ['g then s, r', 'go to the set-up, to the record of the client'],
  [
    '+ −, arrows',
    'on the chart of the legs: more or less of a muscle; x avoids it, 0 to 3 sets it; arrows go to the next muscle',
  ],
  [
    'arrows',
    'on a handle or slider of a set-up: one step, with Shift five; on a plot: one reading after another',
  ],
  ['Alt with arrows', 'in a plan: move the exercise in its session, or to another day'],
  ['+ − p t d', 'in a plan: a set more, a set less, lock, superset with the next, take out'],
  ['z, Shift z', 'in a plan: undo, do again'],
  ['Esc', 'close what is open'],
]

/** Where g and a letter lead; the client goes along. */
function placeOf(key: string, client: string | null): string | undefined {
  return {
    t: '/',
    c: '/clients',
    e: '/exercises',
    p: '/weeks',
    f: '/floor',
    y: '/gyms',
    s: '/bench',
    r: client ? `/record/${client}` : '/record',
  }[key]
}

/** Shortcuts, shown with ? */
export function Shortcuts({
  brief,
  open,
  onOpen,
}: {
  brief: string
  open: boolean
  onOpen: (open: boolean) => void
}) {
  const navigate = useNavigate()
  useEffect(() => {
    let armed = false
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      const place = armed && placeOf(event.key, new URLSearchParams(brief).get('client'))
      if (event.key === '?') onOpen(true)
      else if (place) void navigate(withBrief(place, brief))
      armed = event.key === 'g'
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [navigate, brief, onOpen])
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          className="fixed top-24 left-1/2 z-50 w-[28rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 border border-ink bg-paper p-4"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-lg">Keys</Dialog.Title>
          <dl className="mt-2 grid grid-cols-[9rem_1fr] gap-y-1.5 text-sm">
            {KEYS.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="font-semibold">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="mt-3 border border-edge px-3 py-1 text-sm">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
