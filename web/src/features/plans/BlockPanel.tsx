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
  const loads = week.block.map((s) => s.load)
  const least = Math.min(...loads) - 0.05
  const height = (load: number) => 8 + (34 * (load - least)) / (Math.max(...loads) - least)
  return (
    <div>
      <h2 className="border-b border-ink pb-0.5 text-lg">Block of {week.block.length} weeks</h2>
      <ol className="mt-2 flex items-end gap-1" aria-label="Weeks of the block">
        {week.block.map((s) => (
          <li key={s.number} className="flex-1">
            <button
              type="button"
              aria-pressed={shown === s.number}
              aria-label={`Week ${s.number}, ${s.label}: ${s.words}`}
              className={`flex w-full flex-col items-center justify-end border-b-2 ${shown === s.number ? 'border-accent' : 'border-transparent hover:border-edge'}`}
              onClick={() => setShown(shown === s.number ? null : s.number)}
            >
              <span
                aria-hidden
                className="w-full border border-ink"
                style={{
                  height: height(s.load),
                  background:
                    s.kind === 'BUILD'
                      ? 'var(--paper-2)'
                      : 'repeating-linear-gradient(135deg, var(--paper) 0 3px, var(--rule) 3px 4px)',
                }}
              />
              <span className="text-xs">{s.number}</span>
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
            step.data.days.map((d) => (
              <div key={d.weekday} className="mt-1">
                <b>{weekdayShort(d.weekday)}</b> {Math.round(d.usedMinutes)} min
                <ul>
                  {d.bouts
                    .flatMap((b) => b.items)
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
          onChange={(v) => setLastDone(Number(v))}
        />
        , then{' '}
        <WordMenu
          label="Weeks missed"
          text={missed === 0 ? 'no week' : `${missed}`}
          value={String(missed)}
          options={numbers(9, 0)}
          onChange={(v) => setMissed(Number(v))}
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
        {week.easierWeekSigns.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ul>
    </div>
  )
}
