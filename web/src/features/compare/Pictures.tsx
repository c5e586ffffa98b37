import { useState } from 'react'
import type { BenchSide, Drawing } from '../../api/client'
import { Stage } from '../../chart/stage/Stage'
import { frame, toOneScale, toTheFloor } from '../../chart/stage/scene'
import { WordMenu } from '../../ui/WordMenu'
import { PlaceSlider } from '../../ui/PlaceSlider'
import { COLUMNS, columnsOf } from './columns'

/**
 * Every member in the same phase and at the same scale, over its column of the table; or two of
 * them laid over one another with their feet on the same floor (a sled is turned so that its foot
 * plate lies level).
 */
export function Pictures({
  members,
  at,
  onAt,
}: {
  members: BenchSide[]
  at: number
  onAt: (k: number) => void
}) {
  const [over, setOver] = useState(false)
  const [pair, setPair] = useState<[number, number]>([0, 1])
  const drawings = members.map((member) => member.phases.map((phase) => phase.side))
  const shown = members.map((_, k) => k).filter((k) => drawings[k]!.length > 0)
  if (shown.length === 0) return null
  const boxes = toOneScale(shown.map((k) => frame(drawings[k]!)))
  const both = shown.length >= 2
  return (
    <figure aria-label="Pictures">
      {over && both ? (
        <Overlaid
          members={members}
          drawings={drawings}
          shown={shown}
          pair={pair.every((k) => shown.includes(k)) ? pair : [shown[0]!, shown[1]!]}
          onPair={setPair}
          at={at}
        />
      ) : (
        <div className={`items-start ${COLUMNS}`} style={columnsOf(members.length)}>
          <span aria-hidden className="hidden sm:block" />
          {members.map((member, k) => (
            <div key={k} className="min-w-0 text-center">
              {shown.includes(k) ? (
                <Stage
                  drawing={atPhase(drawings[k]!, at)}
                  plain
                  box={boxes[shown.indexOf(k)]!}
                  label={member.name}
                  className="h-40 w-full sm:h-56"
                />
              ) : (
                <p className="text-sm text-ink-2">This client cannot take the posture.</p>
              )}
              <p className="text-sm leading-tight">{member.name}</p>
            </div>
          ))}
        </div>
      )}
      <div className="no-print flex flex-wrap items-center gap-3 text-sm">
        <PlaceSlider at={at} onAt={onAt} />
        {both && (
          <label className="flex min-h-6 items-center gap-2">
            <input
              type="checkbox"
              checked={over}
              onChange={(event) => setOver(event.target.checked)}
            />
            {members.length === 2 ? 'laid over one another' : 'lay two over one another'}
          </label>
        )}
      </div>
    </figure>
  )
}

function atPhase(drawings: Drawing[], at: number): Drawing {
  return drawings[Math.min(at, drawings.length - 1)]!
}

function Overlaid({
  members,
  drawings,
  shown,
  pair,
  onPair,
  at,
}: {
  members: BenchSide[]
  drawings: Drawing[][]
  shown: number[]
  pair: [number, number]
  onPair: (pair: [number, number]) => void
  at: number
}) {
  const options = shown.map((k) => ({ value: String(k), label: members[k]!.name }))
  const choose = (place: 0 | 1, label: string) => (
    <WordMenu
      label={label}
      text={members[pair[place]]!.name}
      value={String(pair[place])}
      options={options}
      onChange={(value) =>
        onPair(place === 0 ? [Number(value), pair[1]] : [pair[0], Number(value)])
      }
    />
  )
  const [drawn, dashed] = [drawings[pair[0]]!, drawings[pair[1]]!]
  return (
    <>
      <figcaption className="text-sm">
        {choose(0, 'Drawn')} over {choose(1, 'Dashed')}{' '}
        <span className="text-ink-2">(dashed), ankles together, soles turned to the floor</span>
      </figcaption>
      <Stage
        drawing={toTheFloor(atPhase(drawn, at))}
        ghost={toTheFloor(atPhase(dashed, at))}
        box={frame([...drawn, ...dashed].map(toTheFloor))}
        plain
        label={`${members[pair[0]]!.name} over ${members[pair[1]]!.name}`}
        className="h-56 w-full"
      />
    </>
  )
}
