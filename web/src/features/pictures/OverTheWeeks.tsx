import { useState } from 'react'
import type { Technique } from '../../api/client'
import { OverTime } from '../../chart/OverTime'
import { day, detailUnit } from '../../quantity/format'
import { WordMenu } from '../../ui/WordMenu'
import { trim } from '../../quantity/number'

type Sighting = Technique['sightings'][number]

/** Figures that can be looked at, in the unit that they are stored in. */
const FIGURES = [
  { value: 'hipAboveKnee', label: 'hip above the knee', unit: 'm' },
  { value: 'kneePastToe', label: 'knee in front of the toes', unit: 'm' },
  { value: 'trunk', label: 'trunk from the vertical', unit: 'deg' },
  { value: 'shank', label: 'shin from the vertical', unit: 'deg' },
]

/** One figure of one exercise over the weeks, with the pictures' errors, and what has changed. */
export function OverTheWeeks({
  exerciseId,
  technique,
}: {
  exerciseId: string
  technique: Technique
}) {
  const [chosen, setChosen] = useState('hipAboveKnee')
  const figure = FIGURES.find((each) => each.value === chosen)!
  const sightings = technique.sightings.filter((each) => each.exerciseId === exerciseId)
  if (sightings.length < 2) return null
  const changes = technique.changes.filter((change) => change.exerciseId === exerciseId)
  return (
    <section aria-label="Over the weeks">
      <h2 className="border-b border-ink text-lg">
        Over the weeks:{' '}
        <WordMenu
          label="Figure"
          text={figure.label}
          value={chosen}
          options={FIGURES}
          onChange={setChosen}
        />
      </h2>
      <ul className="py-1 text-sm">
        {changes.map((change) => (
          <li key={change.words}>{change.words}</li>
        ))}
        {changes.length === 0 && (
          <li className="text-ink-2">Nothing has changed by more than the pictures’ errors.</li>
        )}
      </ul>
      <OverTime
        label={figure.label}
        unit={detailUnit(figure.unit).unit}
        height={160}
        points={sightings.map((sighting) => point(sighting, figure))}
      />
    </section>
  )
}

function point(sighting: Sighting, figure: (typeof FIGURES)[number]) {
  const of = sighting.figures.find((each) => each.id === figure.value)!
  const { unit, perStored } = detailUnit(figure.unit)
  const value = perStored * of.value
  const error = perStored * of.error
  return {
    on: sighting.on,
    value,
    error,
    words: `${day(sighting.on)}: ${trim(value, 1)} ± ${trim(error, 1)} ${unit}`,
  }
}
