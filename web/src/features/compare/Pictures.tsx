import { useState } from 'react'
import type { BenchSide, Drawing } from '../../api/client'
import { Stage } from '../../chart/stage/Stage'
import { frame, toOneScale, toTheFloor } from '../../chart/stage/scene'
import { Quiet } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { PlaceSlider } from '../../ui/PlaceSlider'

/**
 * Two members in the same phase and at the same scale: beside one another, or laid over one another
 * with their feet on the same floor (a sled is turned so that its foot plate lies level).
 */
export function Pictures({
  first,
  second,
  at,
  onAt,
  pair,
  members,
  onPair,
}: {
  first: BenchSide
  second: BenchSide
  at: number
  onAt: (k: number) => void
  pair: [number, number]
  members: BenchSide[]
  onPair: (p: [number, number]) => void
}) {
  const [over, setOver] = useState(false)
  const drawn = (side: BenchSide): Drawing[] => side.phases.map((phase) => phase.side)
  const [otherDrawings, b] = [drawn(first), drawn(second)]
  if (otherDrawings.length === 0 || b.length === 0)
    return (
      <Quiet>
        One of the two cannot take the posture, so there is nothing to set beside the other.
      </Quiet>
    )
  const pick = (drawings: Drawing[]) => drawings[Math.min(at, drawings.length - 1)]!
  const options = members.map((member, k) => ({ value: String(k), label: member.name }))
  const choose = (k: 0 | 1, label: string, member: BenchSide) => (
    <WordMenu
      label={label}
      text={member.name}
      value={String(pair[k])}
      options={options}
      onChange={(value) => onPair(k === 0 ? [Number(value), pair[1]] : [pair[0], Number(value)])}
    />
  )
  const boxes = toOneScale([frame(otherDrawings), frame(b)])
  return (
    <figure>
      {over ? (
        <>
          <figcaption className="text-sm">
            {choose(0, 'Drawn', first)} over {choose(1, 'Dashed', second)}{' '}
            <span className="text-ink-2">(dashed), ankles together, soles turned to the floor</span>
          </figcaption>
          <Stage
            drawing={toTheFloor(pick(otherDrawings))}
            ghost={toTheFloor(pick(b))}
            box={frame([...otherDrawings, ...b].map(toTheFloor))}
            plain
            label={`${first.name} over ${second.name}`}
            className="h-72 w-full"
          />
        </>
      ) : (
        <div className="grid grid-cols-2 gap-3">
          {[first, second].map((side, k) => (
            <div key={k}>
              <p className="text-sm">
                {choose(k === 0 ? 0 : 1, k === 0 ? 'On the left' : 'On the right', side)}
              </p>
              <Stage
                drawing={pick(k === 0 ? otherDrawings : b)}
                plain
                box={boxes[k]!}
                label={side.name}
                className="h-64 w-full"
              />
            </div>
          ))}
        </div>
      )}
      <div className="no-print flex flex-wrap items-center gap-3 text-sm">
        <PlaceSlider at={at} onAt={onAt} />
        <label className="flex min-h-6 items-center gap-2">
          <input
            type="checkbox"
            checked={over}
            onChange={(event) => setOver(event.target.checked)}
          />
          laid over one another
        </label>
      </div>
    </figure>
  )
}
