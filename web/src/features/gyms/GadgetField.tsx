import { useQuery } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { answer, api } from '../../api/client'
import type { GadgetLink, Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { FaultText } from '../../ui/Field'
import { trim } from '../../quantity/number'

type Props = {
  kind: GadgetLink['kind']
  label: string
  unit: string
  /** how many of the coach's unit make one inside (N, deg, m) */
  perInside: number
  text: string
  onText: (t: string) => void
  fault?: string
  /** where the demo's stand-in is held */
  standIn: Schemas['StandInInput']
}

const EVERY_MS = 400
const WORD: Record<GadgetLink['kind'], string> = {
  FORCE: 'scale',
  ANGLE: 'inclinometer',
  LENGTH: 'tape',
}
const FROM: Record<GadgetLink['kind'], string> = {
  FORCE: 'From a scale',
  ANGLE: 'From an inclinometer',
  LENGTH: 'From a tape',
}

/** A value that is typed, or taken from a gadget once it stands still. */
export function GadgetField({ kind, label, unit, perInside, text, onText, fault, standIn }: Props) {
  const id = useId()
  const [code, setCode] = useState<string | null>(null)
  const [failed, setFailed] = useState('')
  const link = useQuery({
    queryKey: ['gadget', code],
    queryFn: () =>
      answer(api.GET('/api/gadget-links/{code}', { params: { path: { code: code! } } })),
    enabled: code !== null,
    refetchInterval: EVERY_MS,
  })
  const open = async () => {
    try {
      setFailed('')
      setCode((await answer(api.POST('/api/gadget-links', { body: { kind } }))).code)
    } catch (e) {
      setFailed(e instanceof Error ? e.message : 'The link could not be opened.')
    }
  }
  const close = () => {
    if (code) void api.DELETE('/api/gadget-links/{code}', { params: { path: { code } } })
    setCode(null)
  }
  const state = code ? link.data : undefined
  const words = (v: number) => `${trim(v * perInside, kind === 'ANGLE' ? 0 : 1)} ${unit}`
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-sm text-ink-2">
        {label} ({unit})
      </label>
      <input
        id={id}
        inputMode="decimal"
        aria-invalid={fault ? true : undefined}
        className={`mt-0.5 w-full border px-2 py-1 text-base ${fault ? 'border-warn' : 'border-edge'}`}
        value={text}
        onChange={(event) => onText(event.target.value)}
      />
      <FaultText text={fault} />
      {code === null ? (
        <Button look="bare" className="!min-h-6 !p-0 text-xs" onClick={() => void open()}>
          {FROM[kind]}
        </Button>
      ) : (
        <div
          className="mt-1 space-y-1 border-l-2 border-accent pl-2 text-xs"
          aria-live="polite"
          data-testid={`gadget-${kind}`}
        >
          {state?.stable ? (
            <Button
              look="ink"
              className="!min-h-7 text-xs"
              onClick={() => {
                onText(trim(state.stable!.value * perInside, kind === 'ANGLE' ? 0 : 1))
                close()
              }}
            >
              Take {words(state.stable.value)}
            </Button>
          ) : (
            <p>
              {state?.last === undefined
                ? `Waiting for the ${WORD[kind]}`
                : `${words(state.last)}, not still yet`}
            </p>
          )}
          {state && state.dropouts > 0 && (
            <p className="text-ink-2">
              dropped out {state.dropouts === 1 ? 'once' : `${state.dropouts} times`}, listening on
            </p>
          )}
          {state?.fault && <p className="text-warn">{state.fault}</p>}
          {state?.standIns && state.lines === 0 && (
            <Button
              className="!min-h-7 text-xs"
              onClick={() =>
                void api.POST('/api/gadget-links/{code}/stand-in', {
                  params: { path: { code } },
                  body: standIn,
                })
              }
            >
              Use the stand-in {WORD[kind]}
            </Button>
          )}
          <p className="break-all text-ink-2">Code for a gadget: {code}</p>
          <Button look="bare" className="!min-h-6 !p-0 text-xs" onClick={close}>
            Stop listening
          </Button>
        </div>
      )}
      {failed && <p className="text-xs text-warn">{failed}</p>}
    </div>
  )
}
