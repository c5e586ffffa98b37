import { answer, api } from '../../api/client'
import type { Planning, Prescription, WeekItem } from '../../api/client'
import { WordMenu } from '../../ui/WordMenu'
import { Count } from './Count'
import { Stringing } from './Stringing'
import { trim } from '../../quantity/number'

const TEMPO = [
  { part: 'loweringS', label: 'Lowering', said: 'lowering' },
  { part: 'liftingS', label: 'Lifting', said: 'lifting' },
  { part: 'lowS', label: 'Low end', said: 'low' },
  { part: 'topS', label: 'Top end', said: 'at the top' },
] as const

/** Sets, repetitions, reserve, rest and tempo of an exercise, and how its sets are strung together. */
export function PrescriptionFields({
  item,
  planning,
  change,
}: {
  item: WeekItem
  planning: Planning
  change: (what: string, partial: Partial<Prescription>) => void
}) {
  const prescribed = item.prescription
  const { limits, schemes } = planning
  const label = (scheme: string) =>
    schemes.find((otherScheme) => otherScheme.scheme === scheme)?.label ?? scheme
  const onScheme = (scheme: string) =>
    void answer(
      api.POST('/api/weeks/prescriptions', {
        body: { scheme: scheme as Prescription['scheme'], prescription: prescribed },
      }),
    ).then((next) => change(label(scheme), next))
  return (
    <>
      <div className="grid grid-cols-3 gap-x-3 gap-y-1">
        <Count
          label="Sets"
          value={prescribed.sets}
          shown={String(prescribed.sets)}
          least={limits.sets.min}
          most={limits.sets.max}
          onChange={(sets) => change(`${sets} sets`, { sets })}
        />
        <Count
          label="In reserve"
          value={prescribed.reserve}
          shown={trim(prescribed.reserve, 1)}
          least={limits.reserve.min}
          most={limits.reserve.max}
          step={0.5}
          onChange={(reserve) => change(`${reserve} in reserve`, { reserve })}
        />
        <Count
          label="Reps from"
          value={prescribed.repetitionsLow}
          shown={String(prescribed.repetitionsLow)}
          least={limits.repetitions.min}
          most={prescribed.repetitionsHigh}
          onChange={(repetitionsLow) =>
            change(`from ${repetitionsLow} repetitions`, { repetitionsLow })
          }
        />
        <Count
          label="Reps to"
          value={prescribed.repetitionsHigh}
          shown={String(prescribed.repetitionsHigh)}
          least={prescribed.repetitionsLow}
          most={limits.repetitions.max}
          onChange={(repetitionsHigh) =>
            change(`to ${repetitionsHigh} repetitions`, { repetitionsHigh })
          }
        />
        <Count
          label="Rest"
          value={prescribed.restS}
          shown={`${prescribed.restS} s`}
          least={limits.restS.min}
          most={limits.restS.max}
          step={15}
          onChange={(restS) => change(`${restS} s rest`, { restS })}
        />
        {TEMPO.map(({ part, label, said }) => (
          <Count
            key={part}
            label={label}
            value={prescribed.tempo[part]}
            shown={`${trim(prescribed.tempo[part], 1)} s`}
            least={limits.tempoS.min}
            most={limits.tempoS.max}
            onChange={(v) =>
              change(`${v} s ${said}`, { tempo: { ...prescribed.tempo, [part]: v } })
            }
          />
        ))}
      </div>
      <p>
        Sets as{' '}
        <WordMenu
          label="How sets are strung together"
          text={label(prescribed.scheme)}
          value={prescribed.scheme}
          options={schemes.map((otherScheme) => ({
            value: otherScheme.scheme,
            label: otherScheme.label,
            note: otherScheme.how,
          }))}
          onChange={onScheme}
        />
        .
      </p>
      <Stringing
        key={item.id}
        p={prescribed}
        oneLeg={item.oneLeg}
        easier={item.easier}
        limits={limits}
        change={change}
      />
    </>
  )
}
