import { Dialog } from 'radix-ui'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'

const KEYS: [string, string][] = [
  ['?', 'this list'],
  ['g then o, b, c, y, w, s', 'go to order, bench, clients, gyms, week, sessions'],
  ['+ − or arrows', 'on the limb chart: more, less; x keeps out, 0 to 3 sets'],
  ['arrows', 'on a bench handle or slider: one natural step; Shift: five'],
  ['Alt with arrows', 'in a week: move the exercise in its session, or to another day'],
  ['+ − p t d', 'in a week: a set more, a set less, pin, take turns with the next, take out'],
  ['z, Shift z', 'in a week: undo, do again'],
  ['Esc', 'close what is open'],
]

const PLACES: Record<string, string> = {
  o: '/',
  b: '/bench',
  c: '/clients',
  y: '/gyms',
  w: '/weeks',
  s: '/sessions',
}

/** Shortcuts, shown with ? */
export function Shortcuts() {
  const [open, setOpen] = useState(false)
  const navigate = useNavigate()
  useEffect(() => {
    let armed = false
    const onKey = (e: KeyboardEvent) => {
      const typing =
        e.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName)
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return
      if (e.key === '?') setOpen(true)
      else if (armed && PLACES[e.key]) void navigate(PLACES[e.key]!)
      armed = e.key === 'g'
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [navigate])
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="text-ink-2 hover:text-ink">Keys ?</Dialog.Trigger>
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
          <Dialog.Close className="mt-3 border border-rule px-3 py-1 text-sm">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
