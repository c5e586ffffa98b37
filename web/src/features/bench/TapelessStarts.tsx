import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { useStarts } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { lengthUnit } from '../../quantity/units'

type Way = Schemas['StartWayView']
type Props = {
  clientId: string
  gymId?: string | null
  stiffToday?: boolean
  candidateId?: string
  title: string
  onFound?: (setup: Record<string, number>) => void
}

/** Ways to find a start without a tape, turned into the set-up's centimetres and degrees; without an exercise, those that need none. */
export function TapelessStarts(props: Props) {
  const ways = useStarts(props.candidateId)
  if (!ways.data || ways.data.length === 0) return null
  return (
    <details className="my-1">
      <summary className="border-b border-rule py-1 text-sm">{props.title}</summary>
      {ways.data
        .filter((way) => props.candidateId || way.way === 'SIT_AND_REACH')
        .map((way) => (
          <OneWay key={way.way} way={way} {...props} />
        ))}
    </details>
  )
}

function OneWay({ way, clientId, gymId, stiffToday, candidateId, onFound }: Props & { way: Way }) {
  const [answers, setAnswers] = useState<Record<string, string>>(() =>
    Object.fromEntries(way.questions.map((question) => [question.id, String(question.usual)])),
  )
  const find = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/starts', {
          body: {
            clientId,
            candidateId,
            way: way.way,
            stiffToday,
            ...(gymId ? { gymId } : {}),
            answers: Object.fromEntries(
              Object.entries(answers).map(([id, text]) => [id, Number(text.replace(',', '.'))]),
            ),
          },
        }),
      ),
    onSuccess: (f) => onFound?.(f.setup),
  })
  const problem = find.error instanceof Problem ? find.error : null
  return (
    <section aria-label={way.label} className="space-y-1 py-1 text-sm">
      <h3 className="text-base">{way.label}</h3>
      <ol className="list-decimal space-y-0.5 pl-5">
        {way.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {way.questions.map((question) => (
        <Field
          key={question.id}
          label={question.label}
          unit={question.unit}
          type="number"
          min={question.min}
          max={question.max}
          step={question.step}
          value={answers[question.id]}
          onChange={(event) => setAnswers({ ...answers, [question.id]: event.target.value })}
          fault={problem?.fault(`answers.${question.id}`)}
        />
      ))}
      <Button disabled={find.isPending} onClick={() => find.mutate()}>
        {onFound ? 'Set it up so' : lengthUnit() === 'cm' ? 'In centimetres' : 'In inches'}
      </Button>
      {find.isSuccess && <p role="status">{find.data.sentence}</p>}
      {find.isError &&
        !way.questions.some((question) => problem?.fault(`answers.${question.id}`)) && (
          <Trouble error={find.error} />
        )}
    </section>
  )
}
