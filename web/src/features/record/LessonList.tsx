import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { answer, api } from '../../api/client'
import type { Lesson } from '../../api/client'
import { useCatalogue, useLessons } from '../../api/queries'
import { day } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'

/** What the record teaches: figures, proposals, and the coach's word on them. */
export function LessonList({ clientId }: { clientId: string }) {
  const lessons = useLessons(clientId)
  if (lessons.isError) return <Trouble error={lessons.error} retry={() => void lessons.refetch()} />
  if (!lessons.data) return <Waiting what="Looking through the record" />
  const open = lessons.data.filter((lesson) => !lesson.answer)
  const done = lessons.data.filter((lesson) => lesson.answer)
  return (
    <section aria-label="What the record teaches">
      <h2 className="border-b border-ink text-lg">What the record teaches</h2>
      {lessons.data.length === 0 && (
        <Quiet>
          Nothing stands out: no stall, no side behind, no pain that comes back, no region short.
        </Quiet>
      )}
      {open.map((l) => (
        <OneLesson key={`${l.kind} ${l.subject}`} lesson={l} clientId={clientId} />
      ))}
      {done.length > 0 && (
        <details className="pt-1">
          <summary className="py-1 text-sm text-ink-2">
            {done.length} answered in the last four weeks
          </summary>
          {done.map((l) => (
            <OneLesson key={`${l.kind} ${l.subject}`} lesson={l} clientId={clientId} />
          ))}
        </details>
      )}
    </section>
  )
}

function OneLesson({ lesson: lesson, clientId }: { lesson: Lesson; clientId: string }) {
  const queries = useQueryClient()
  const again = () => queries.invalidateQueries({ queryKey: ['record', clientId, 'lessons'] })
  const say = useMutation({
    mutationFn: (taken?: Lesson['proposals'][number]) =>
      answer(
        api.POST('/api/clients/{clientId}/record/lessons/answers', {
          params: { path: { clientId } },
          body: { kind: lesson.kind, subject: lesson.subject, ...(taken ? { taken } : {}) },
        }),
      ),
    onSuccess: again,
  })
  const takeBack = useMutation({
    mutationFn: (answerId: string) =>
      answer(
        api.DELETE('/api/clients/{clientId}/record/lessons/answers/{answerId}', {
          params: { path: { clientId, answerId } },
        }),
      ),
    onSuccess: again,
  })
  const catalogue = useCatalogue()
  // only what is computed can go on the bench
  const candidate = catalogue.data?.exercises
    .flatMap((exercise) => exercise.candidates)
    .find((c) => c.id === lesson.subject)?.id
  return (
    <article aria-label={`${lesson.label}: ${lesson.name}`} className="border-b border-rule py-1.5">
      <h3 className="text-base leading-snug">
        {lesson.name}{' '}
        <span className="font-sans text-sm font-normal text-accent">{lesson.label}</span>
      </h3>
      <p className="text-sm">
        {lesson.found.words} <span className="text-ink-2">As of {day(lesson.on)}.</span>
      </p>
      {lesson.answer ? (
        <p className="flex flex-wrap items-baseline gap-2 text-sm">
          {lesson.answer.taken ? (
            <b>Agreed: {lesson.answer.taken.words}</b>
          ) : (
            <span className="text-ink-2">Dismissed.</span>
          )}
          <Button
            look="bare"
            className="!min-h-6 !p-0"
            disabled={takeBack.isPending}
            onClick={() => takeBack.mutate(lesson.answer!.id)}
          >
            Take the answer back
          </Button>
        </p>
      ) : (
        <ul className="mt-0.5 space-y-1">
          {lesson.proposals.map((proposal) => (
            <li key={proposal.words} className="flex items-baseline gap-2 text-sm">
              <Button
                className="!min-h-6 shrink-0 !px-2 !py-0"
                disabled={say.isPending}
                onClick={() => say.mutate(proposal)}
                aria-label={`Agree: ${proposal.words}`}
              >
                Agree
              </Button>
              <span>
                {proposal.words}{' '}
                {proposal.act === 'RE_DIAL' && candidate && (
                  <Link
                    className="text-accent-2 underline"
                    to={`/bench?client=${clientId}&candidate=${encodeURIComponent(candidate)}`}
                  >
                    open its set-up
                  </Link>
                )}
                {(proposal.act === 'SWAP' || lesson.kind === 'RANGE_CHANGED') && (
                  <Link className="text-accent-2 underline" to={`/exercises?client=${clientId}`}>
                    choose from the ranking
                  </Link>
                )}
                {(proposal.act === 'MORE_SETS' || proposal.act === 'EASIER_WEEK') && (
                  <Link className="text-accent-2 underline" to={`/weeks?client=${clientId}`}>
                    in the plan
                  </Link>
                )}
              </span>
            </li>
          ))}
          <li>
            <Button
              look="bare"
              className="!min-h-6 !p-0 text-sm"
              disabled={say.isPending}
              onClick={() => say.mutate(undefined)}
              aria-label={`Dismiss: ${lesson.name}, ${lesson.label}`}
            >
              Dismiss
            </Button>
          </li>
        </ul>
      )}
      {(say.isError || takeBack.isError) && <Trouble error={say.error ?? takeBack.error} />}
    </article>
  )
}
