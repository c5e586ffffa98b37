import { SmallButton } from './Doing'
import { decide, letGo } from './store'
import type { Figures, KeptMessage, KeptSet } from './store'
import { mass, useMassUnit } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** What needs the coach: sets that another device changed meanwhile, and what the server could not take. */
export function Differences({
  conflicts,
  refused,
}: {
  conflicts: KeptSet[]
  refused: (KeptSet | KeptMessage)[]
}) {
  const [unit] = useMassUnit()
  return (
    <section
      aria-label="To decide"
      className="max-h-[45dvh] space-y-2 overflow-auto border-l-2 border-warn py-1 pl-2"
    >
      {conflicts.map((conflict) => (
        <div key={conflict.id} role="alert">
          <p className="text-base">
            This set was changed on another device too. Which one is right?
          </p>
          <div className="grid grid-cols-2 gap-1">
            <SmallButton onClick={() => void decide(conflict.id, true)}>
              {conflict.removed ? 'Taken out (here)' : `${words(conflict.figures, unit)} (here)`}
            </SmallButton>
            <SmallButton onClick={() => void decide(conflict.id, false)}>
              {conflict.conflict!.removed
                ? 'Taken out (there)'
                : `${words(conflict.conflict!, unit)} (there)`}
            </SmallButton>
          </div>
        </div>
      ))}
      {refused.map((r) => (
        <div key={'figures' in r ? r.id : `m${r.seq}`} role="alert">
          <p className="text-base">
            {'figures' in r
              ? `A set was not taken: ${words(r.figures, unit)}. `
              : 'A change was not taken. '}
            {r.refused}
          </p>
          <SmallButton onClick={() => void letGo(r)}>I have seen it, let it go</SmallButton>
        </div>
      ))}
    </section>
  )
}

function words(figures: Figures, unit: MassUnit): string {
  return `${figures.loadKg > 0 ? `${mass(figures.loadKg, unit)} ${unit}` : 'body'} × ${figures.repetitions}, ${figures.reserve} in reserve`
}
