import type { BenchSide } from '../../api/client'
import { JOINTS } from '../../chart/joints'

/** Where in a repetition the table looks: from the top to the bottom. */
const LOOKS = [
  { at: 0, words: 'top' },
  { at: 0.25, words: 'a quarter down' },
  { at: 0.5, words: 'half way' },
  { at: 0.75, words: 'three quarters' },
  { at: 1, words: 'bottom' },
]

const hundredths = (share: number) => Math.round(100 * share)

/** The same as the strips say, as a table: five places of the repetition. */
export function StripsTable({
  now,
  regions,
}: {
  now: BenchSide
  regions: { id: string; name: string }[]
}) {
  const last = now.phases.length - 1
  const looks = LOOKS.map(({ at, words }) => ({ words, k: Math.round(at * last) }))
  const joints = JOINTS.filter(({ key }) => now.phases[0]?.moments[key] !== undefined)
  return (
    <details className="mt-2 text-xs">
      <summary className="min-h-6 cursor-pointer text-ink-2 hover:text-ink">
        The same as a table
      </summary>
      <table className="w-full text-right tabular-nums">
        <thead>
          <tr className="border-b border-rule text-ink-2">
            <th scope="col" className="py-1 text-left font-normal">
              Place in the repetition
            </th>
            {regions.map(({ id, name }) => (
              <th key={id} scope="col" className="pl-2 font-normal">
                {name}: tension, length %
              </th>
            ))}
            {joints.map(({ key, name }) => (
              <th key={key} scope="col" className="pl-2 font-normal">
                {name} %
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {looks.map(({ words, k }) => (
            <tr key={words} className="border-b border-rule/60">
              <th scope="row" className="py-1 text-left font-normal">
                {words}
              </th>
              {regions.map(({ id }) => (
                <td key={id}>
                  {now.strips[id]!.tension[k]!.toFixed(2)}, {hundredths(now.strips[id]!.length[k]!)}
                </td>
              ))}
              {joints.map(({ key }) => (
                <td key={key}>{hundredths(now.phases[k]!.moments[key]!)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="py-1 text-ink-2">
        Tension as it counts for growth; length beside the muscle’s best length. Moments as shares
        of the largest: above 0 the muscles extend the joint, below they bend it.
      </p>
    </details>
  )
}
