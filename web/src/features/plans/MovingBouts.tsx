import { useState } from 'react'
import type { ReactNode } from 'react'
import {
  DndContext,
  DragOverlay,
  MouseSensor,
  TouchSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import type { DragEndEvent, DragMoveEvent } from '@dnd-kit/core'

export type Place = { day: number; bout: number }

/** A block that is taken up. */
export type Taken = { from: Place; names: string }

/** What a session knows of itself: before which of its blocks a height (px from its top) lies. */
export type Strip = { day: number; boutAt: (px: number) => number }

/** So far the mouse goes before a press is a move, px; so long a finger stays, ms: it may scroll. */
const MOVES_PX = 6
const STAYS_MS = 250
const TREMBLES_PX = 8

function pointerY(event: DragMoveEvent | DragEndEvent) {
  const begin = event.activatorEvent
  const y =
    begin instanceof MouseEvent
      ? begin.clientY
      : typeof TouchEvent !== 'undefined' && begin instanceof TouchEvent
        ? begin.touches[0]!.clientY
        : 0
  return y + event.delta.y
}

/** Where what is held would go, or null beside the sessions. */
export function placeUnder(event: DragMoveEvent | DragEndEvent): Place | null {
  const strip = event.over?.data.current as Strip | undefined
  return event.over && strip
    ? { day: strip.day, bout: strip.boutAt(pointerY(event) - event.over.rect.top) }
    : null
}

/** Blocks are moved between sessions by mouse and by finger; keys move them where they stand (Alt and arrows). */
export function MovingBouts({
  onMove,
  children,
}: {
  onMove: (from: Place, to: Place) => void
  children: (over: Place | null) => ReactNode
}) {
  const [taken, setTaken] = useState<Taken | null>(null)
  const [over, setOver] = useState<Place | null>(null)
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: MOVES_PX } }),
    useSensor(TouchSensor, { activationConstraint: { delay: STAYS_MS, tolerance: TREMBLES_PX } }),
  )
  const letGo = () => {
    setTaken(null)
    setOver(null)
  }
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={{ announcements: SAID, screenReaderInstructions: { draggable: '' } }}
      onDragStart={(event) => setTaken(event.active.data.current as Taken)}
      onDragMove={(event) => setOver(placeUnder(event))}
      onDragEnd={(event) => {
        const to = placeUnder(event)
        letGo()
        if (to) onMove((event.active.data.current as Taken).from, to)
      }}
      onDragCancel={letGo}
    >
      {children(over)}
      <DragOverlay dropAnimation={null}>
        {taken && (
          <p className="inline-block border border-ink bg-paper px-2 py-1 text-sm font-semibold">
            {taken.names}
          </p>
        )}
      </DragOverlay>
    </DndContext>
  )
}

const SAID = {
  onDragStart: () => 'Taken up',
  onDragOver: () => undefined,
  onDragEnd: () => 'Put down',
  onDragCancel: () => 'Left where it was',
}
