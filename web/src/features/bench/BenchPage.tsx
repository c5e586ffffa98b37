import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Catalogue, Schemas } from '../../api/client'
import { postBench, postSteps, useCatalogue, useClients, useGyms } from '../../api/queries'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { useAddress } from '../../ui/useAddress'
import { BriefLine } from '../brief/BriefLine'
import { useBrief } from '../brief/brief'
import type { Brief } from '../brief/brief'
import { useBeginning } from '../brief/useBeginning'
import { BenchControls } from './BenchControls'
import { BenchStrips } from './BenchStrips'
import { StagePanel } from './StagePanel'
import { candidateOptions } from './candidateOptions'
import { useLatest } from './useLatest'
import { useResting } from './useResting'
import { useSetupChanges } from './useSetupChanges'

/** The bench: one exercise, this client to scale, and what each move does. */
export function BenchPage() {
  const catalogue = useCatalogue()
  const clients = useClients()
  const gyms = useGyms()
  const [brief, change] = useBrief()
  const [params, put] = useAddress()
  useBeginning(brief, change, clients.data, gyms.data)
  const failed = [catalogue, clients, gyms].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!catalogue.data || !clients.data || !gyms.data) return <Waiting what="Loading" />
  const candidateId = params.get('candidate') ?? catalogue.data.exercises[0]!.candidates[0]!.id
  const client = brief.client
  if (!client)
    return clients.data.length === 0 || gyms.data.length === 0 ? (
      <Quiet>Take in a client and a gym first.</Quiet>
    ) : (
      <Waiting what="Beginning where you left off" />
    )
  const candidates = candidateOptions(catalogue.data, candidateId)
  const choose = (id: string) => put({ candidate: id, set: null }, 'step')
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-1">
      <h1 className="sr-only">Set-up</h1>
      <BriefLine
        brief={{ ...brief, client }}
        change={change}
        catalogue={catalogue.data}
        clients={clients.data}
        gyms={gyms.data}
      />
      <div className="flex flex-wrap items-baseline gap-3 font-serif text-lg">
        <span>
          Set-up of{' '}
          <WordMenu
            label="Exercise"
            text={
              candidates.find((candidate) => candidate.value === candidateId)?.label ?? candidateId
            }
            value={candidateId}
            options={candidates}
            onChange={choose}
          />
        </span>
      </div>
      {candidates.some((candidate) => candidate.value === candidateId) ? (
        <OneBench
          key={`${client} ${brief.gym} ${candidateId} ${brief.school} ${brief.stiff}`}
          catalogue={catalogue.data}
          brief={{ ...brief, client }}
          candidateId={candidateId}
          onChoose={choose}
        />
      ) : (
        <Quiet>This exercise is not in the catalogue. Choose another above.</Quiet>
      )}
    </div>
  )
}

/** The bench of one exercise: the stage, the strips and the controls, all of one answer of the server. */
function OneBench({
  catalogue,
  brief,
  candidateId,
  onChoose,
}: {
  catalogue: Catalogue
  brief: Brief & { client: string }
  candidateId: string
  onChoose: (candidateId: string) => void
}) {
  const changes = useSetupChanges()
  const { moved, pinned } = changes
  const [at, setAt] = useState(20)
  const side = (setup: Record<string, number> | null): Schemas['SideInput'] => ({
    clientId: brief.client,
    candidateId,
    stiffToday: brief.stiff,
    ...(brief.gym ? { gymId: brief.gym } : {}),
    ...(setup ? { setup } : {}),
  })
  const question: Schemas['BenchInput'] = {
    sides: [side(pinned), side(moved ?? pinned)],
    school: brief.school,
  }
  const answer = useLatest(question, (asked: Schemas['BenchInput']) => postBench(asked))
  const aimedSide: Schemas['AimedSideInput'] = {
    side: side(moved ?? pinned),
    aim: brief.aim,
    keepOut: brief.keepOut,
    school: brief.school,
  }
  const steps = useSteps(aimedSide)

  const bench = answer.data
  const start = bench?.sides[0]
  const now = bench?.sides[1]
  if (answer.error && !bench) return <Trouble error={answer.error} />
  if (!start || !now) return <Waiting what="Setting up the stage" />

  const exercise = catalogue.exercises.find((otherExercise) =>
    otherExercise.candidates.some((candidate) => candidate.id === candidateId),
  )!
  const setup = { ...now.setup, ...(moved ?? {}) }
  const aimed = Object.keys(brief.aim).filter((id) => now.strips[id])
  return (
    <div
      className="grid min-h-0 flex-1 gap-4 lg:grid-cols-[minmax(0,1fr)_17rem_19rem]"
      aria-busy={answer.pending}
    >
      <StagePanel
        start={start}
        now={now}
        moved={moved !== null}
        at={at}
        onAt={setAt}
        parameters={exercise.parameters}
        setup={setup}
        onMove={(id, value) => changes.move(setup, id, value)}
        onReset={changes.reset}
        regions={catalogue.regions}
        aimed={aimed}
      />
      <BenchStrips
        start={start}
        now={now}
        moved={moved !== null}
        at={at}
        aim={brief.aim}
        aimed={aimed}
        regions={catalogue.regions}
      />
      <BenchControls
        catalogue={catalogue}
        brief={brief}
        candidateId={candidateId}
        bench={bench}
        trouble={answer.error}
        changes={changes}
        aimedSide={aimedSide}
        aimed={aimed}
        steps={steps}
        onChoose={onChoose}
      />
    </div>
  )
}

/** What one natural step of each control does, once the hand rests; nothing while it moves. */
function useSteps(aimedSide: Schemas['AimedSideInput']): Schemas['StepsView']['steps'] {
  const resting = useResting(aimedSide, 900)
  const steps = useQuery({
    queryKey: ['steps', resting],
    queryFn: ({ signal }) => postSteps(resting, signal),
    enabled: Object.keys(resting.aim ?? {}).length > 0,
    retry: false,
  })
  const current =
    steps.data && !steps.isPlaceholderData && JSON.stringify(resting) === JSON.stringify(aimedSide)
  return current ? steps.data.steps : []
}
