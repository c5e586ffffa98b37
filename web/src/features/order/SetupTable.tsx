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
  const value = (parameter: Parameter) => setup[parameter.id] ?? parameter.usual
  const shown = parameters.filter(
    (parameter) =>
      machine ||
      (parameter.kind === 'SETUP' && !(parameter.unit === 'kg' && value(parameter) === 0)) ||
      (parameter.kind === 'TECHNIQUE' && SHOWN_TECHNIQUE.has(parameter.id)),
  )
  return (
    <table className="w-full text-sm">
      <tbody>
        {shown.map((parameter) => (
          <tr key={parameter.id} className="border-b border-rule/60 align-baseline">
            <th scope="row" className="py-0.5 pr-2 text-left font-normal">
              {parameter.label} <span className="text-xs text-ink-2">{parameter.note}</span>
            </th>
            <td className="py-0.5 text-right font-semibold whitespace-nowrap">
              {setupValue(parameter, value(parameter))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Technique that a coach tells a client, as against bounds of the model. */
const SHOWN_TECHNIQUE = new Set(['kneeTravel', 'lean', 'shin', 'shoulders', 'kneeBend'])
