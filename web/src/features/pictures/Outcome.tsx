import type { PictureReading, Schemas } from '../../api/client'
import { setupValue } from '../../quantity/format'

type Figure = PictureReading['figures'][number]

/** What the marks told: the posture beside what Istmo assumed, and the technique that explains it. */
export function Outcome({ reading }: { reading: PictureReading }) {
  if (reading.notSeen)
    return (
      <div role="alert" className="border-l-2 border-warn bg-paper-2 px-3 py-2 text-sm">
        <p className="font-medium">{reading.notSeen.reason}</p>
        <p>{reading.notSeen.remedy}</p>
      </div>
    )
  return (
    <div className="space-y-2">
      <Sentences label="Technique" sentences={reading.sentences} />
      <Figures figures={reading.figures} />
      {reading.camera && <p className="text-sm text-ink-2">{reading.camera}</p>}
      {reading.remarks.map((remark) => (
        <p key={remark} className="border-l-2 border-edge pl-2 text-sm">
          {remark}
        </p>
      ))}
    </div>
  )
}

function Sentences({ label, sentences }: { label: string; sentences: string[] }) {
  return (
    <ul className="space-y-1" aria-label={label}>
      {sentences.map((sentence) => (
        <li key={sentence} className="font-medium">
          {sentence}
        </li>
      ))}
    </ul>
  )
}

/** What was seen, with its error, beside what Istmo assumed. */
function Figures({ figures }: { figures: Figure[] }) {
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-rule text-left text-ink-2">
          <th scope="col" className="font-normal">
            At the bottom
          </th>
          <th scope="col" className="text-right font-normal">
            Seen
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            Assumed
          </th>
        </tr>
      </thead>
      <tbody>
        {figures.map((figure) => (
          <tr key={figure.id} className="border-b border-rule/60">
            <th scope="row" className="py-1 text-left font-normal">
              {figure.label}
            </th>
            <td className="py-1 text-right whitespace-nowrap">
              <b className="font-semibold">{value(figure, figure.seen)}</b>{' '}
              <span className="text-ink-2">± {value(figure, figure.error)}</span>
            </td>
            <td className="py-1 pl-3 text-right whitespace-nowrap text-ink-2">
              {value(figure, figure.assumed)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** What a picture from the front tells. */
export function FrontOutcome({ reading }: { reading: Schemas['FrontView'] }) {
  return (
    <div className="space-y-2">
      <Sentences label="From the front" sentences={reading.sentences} />
      <Figures figures={reading.figures} />
      <p className="text-sm text-ink-2">
        Left and right are those of the picture. What is seen from the front is told, not kept.
      </p>
    </div>
  )
}

const value = (figure: Figure, of: number) =>
  setupValue({ label: figure.label, unit: figure.unit, choices: [] }, of).replace('-', '−')
