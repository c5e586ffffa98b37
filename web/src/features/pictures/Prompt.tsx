import type { Landmark } from '../../api/client'
import { Button } from '../../ui/Button'
import { LandmarkHint } from './LandmarkHint'
import type { From, LandmarkInfo, Marks } from './marks'

/** What is marked next, and where it lies. */
export function Prompt({
  info,
  from,
  placed,
  onTakeOut,
}: {
  from: From
  info: LandmarkInfo | undefined
  placed: boolean
  onTakeOut: (landmark: Landmark) => void
}) {
  return (
    <div className="flex min-h-20 items-center gap-3" aria-live="polite">
      {info ? (
        <>
          <LandmarkHint landmark={info.landmark} from={from} />
          <div>
            <p className="font-medium">
              {placed ? 'Move' : 'Mark'} the {info.label}
            </p>
            <p className="text-sm text-ink-2">
              {info.where}. {info.needed ? '' : 'This helps; it is not needed.'}
            </p>
            {placed && (
              <Button look="bare" className="!px-0" onClick={() => onTakeOut(info.landmark)}>
                Take this mark out
              </Button>
            )}
          </div>
        </>
      ) : (
        <p className="text-sm">All that is needed is marked. Drag a mark to move it.</p>
      )}
    </div>
  )
}

/** Every landmark, to be chosen: marked, next, or not there. */
export function Chips({
  landmarks,
  marks,
  current,
  onChoose,
}: {
  landmarks: LandmarkInfo[]
  marks: Marks
  current: Landmark | undefined
  onChoose: (landmark: Landmark) => void
}) {
  const looks = (landmark: Landmark) =>
    landmark === current
      ? 'border-ink bg-ink text-paper'
      : marks[landmark]
        ? 'border-ink'
        : 'border-dashed border-edge text-ink-2'
  return (
    <ul className="flex flex-wrap gap-1" aria-label="Marks">
      {landmarks.map((each) => (
        <li key={each.landmark}>
          <button
            type="button"
            aria-pressed={each.landmark === current}
            className={`min-h-8 border px-2 text-sm ${looks(each.landmark)}`}
            onClick={() => onChoose(each.landmark)}
          >
            {each.label}
            {marks[each.landmark] ? ' ✓' : ''}
          </button>
        </li>
      ))}
    </ul>
  )
}
