import { useState } from 'react'
import { Button } from '../../ui/Button'

/** How far a step goes, s: a frame of most telephones. */
const FRAME_S = 1 / 30

/** A film stands still where it is marked: found by slider, buttons or the slider's own keys. */
export function Film({ lengthS, onGo }: { lengthS: number; onGo: (toS: number) => void }) {
  const [at, setAt] = useState(0)
  const go = (to: number) => {
    const kept = Math.max(0, Math.min(lengthS, to))
    setAt(kept)
    onGo(kept)
  }
  return (
    <div className="flex items-center gap-2">
      <Button aria-label="One frame back" onClick={() => go(at - FRAME_S)}>
        ‹
      </Button>
      <input
        type="range"
        aria-label="Moment of the film"
        aria-valuetext={`${at.toFixed(2)} of ${lengthS.toFixed(1)} seconds`}
        className="min-h-9 min-w-0 flex-1 accent-[var(--accent)]"
        min={0}
        max={lengthS}
        step={FRAME_S}
        value={at}
        onChange={(event) => go(Number(event.target.value))}
      />
      <Button aria-label="One frame on" onClick={() => go(at + FRAME_S)}>
        ›
      </Button>
      <span className="w-16 text-right text-sm text-ink-2">{at.toFixed(2)} s</span>
    </div>
  )
}
