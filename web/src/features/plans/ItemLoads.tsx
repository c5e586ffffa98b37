import type { WeekItem } from '../../api/client'
import { platesWords, range } from './words'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

/** Lighter sets, then the sets, with the plates of one side. */
export function ItemLoads({
  item,
  unit,
  onUnit,
}: {
  item: WeekItem
  unit: MassUnit
  onUnit: (u: MassUnit) => void
}) {
  const load = item.load
  if (!load) return null
  const known = load.sets.some((set) => set.load)
  return (
    <div className="border-y border-rule py-1">
      <p>
        <b>Load:</b>{' '}
        {known ? (
          <>
            {load.lowKg < load.highKg
              ? `${mass(load.lowKg, unit)}–${mass(load.highKg, unit)}`
              : mass(load.sets.find((set) => set.load)!.load!.kg, unit)}{' '}
            <button
              type="button"
              aria-label={`Unit: ${unit}`}
              className="border-b-2 border-dotted border-accent font-semibold"
              onClick={() => onUnit(unit === 'kg' ? 'lb' : 'kg')}
            >
              {unit}
            </button>{' '}
          </>
        ) : null}
        <span className="text-ink-2">{load.basis}.</span>
      </p>
      {known && (
        <table className="w-full">
          <tbody>
            {load.warmUps.map((warmUp, k) => (
              <tr key={`w${k}`} className="text-ink-2">
                <td>warm-up</td>
                <td className="text-right">{warmUp.repetitions} ×</td>
                <td className="px-2 text-right">{mass(warmUp.load.kg, unit)}</td>
                <td>{platesWords(warmUp.load, unit)}</td>
              </tr>
            ))}
            {load.sets.map((set, k) => (
              <tr key={k}>
                <td title={set.note}>
                  {set.drop > 0
                    ? 'drop'
                    : `set ${load.sets.slice(0, k + 1).filter((line) => line.drop === 0).length}`}
                </td>
                <td className="text-right">{range(set.repetitionsLow, set.repetitionsHigh)} ×</td>
                <td className="px-2 text-right font-semibold">
                  {set.load ? mass(set.load.kg, unit) : '–'}
                </td>
                <td>
                  {k === 0 || set.load?.kg !== load.sets[k - 1]!.load?.kg
                    ? set.load && platesWords(set.load, unit)
                    : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {load.sets.some((set) => set.load?.plates === 'USUAL') && (
        <p className="text-xs text-ink-2">
          With the usual plates: this gym has not said which it owns.
        </p>
      )}
    </div>
  )
}
