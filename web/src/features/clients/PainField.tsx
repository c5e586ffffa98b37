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
  const change = (soreness: Soreness) =>
    onPain(
      pain.map((otherSoreness) =>
        otherSoreness.joint === soreness.joint ? soreness : otherSoreness,
      ),
    )
  return (
    <fieldset>
      <legend className="text-sm text-ink-2">Hurts today</legend>
      {catalogue.painFlags.map((painFlag) => {
        const mine = pain.find((soreness) => soreness.joint === painFlag.id)
        return (
          <div key={painFlag.id}>
            <Tick
              label={painFlag.label}
              checked={mine !== undefined}
              onChange={(on) =>
                onPain(
                  on
                    ? [...pain, { joint: painFlag.id, movements: [], approach: 'LEAVE_OUT' }]
                    : pain.filter((soreness) => soreness.joint !== painFlag.id),
                )
              }
            />
            {mine && (
              <div className="mb-1 ml-6 border-l-2 border-warn pl-2 text-sm">
                {painFlag.movements.map((movement) => (
                  <Tick
                    key={movement.id}
                    label={movement.label}
                    checked={mine.movements.includes(movement.id)}
                    onChange={(on) =>
                      change({
                        ...mine,
                        movements: on
                          ? [...mine.movements, movement.id]
                          : mine.movements.filter((otherMovement) => otherMovement !== movement.id),
                      })
                    }
                  />
                ))}
                <label className="block">
                  <span className="text-ink-2">Begin with: {painFlag.label}</span>
                  <select
                    className="mt-0.5 w-full border border-edge px-1 py-1"
                    value={mine.approach}
                    onChange={(event) =>
                      change({ ...mine, approach: event.target.value as Soreness['approach'] })
                    }
                  >
                    {catalogue.approaches
                      .filter(
                        (approach) =>
                          approach.id !== 'LESS_RANGE' ||
                          (painFlag.id !== 'LOWER_BACK' && painFlag.id !== 'SHOULDER'),
                      )
                      .map((approach) => (
                        <option key={approach.id} value={approach.id}>
                          {approach.label}
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
