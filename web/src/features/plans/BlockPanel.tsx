import { useState } from 'react'
import type { Week } from '../../api/client'
import { useMissed, useWeekStep } from '../../api/queries'
import { Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { prescriptionWords, weekdayShort } from './words'

/** The weeks of the block, and what one of them asks for. */
export function BlockPanel({ week }: { week: Week }) {
  const [shown, setShown] = useState<number | null>(null)
  const step = useWeekStep(week.id, week.version, shown)
  const loads = week.block.map((blockStep) => blockStep.load)
  const least = Math.min(...loads) - 0.05
  const height = (load: number) => 8 + (34 * (load - least)) / (Math.max(...loads) - least)
  return (
    <div>
      <h2 className="border-b border-ink pb-0.5 text-lg">Block of {week.block.length} weeks</h2>
      <ol className="mt-2 flex items-end gap-1" aria-label="Weeks of the block">
        {week.block.map((blockStep) => (
          <li key={blockStep.number} className="flex-1">
            <button
              type="button"
              aria-pressed={shown === blockStep.number}
              aria-label={`Week ${blockStep.number}, ${blockStep.label}: ${blockStep.words}`}
              className={`flex w-full flex-col items-center justify-end border-b-2 ${shown === blockStep.number ? 'border-accent' : 'border-transparent hover:border-edge'}`}
              onClick={() => setShown(shown === blockStep.number ? null : blockStep.number)}
            >
              <span
                aria-hidden
                className="w-full border border-ink"
                style={{
                  height: height(blockStep.load),
                  background:
                    blockStep.kind === 'BUILD'
                      ? 'var(--paper-2)'
                      : 'repeating-linear-gradient(135deg, var(--paper) 0 3px, var(--rule) 3px 4px)',
                }}
              />
              <span className="text-xs">{blockStep.number}</span>
            </button>
          </li>
        ))}
      </ol>
      <p className="text-xs text-ink-2">
        Height: load to expect. Hatched: easier. Choose a week to see what it asks.
      </p>
      {shown !== null && (
        <div className="mt-1">
          <p className="font-semibold">
            Week {shown}, {week.block[shown - 1]?.label}: {week.block[shown - 1]?.words}
          </p>
          {step.data ? (
            step.data.days.map((day) => (
              <div key={day.weekday} className="mt-1">
                <b>{weekdayShort(day.weekday)}</b> {Math.round(day.usedMinutes)} min
                <ul>
                  {day.bouts
                    .flatMap((bout) => bout.items)
                    .map((i) => (
                      <li key={i.id}>
                        {i.name}{' '}
                        <span className="text-ink-2">{prescriptionWords(i.prescription)}</span>
                      </li>
                    ))}
                </ul>
              </div>
            ))
          ) : (
            <Waiting what="Loading" />
          )}
        </div>
      )}
      <Missed week={week} />
    </div>
  )
}

/** What changes after weeks without training, and when an easier week is due. */
function Missed({ week }: { week: Week }) {
  const [lastDone, setLastDone] = useState(1)
  const [missed, setMissed] = useState(0)
  const answerNow = useMissed(week.id, lastDone, missed)
  const numbers = (n: number, from: number) =>
    Array.from({ length: n }, (_, k) => ({ value: String(k + from), label: String(k + from) }))
  return (
    <div className="mt-2 border-t border-rule pt-1">
      <p>
        Done up to week{' '}
        <WordMenu
          label="Last week done"
          text={String(lastDone)}
          value={String(lastDone)}
          options={numbers(week.block.length, 1)}
          onChange={(value) => setLastDone(Number(value))}
        />
        , then{' '}
        <WordMenu
          label="Weeks missed"
          text={missed === 0 ? 'no week' : `${missed}`}
          value={String(missed)}
          options={numbers(9, 0)}
          onChange={(value) => setMissed(Number(value))}
        />{' '}
        missed.
      </p>
      {missed > 0 && answerNow.data && (
        <p role="status" className="font-semibold">
          {answerNow.data.words} Go on with week {answerNow.data.goOnWith}.
        </p>
      )}
      <p className="mt-1">An easier week is due before its time when there are:</p>
      <ul className="list-disc pl-5 text-ink-2">
        {week.easierWeekSigns.map((easierWeekSign) => (
          <li key={easierWeekSign}>{easierWeekSign}</li>
        ))}
      </ul>
    </div>
  )
}
