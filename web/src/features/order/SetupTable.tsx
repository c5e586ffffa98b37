import type { Parameter } from '../../api/client'
import { setupValue } from '../../quantity/format'

/** A set-up in words and figures: what the coach sets, then what the lifter does; the machine's own numbers only on wish. Help, chains or bands of no kilograms are not set up. */
export function SetupTable({
  parameters,
  setup,
  machine = false,
}: {
  parameters: Parameter[]
  setup: Record<string, number>
  machine?: boolean
}) {
  const value = (p: Parameter) => setup[p.id] ?? p.usual
  const shown = parameters.filter(
    (p) =>
      machine ||
      (p.kind === 'SETUP' && !(p.unit === 'kg' && value(p) === 0)) ||
      (p.kind === 'TECHNIQUE' && SHOWN_TECHNIQUE.has(p.id)),
  )
  return (
    <table className="w-full text-sm">
      <tbody>
        {shown.map((p) => (
          <tr key={p.id} className="border-b border-rule/60 align-baseline">
            <th scope="row" className="py-0.5 pr-2 text-left font-normal">
              {p.label} <span className="text-xs text-ink-2">{p.note}</span>
            </th>
            <td className="py-0.5 text-right font-semibold whitespace-nowrap">
              {setupValue(p, value(p))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Technique that a coach tells a client, as against bounds of the model. */
const SHOWN_TECHNIQUE = new Set(['kneeTravel', 'lean', 'shin', 'shoulders', 'kneeBend'])
