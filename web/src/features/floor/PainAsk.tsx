import { useState } from 'react'
import type { Walk } from '../../api/client'
import type { Figures } from './store'

type Joint = NonNullable<Figures['pain']>['joint']

/** Which joint, and how much from 0 to 10; what to do next stands below. */
export function PainAsk({
  advice,
  pain,
  onPain,
}: {
  advice: Walk['pain']
  pain: Figures['pain']
  onPain: (p: Figures['pain']) => void
}) {
  const [joint, setJoint] = useState<Joint | undefined>(pain?.joint)
  const words = pain
    ? (advice.find((painAdvice) => painAdvice.joint === pain.joint)?.byLevel[pain.level] ?? [])
    : []
  return (
    <div className="space-y-2">
      <div className="grid grid-cols-3 gap-1" role="radiogroup" aria-label="Which joint">
        {advice.map((painAdvice) => (
          <button
            key={painAdvice.joint}
            type="button"
            role="radio"
            aria-checked={joint === painAdvice.joint}
            className={`min-h-[48px] border px-1 text-base ${joint === painAdvice.joint ? 'border-ink bg-ink text-paper' : 'border-edge'}`}
            onClick={() => {
              setJoint(painAdvice.joint)
              if (pain) onPain({ joint: painAdvice.joint, level: pain.level })
            }}
          >
            {painAdvice.label}
          </button>
        ))}
        <button
          type="button"
          className="min-h-[48px] border border-edge px-1 text-base"
          onClick={() => {
            setJoint(undefined)
            onPain(undefined)
          }}
        >
          none
        </button>
      </div>
      {joint && (
        <div>
          <p className="text-sm text-ink-2">0 none, 10 the worst there is</p>
          <div className="grid grid-cols-6 gap-1" role="radiogroup" aria-label="How much">
            {Array.from({ length: 11 }, (_, level) => (
              <button
                key={level}
                type="button"
                role="radio"
                aria-checked={pain?.level === level}
                className={`min-h-[48px] border text-lg ${pain?.level === level ? 'border-ink bg-ink text-paper' : 'border-edge'}`}
                onClick={() => onPain({ joint, level })}
              >
                {level}
              </button>
            ))}
          </div>
        </div>
      )}
      {words.map((word) => (
        <p key={word} className="border-l-2 border-warn pl-2 text-base" role="alert">
          {word}
        </p>
      ))}
    </div>
  )
}
