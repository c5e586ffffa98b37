import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { answer, api } from '../../api/client'
import { Stage } from '../../chart/stage/Stage'
import { frame } from '../../chart/stage/scene'
import { Trouble, Waiting } from '../../ui/Notice'
import { WEEKDAYS, loadsWords, platesWords } from './words'
import { useMassUnit } from '../../quantity/units'

/** What a client reads behind a link: the sessions, nothing to change. */
export function SharedPage() {
  const { token } = useParams()
  const plan = useQuery({
    queryKey: ['shared', token],
    queryFn: () => answer(api.GET('/api/shared/{token}', { params: { path: { token: token! } } })),
    retry: false,
  })
  const [unit, setUnit] = useMassUnit()
  if (plan.isError) return <Trouble error={plan.error} />
  if (!plan.data) return <Waiting what="Loading the plan" />
  return (
    <article className="mx-auto w-full max-w-3xl">
      <h1 className="border-b border-ink pb-1 text-xl">{plan.data.name}</h1>
      <p className="text-sm text-ink-2">
        At {plan.data.gymName}. Loads in{' '}
        <button
          type="button"
          aria-label={`Unit: ${unit}`}
          className="border-b-2 border-dotted border-accent font-semibold text-ink"
          onClick={() => setUnit(unit === 'kg' ? 'lb' : 'kg')}
        >
          {unit}
        </button>
        .
      </p>
      {plan.data.block.length > 0 && (
        <details className="mt-1 text-sm">
          <summary>Block of {plan.data.block.length} weeks</summary>
          <ol>
            {plan.data.block.map((s) => (
              <li key={s.number}>
                <b>Week {s.number}</b>, {s.label}: {s.words}
              </li>
            ))}
          </ol>
        </details>
      )}
      {plan.data.days.map((day) => (
        <section key={day.weekday} className="mt-4">
          <h2 className="border-b border-rule text-lg">
            {WEEKDAYS[day.weekday - 1]}{' '}
            <span className="font-sans text-sm font-normal text-ink-2">
              about {Math.round(day.usedMinutes)} minutes
            </span>
          </h2>
          {day.bouts.map((items, b) => (
            <div key={b} className={items.length > 1 ? 'border-l-2 border-accent pl-2' : ''}>
              {items.length > 1 && <p className="pt-1 text-sm text-ink-2">In turn:</p>}
              {items.map((item) => (
                <div key={item.name} className="flex gap-3 border-b border-rule/60 py-2">
                  {item.figure && (
                    <Stage
                      plain
                      drawing={item.figure}
                      box={frame([item.figure])}
                      label={`${item.name}, lengthened end`}
                      className="h-24 w-24 shrink-0"
                    />
                  )}
                  <div className="text-sm">
                    <p className="text-base font-semibold">{item.name}</p>
                    <p>{item.prescription}</p>
                    {item.load.sets.some((set) => set.load) ? (
                      <p>
                        {loadsWords(
                          item.load.sets.map((set) => set.load),
                          unit,
                        )}
                        {item.load.sets[0]?.load && platesWords(item.load.sets[0].load, unit) && (
                          <span className="text-ink-2">
                            {' '}
                            ({platesWords(item.load.sets[0].load, unit)})
                          </span>
                        )}
                      </p>
                    ) : (
                      <p className="text-ink-2">Begin light; find the load in the warm-up sets.</p>
                    )}
                    <ul className="text-ink-2">
                      {item.cues.slice(0, 2).map((cue) => (
                        <li key={cue}>{cue}</li>
                      ))}
                      {item.stopSigns.slice(0, 3).map((stopSign) => (
                        <li key={stopSign}>
                          <b className="text-warn">Stop:</b> {stopSign}
                        </li>
                      ))}
                    </ul>
                  </div>
                </div>
              ))}
            </div>
          ))}
        </section>
      ))}
    </article>
  )
}
