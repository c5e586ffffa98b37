import type { Catalogue, Client } from '../../api/client'
import { FaultText, Tick } from '../../ui/Field'

type Soreness = Client['pain'][number]

type Props = {
  catalogue: Catalogue
  pain: Soreness[]
  onPain: (p: Soreness[]) => void
  fault: (field: string) => string | undefined
}

/** Sore joints: what makes each hurt, and which of the two schools the coach begins with. */
export function PainField({ catalogue, pain, onPain, fault }: Props) {
  const change = (s: Soreness) => onPain(pain.map((p) => (p.joint === s.joint ? s : p)))
  return (
    <fieldset>
      <legend className="text-sm text-ink-2">Hurts today</legend>
      {catalogue.painFlags.map((f) => {
        const mine = pain.find((p) => p.joint === f.id)
        return (
          <div key={f.id}>
            <Tick
              label={f.label}
              checked={mine !== undefined}
              onChange={(on) =>
                onPain(
                  on
                    ? [...pain, { joint: f.id, movements: [], approach: 'LEAVE_OUT' }]
                    : pain.filter((p) => p.joint !== f.id),
                )
              }
            />
            {mine && (
              <div className="mb-1 ml-6 border-l-2 border-warn pl-2 text-sm">
                {f.movements.map((m) => (
                  <Tick
                    key={m.id}
                    label={m.label}
                    checked={mine.movements.includes(m.id)}
                    onChange={(on) =>
                      change({
                        ...mine,
                        movements: on
                          ? [...mine.movements, m.id]
                          : mine.movements.filter((x) => x !== m.id),
                      })
                    }
                  />
                ))}
                <label className="block">
                  <span className="text-ink-2">Begin with: {f.label}</span>
                  <select
                    className="mt-0.5 w-full border border-edge px-1 py-1"
                    value={mine.approach}
                    onChange={(e) =>
                      change({ ...mine, approach: e.target.value as Soreness['approach'] })
                    }
                  >
                    {catalogue.approaches
                      .filter(
                        (a) =>
                          a.id !== 'LESS_RANGE' || (f.id !== 'LOWER_BACK' && f.id !== 'SHOULDER'),
                      )
                      .map((a) => (
                        <option key={a.id} value={a.id}>
                          {a.label}
                        </option>
                      ))}
                  </select>
                </label>
              </div>
            )}
          </div>
        )
      })}
      <FaultText text={fault('pain.movements') ?? fault('pain.approach') ?? fault('pain')} />
      {pain.length > 0 && (
        <p className="border-l-2 border-warn pl-2 text-sm">
          Pain decides: worse during it, or the day after, means back. A clinician's word goes
          first. Nothing here is a diagnosis. Only you see these notes.
        </p>
      )}
    </fieldset>
  )
}
