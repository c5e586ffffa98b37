import { useEffect, useRef } from 'react'
import type { KeyboardEvent as ReactKeyboardEvent } from 'react'
import type { Week } from '../../api/client'
import type { Key } from './DayStrip'
import { bouts, joinWithNext, moveBout, pin, prescribe, takeApart, takeOut } from './edits'
import type { Edit } from './usePlanEdits'

/**
 * What keys do: z takes the last change back, Z does it again; on an exercise, Alt with an arrow
 * moves it, + and - change its sets, and letters lock it, pair it or take it out.
 *
 * @returns what handles a key that is pressed on an exercise of a session
 */
export function usePlanKeys(
  week: Week | undefined,
  edit: Edit,
  undo: () => void,
  redo: () => void,
) {
  const held = useRef<string | null>(null)
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === 'z') undo()
      else if (event.key === 'Z') redo()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  })

  // what a key has moved stays under the hand: its button is another one when it comes to another day
  useEffect(() => {
    if (held.current) document.querySelector<HTMLElement>(`[data-item="${held.current}"]`)?.focus()
    held.current = null
  }, [week])

  return (day: number) => (on: Key, event: ReactKeyboardEvent) => {
    const at = { day, bout: on.bout }
    const name = on.item.name
    const sets = on.item.prescription.sets
    const moves: Record<string, () => void> = on.alt
      ? {
          ArrowUp: () =>
            edit(`${name} earlier`, (planDocument) =>
              moveBout(planDocument, at, { day, bout: Math.max(0, on.bout - 1) }),
            ),
          ArrowDown: () =>
            edit(`${name} later`, (planDocument) =>
              moveBout(planDocument, at, { day, bout: on.bout + 2 }),
            ),
          ArrowLeft: () =>
            edit(`${name} a session earlier`, (planDocument) =>
              moveBout(planDocument, at, {
                day: day - 1,
                bout: bouts(planDocument, day - 1).length,
              }),
            ),
          ArrowRight: () =>
            edit(`${name} a session later`, (planDocument) =>
              moveBout(planDocument, at, {
                day: day + 1,
                bout: bouts(planDocument, day + 1).length,
              }),
            ),
        }
      : {
          '+': () =>
            sets < 10 &&
            edit(`${name}: ${sets + 1} sets`, (planDocument) =>
              prescribe(planDocument, on.item.id, { sets: sets + 1 }),
            ),
          '-': () =>
            sets > 1 &&
            edit(`${name}: ${sets - 1} sets`, (planDocument) =>
              prescribe(planDocument, on.item.id, { sets: sets - 1 }),
            ),
          p: () =>
            edit(on.item.pinned ? `${name} unlocked` : `${name} locked`, (planDocument) =>
              pin(planDocument, on.item.id, !on.item.pinned),
            ),
          t: () =>
            edit('in turn', (planDocument) =>
              bouts(planDocument, day)[on.bout]!.length > 1
                ? takeApart(planDocument, at)
                : joinWithNext(planDocument, at),
            ),
          d: () => edit(`${name} taken out`, (planDocument) => takeOut(planDocument, on.item.id)),
          Delete: () =>
            edit(`${name} taken out`, (planDocument) => takeOut(planDocument, on.item.id)),
        }
    const move = moves[on.key]
    if (move) {
      event.preventDefault()
      held.current = on.item.id
      move()
    }
  }
}
