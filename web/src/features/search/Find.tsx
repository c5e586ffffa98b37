import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { Sheet } from '../../ui/Sheet'
import { MakeYourOwn } from '../exercises/MakeYourOwn'
import { HitPicker } from './HitPicker'
import type { Pickable } from './HitPicker'
import { placeOf } from './hits'

/** One search from everywhere, with / : exercises by every name, set-ups, machines, people, gyms, sayings and screens. */
export function Find({
  brief,
  screens,
}: {
  brief: string
  /** the screens that are called by a text */
  screens: (text: string) => { to: string; label: string }[]
}) {
  const [open, setOpen] = useState(false)
  const navigate = useNavigate()
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)
      if (event.key === '/' && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
        event.preventDefault()
        setOpen(true)
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
  const known = (text: string): Pickable[] =>
    screens(text).map((s) => ({ kind: 'SCREEN', id: s.to, name: s.label, by: s.label, note: '' }))
  return (
    <>
      <button
        type="button"
        className="border border-edge px-2 py-0.5 text-ink-2 hover:border-ink hover:text-ink"
        onClick={() => setOpen(true)}
      >
        Find <kbd className="font-sans">/</kbd>
      </button>
      <Sheet title="Find" open={open} onClose={() => setOpen(false)}>
        <HitPicker
          label="Exercise, client, gym, equipment or saying, by any name"
          known={known}
          onPick={(hit) => {
            setOpen(false)
            void navigate(
              hit.kind === 'SCREEN' ? hit.id : placeOf({ ...hit, kind: hit.kind }, brief),
            )
          }}
          nothing={(text) => <MakeYourOwn name={text} onLeave={() => setOpen(false)} />}
        />
      </Sheet>
    </>
  )
}
