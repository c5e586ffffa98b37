import { useEffect, useRef, useState } from 'react'
import type { FloorExercise } from '../../api/client'
import { readySound, tone } from './sound'
import { tempoPhases } from './walk'

const PITCH: Record<string, number> = { down: 330, 'hold low': 440, up: 660, hold: 550 }

/** Counts the tempo aloud and in sight: one tone for each second, another pitch for each phase. */
export function Tempo({ exercise, onClose }: { exercise: FloorExercise; onClose: () => void }) {
  const phases = tempoPhases(exercise)
  const [at, setAt] = useState({ phase: 0, second: 0, repetition: 0 })
  const whole = phases.reduce((s, p) => s + p.seconds, 0)
  const begun = useRef(0)
  useEffect(() => {
    readySound()
    begun.current = performance.now() + 1500
    let last = ''
    const timer = setInterval(() => {
      const s = (performance.now() - begun.current) / 1000
      if (s < 0 || whole <= 0) return
      const repetition = Math.floor(s / whole)
      let left = s - repetition * whole
      let phase = 0
      while (phase < phases.length - 1 && left >= phases[phase]!.seconds)
        left -= phases[phase++]!.seconds
      const second = Math.floor(left)
      const mark = `${repetition} ${phase} ${second}`
      if (mark !== last) {
        last = mark
        tone(PITCH[phases[phase]!.name] ?? 440, second === 0 ? 0.16 : 0.07)
        setAt({ phase, second, repetition })
      }
    }, 50)
    return () => clearInterval(timer)
    // the phases belong to the exercise, and it does not change while the count is open
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [exercise.candidateId])
  const p = phases[at.phase]
  return (
    <div
      role="dialog"
      aria-label="Tempo count"
      className="fixed inset-0 z-50 flex flex-col items-center justify-center gap-4 bg-paper p-4"
    >
      <p className="text-lg text-ink-2">Repetition {at.repetition + 1}</p>
      <p className="font-serif text-6xl font-semibold" aria-live="off" data-testid="tempo-phase">
        {p?.name ?? 'no tempo'}
      </p>
      <p className="text-7xl font-semibold">
        {p ? Math.min(at.second + 1, Math.ceil(p.seconds)) : ''}
      </p>
      <ol className="flex w-full max-w-sm gap-1" aria-hidden>
        {phases.map((phase, k) => (
          <li
            key={phase.name}
            style={{ flexGrow: phase.seconds }}
            className={`border-t-4 pt-1 text-center text-sm ${k === at.phase ? 'border-accent' : 'border-rule text-ink-2'}`}
          >
            {phase.name} {phase.seconds}
          </li>
        ))}
      </ol>
      <p className="text-sm text-ink-2">Breathe out on the effort.</p>
      <button
        type="button"
        className="min-h-[56px] w-full max-w-sm border border-ink bg-ink text-lg font-semibold text-paper"
        onClick={onClose}
      >
        Stop counting
      </button>
    </div>
  )
}
