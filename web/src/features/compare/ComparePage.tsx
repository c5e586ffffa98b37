import { useState } from 'react'
import type { BenchSide, Client } from '../../api/client'
import { useBenchOnce, useCatalogue, useClients } from '../../api/queries'
import { Stage } from '../../chart/stage/Stage'
import { frame, SEEN } from '../../chart/stage/scene'
import type { Box } from '../../chart/stage/scene'
import { ANKLE_WORDS } from '../clients/cautions'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { Changes } from '../bench/Changes'
import { candidateOptions } from '../bench/candidateOptions'
import { useBrief } from '../brief/brief'
import { useAddress } from '../../ui/useAddress'
import { PlaceSlider } from '../../ui/PlaceSlider'
import { lengthWords, massWords } from '../../quantity/format'

/** Two clients of different build on the same exercise, to one scale: what the model says differs, and why. */
export function ComparePage() {
  const catalogue = useCatalogue()
  const clients = useClients()
  const [brief] = useBrief()
  const [params, put] = useAddress()
  const [at, setAt] = useState(20)
  const list = clients.data ?? []
  const first = params.get('client') ?? list[0]?.id
  const second = params.get('other') ?? list.find((c) => c.id !== first)?.id
  const candidateId = params.get('candidate') ?? catalogue.data?.exercises[0]?.candidates[0]?.id
  const bench = useBenchOnce(
    first && second && candidateId
      ? {
          sides: [first, second].map((clientId) => ({
            clientId,
            candidateId,
            ...(brief.gym ? { gymId: brief.gym } : {}),
          })),
          school: brief.school,
        }
      : null,
  )
  const failed = [catalogue, clients].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!catalogue.data || !clients.data) return <Waiting what="Loading" />
  if (!first || !second) return <Quiet>Two clients are needed to set side by side.</Quiet>
  const people = list.map((c) => ({ value: c.id, label: c.name }))
  const candidates = candidateOptions(catalogue.data, candidateId)
  const name = (id: string) => list.find((c) => c.id === id)?.name ?? '…'
  const sides = bench.data?.sides ?? []
  const box = frame(sides.flatMap((side) => side.phases.map((phase) => phase.side)))
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <h1 className="sr-only">Two clients side by side</h1>
      <p className="font-serif text-lg leading-relaxed">
        Side by side:{' '}
        <WordMenu
          label="First client"
          text={name(first)}
          value={first}
          options={people}
          onChange={(value) => put({ client: value }, 'step')}
        />{' '}
        and{' '}
        <WordMenu
          label="Second client"
          text={name(second)}
          value={second}
          options={people}
          onChange={(value) => put({ other: value }, 'step')}
        />{' '}
        on{' '}
        <WordMenu
          label="Exercise"
          text={candidates.find((candidate) => candidate.value === candidateId)?.label ?? ''}
          value={candidateId}
          options={candidates}
          onChange={(value) => put({ candidate: value }, 'step')}
        />
        , each in the usual set-up as far as they take it.
      </p>
      {bench.isError && <Trouble error={bench.error} retry={() => void bench.refetch()} />}
      {sides.length === 2 && (
        <div
          className={`grid min-h-0 flex-1 gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_24rem] ${bench.isPlaceholderData ? 'opacity-60' : ''}`}
        >
          {sides.map((side, k) => (
            <OneSide
              key={k}
              side={side}
              box={box}
              at={at}
              clientWords={build(list.find((c) => c.id === side.clientId))}
            />
          ))}
          <div
            role="group"
            tabIndex={0}
            aria-label="What differs"
            className="min-h-0 overflow-auto"
          >
            <h2 className="border-b border-ink text-lg">What differs, and why</h2>
            <ul className="mt-1 space-y-1.5 text-sm leading-snug" data-testid="differences">
              {(bench.data?.differences ?? []).map(({ words }) => (
                <li key={words}>{words}</li>
              ))}
              {sides.some((side) => side.obstacle) && (
                <li>
                  One of the two cannot take this exercise, so there are no figures to set against
                  each other.
                </li>
              )}
            </ul>
            <div className="mt-3">
              <Changes
                bench={bench.data!}
                regions={catalogue.data.regions}
                aimed={Object.keys(brief.aim)}
                from={short(sides[0]!)}
                to={short(sides[1]!)}
              />
            </div>
            <p className="mt-2 text-xs text-ink-2">
              Stimulus of ten repetitions to failure at each one's own load: 1 is what a muscle gets
              that works alone at its best length. Differences inside the model's noise are not
              shown as differences.
            </p>
          </div>
        </div>
      )}
      <div className="flex border-t border-rule pt-1">
        <PlaceSlider at={at} onAt={setAt} />
      </div>
    </div>
  )
}

function OneSide({
  side,
  box,
  at,
  clientWords,
}: {
  side: BenchSide
  box: Box
  at: number
  clientWords: string
}) {
  const phase = side.phases[Math.min(at, side.phases.length - 1)]
  return (
    <section aria-label={side.clientName} className="flex min-h-0 flex-col">
      <h2 className="text-lg">{side.clientName}</h2>
      <p className="text-xs text-ink-2">{clientWords}</p>
      {phase ? (
        <Stage
          drawing={phase.side}
          box={box}
          label={`${SEEN[phase.side.from]} of ${side.clientName}`}
          className="max-h-[56vh] min-h-64 w-full flex-1"
        />
      ) : (
        <Quiet>Nothing to show.</Quiet>
      )}
      {side.obstacle && (
        <p role="alert" className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm">
          {side.obstacle.reason} Missing: {side.obstacle.missing}.
        </p>
      )}
      {side.cautions.map(({ words }) => (
        <p key={words} className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm">
          <b>Caution:</b> {words}
        </p>
      ))}
      {[...side.changes, ...side.notes].map(({ words }) => (
        <p key={words} className="text-sm text-ink-2">
          {words}
        </p>
      ))}
    </section>
  )
}

function short(side: BenchSide): string {
  return side.clientName.split(' ')[0]!
}

function build(client?: Client): string {
  return client
    ? `${lengthWords(client.statureM)}, ${massWords(client.massKg)}, thigh ${client.thigh.toLowerCase()}, ankle ${ANKLE_WORDS[client.ankle]}`
    : ''
}
