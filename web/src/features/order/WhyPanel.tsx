import { Link, useLocation } from 'react-router'
import type { Catalogue, Entry, SchoolPlaces } from '../../api/client'
import { useSessions } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import type { Brief } from '../brief/brief'
import { LoadWords } from './ForClient'
import { usePin } from './pin'
import { SetupTable } from './SetupTable'

/** More nicknames than these help nobody to know which exercise is meant. */
const NICKNAMES = 4

/** The chosen strip in words and figures, with what to do next. */
export function WhyPanel({
  entry,
  catalogue,
  brief,
  bySchool,
}: {
  entry: Entry
  catalogue: Catalogue
  brief: Brief
  bySchool: SchoolPlaces[]
}) {
  const exercise = catalogue.exercises.find(
    (otherExercise) => otherExercise.id === entry.exerciseId,
  )
  const pin = usePin(brief)
  const { search } = useLocation()
  const sessions = useSessions(brief.client ?? undefined, brief.client !== null)
  const open = sessions.data?.find((session) => !session.finishedAt && session.gymId === brief.gym)
  const isPinned = open?.names.includes(entry.name) ?? false
  const benchAddress = (() => {
    const params = new URLSearchParams(search)
    params.set('candidate', entry.candidateId)
    return `/bench?${params}`
  })()
  const most = Math.max(...entry.contributions.map((contribution) => contribution.points))
  return (
    <div>
      <h2 className="text-xl leading-tight">{entry.name}</h2>
      {exercise && (
        <p className="text-xs text-ink-2">
          also: {exercise.alsoCalled.slice(0, NICKNAMES).join(', ')}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {isPinned ? (
          <span className="text-sm" data-testid="pinned">
            It is in the session.
          </span>
        ) : (
          <Button
            look="ink"
            disabled={pin.isPending}
            onClick={() => pin.mutate({ candidateId: entry.candidateId, setup: entry.setup })}
          >
            Add to session
          </Button>
        )}
        <Link
          className="inline-flex min-h-8 items-center border border-edge px-3 text-sm font-medium hover:border-ink"
          to={benchAddress}
        >
          Open the set-up
        </Link>
      </div>
      {open && (
        <p className="mt-1 text-sm">
          <Link className="text-accent-2 underline" to={`/sessions/${open.id}`}>
            Open session: {open.names.length} {open.names.length === 1 ? 'exercise' : 'exercises'}
          </Link>
        </p>
      )}
      {pin.isError && <Trouble error={pin.error} />}

      <h3 className="mt-3 border-b border-ink text-base">Why</h3>
      <ul className="mt-1 space-y-1 text-sm leading-snug">
        {entry.why.map(({ words }) => (
          <li key={words}>{words}</li>
        ))}
      </ul>

      {entry.studies.length > 0 && (
        <details className="mt-1 text-sm">
          <summary className="py-0.5">Studies and opinions that move it</summary>
          <ul className="space-y-1">
            {entry.studies.map((study) => (
              <li key={study.findingId}>
                <b className="font-medium">{study.citation}</b> ({study.how}): {study.conditions}:{' '}
                {study.direction}.{' '}
                <span className="text-ink-2">
                  Moves it {study.shift > 0 ? 'up' : 'down'} by{' '}
                  {Math.round(100 * Math.abs(Math.exp(study.shift) - 1))} %.
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
      {entry.raise.length > 0 && (
        <>
          <h3 className="mt-3 border-b border-ink text-base">What would move it up</h3>
          <ul className="mt-1 space-y-1 text-sm leading-snug">
            {entry.raise.map(({ words }) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
      {bySchool.length > 1 && (
        <p className="mt-1 text-sm text-ink-2" data-testid="by-school">
          Place by way of ranking:{' '}
          {bySchool
            .filter((places) => places.places[entry.exerciseId] !== undefined)
            .map((places) => `${places.label} ${places.places[entry.exerciseId]}`)
            .join(', ')}
          .
        </p>
      )}

      <h3 className="mt-3 border-b border-ink text-base">Set-up for this client</h3>
      {entry.load && <LoadWords load={entry.load} />}
      {exercise && <SetupTable parameters={exercise.parameters} setup={entry.setup} />}

      <h3 className="mt-3 border-b border-ink text-base">
        What made its score of {Math.round(100 * entry.utility)}
      </h3>
      <table className="w-full text-sm">
        <tbody>
          {entry.contributions
            .filter((contribution) => contribution.points !== 0 || contribution.value === 0)
            .map((contribution) => (
              <tr key={contribution.criterion} className="border-b border-rule/60 align-baseline">
                <th scope="row" className="py-0.5 text-left font-normal">
                  {contribution.label}
                  {contribution.reason && (
                    <span className="block text-xs text-ink-2">{contribution.reason.words}</span>
                  )}
                </th>
                <td className="w-16">
                  <span
                    className="block h-1.5 bg-accent-2"
                    style={{ width: `${Math.max(0, (100 * contribution.points) / most)}%` }}
                  />
                </td>
                <td className="py-0.5 pl-2 text-right">{(100 * contribution.points).toFixed(0)}</td>
              </tr>
            ))}
        </tbody>
      </table>
      {exercise && exercise.cautions.length > 0 && (
        <p className="mt-3 border-l-2 border-warn pl-2 text-sm">{exercise.cautions.join(' ')}</p>
      )}
    </div>
  )
}
