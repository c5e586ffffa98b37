import { useMutation } from '@tanstack/react-query'
import { useRef } from 'react'
import type { Best, Parameter, Schemas } from '../../api/client'
import { postBest } from '../../api/queries'
import { setupValue } from '../../quantity/format'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'

type Props = {
  input: Schemas['AimedSideInput']
  parameters: Parameter[]
  onTake: (setup: Record<string, number>) => void
}

/** Searches the set-up that serves the aim best, shows what it would move and what it costs elsewhere, and sets it up when the coach says so. */
export function FindBest({ input, parameters, onTake }: Props) {
  const running = useRef<AbortController | null>(null)
  const search = useMutation({
    mutationFn: (side: Schemas['AimedSideInput']) => {
      running.current = new AbortController()
      return postBest(side, running.current.signal)
    },
  })
  if (Object.keys(input.aim ?? {}).length === 0)
    return (
      <p className="text-sm text-ink-2">
        Say what to target, and the best set-up for it can be searched.
      </p>
    )
  return (
    <div className="mb-2 border-b border-rule pb-2">
      {search.isPending ? (
        <p role="status" className="flex items-center gap-3 text-sm">
          Trying set-ups for this target.
          <Button
            onClick={() => {
              running.current?.abort()
              search.reset()
            }}
          >
            Stop
          </Button>
        </p>
      ) : (
        <Button onClick={() => search.mutate(input)}>Find the best for this target</Button>
      )}
      {search.isError && <Trouble error={search.error} />}
      {search.data && <Found best={search.data} parameters={parameters} onTake={onTake} />}
    </div>
  )
}

function Found({
  best,
  parameters,
  onTake,
}: {
  best: Best
  parameters: Parameter[]
  onTake: (setup: Record<string, number>) => void
}) {
  const parameter = (id: string) => parameters.find((found) => found.id === id)
  const flat = best.flat.map((id) => parameter(id)?.label.toLowerCase()).filter(Boolean)
  return (
    <div className="mt-1 text-sm" data-testid="best">
      <p role="status" className="font-semibold">
        {best.sentence}
      </p>
      {best.moved.map((moved) => {
        const found = parameter(moved.parameterId)
        return (
          found && (
            <p key={moved.parameterId} className="flex justify-between gap-2">
              <span>{found.label}</span>
              <span className="whitespace-nowrap">
                {setupValue(found, moved.from)} → <b>{setupValue(found, moved.to)}</b>
              </span>
            </p>
          )
        )
      })}
      {best.elsewhere && <p className="mt-1">Elsewhere: {best.elsewhere}</p>}
      {flat.length > 0 && <p className="mt-1 text-ink-2">Hardly matters: {flat.join(', ')}.</p>}
      {best.bounded.map(({ words }) => (
        <p key={words} className="text-ink-2">
          {words}
        </p>
      ))}
      {best.moved.length > 0 && (
        <Button look="ink" className="mt-1" onClick={() => onTake(best.setup)}>
          Set it up so
        </Button>
      )}
    </div>
  )
}
