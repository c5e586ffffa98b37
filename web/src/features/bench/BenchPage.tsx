import { useQuery } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import type { BenchSide, Catalogue, Schemas } from '../../api/client'
import { postBench, postSteps, useCatalogue, useClients, useGyms } from '../../api/queries'
import { LengthStrip, MomentStrip } from '../../chart/Strips'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { BriefLine } from '../brief/BriefLine'
import { useAddress } from '../../ui/useAddress'
import { useBrief } from '../brief/brief'
import type { Brief } from '../brief/brief'
import { useBeginning } from '../brief/useBeginning'
import { LoadWords } from '../order/ForClient'
import { usePin } from '../order/pin'
import { Changes } from './Changes'
import { Controls } from './Controls'
import { FindBest } from './FindBest'
import { candidateOptions } from './candidateOptions'
import { KeepVariant, OwnVariant } from './OwnVariant'
import { StagePanel } from './StagePanel'
import { TapelessStarts } from './TapelessStarts'
import { parseSetup, writeSetup } from './address'
import { useLatest } from './useLatest'
import { useResting } from './useResting'

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
  const [params, put] = useAddress()
  const moved = parseSetup(params.get('set'))
  const [pinned, setPinned] = useState<Record<string, number> | null>(() =>
    parseSetup(params.get('pinned')),
  ) // a link may bring a start along
  const [at, setAt] = useState(20)
  const exercise = catalogue.exercises.find((otherExercise) =>
    otherExercise.candidates.some((candidate) => candidate.id === candidateId),
  )!
  const variant = exercise.candidates.find((candidate) => candidate.id === candidateId)!
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
  const answer = useLatest(question, (otherBench: Schemas['BenchInput']) => postBench(otherBench))
  const pin = usePin(brief)
  const held = useRef<string | null>(null)
  const [past, setPast] = useState<(string | null)[]>([])
  const aimedSide: Schemas['AimedSideInput'] = {
    side: side(moved ?? pinned),
    aim: brief.aim,
    keepOut: brief.keepOut,
    school: brief.school,
  }
  const resting = useResting(aimedSide, 900)
  const steps = useQuery({
    queryKey: ['steps', resting],
    queryFn: ({ signal }) => postSteps(resting, signal),
    enabled: Object.keys(resting.aim ?? {}).length > 0,
    retry: false,
  })

  const bench = answer.data
  const start = bench?.sides[0]
  const now = bench?.sides[1]
  if (answer.error && !bench) return <Trouble error={answer.error} />
  if (!start || !now) return <Waiting what="Setting up the stage" />

  const setup = { ...now.setup, ...(moved ?? {}) }
  const move = (values: Record<string, number>) => put({ set: writeSetup({ ...setup, ...values }) })
  const onMove = (id: string, value: number) => {
    remember(id)
    move({ [id]: value })
  }
  /** Keeps where it was before this control was moved: one act of undo for each control that is taken hold of. */
  const remember = (what: string) => {
    if (what !== held.current || what === ALL)
      setPast((oldPast) => [...oldPast.slice(-49), params.get('set')])
    held.current = what
  }
  const undo = () => {
    held.current = null
    const last = past[past.length - 1] ?? null
    setPast((oldPast) => oldPast.slice(0, -1))
    put({ set: last })
  }
  const take = (values: Record<string, number>) => {
    remember(ALL)
    move(values)
  }
  const reset = () => {
    if (moved) remember(ALL)
    setPinned(null)
    put({ set: null }, 'step')
  }
  const k = Math.min(at, now.phases.length - 1)
  const aimed = Object.keys(brief.aim).filter((id) => now.strips[id])
  const strips = (
    aimed.length > 0
      ? aimed.sort((first, second) => brief.aim[second]! - brief.aim[first]!)
      : strongest(now)
  ).slice(0, 3)
  const top = Math.max(
    1,
    ...strips.flatMap((id) => [
      ...(now.strips[id]?.tension ?? []),
      ...(start.strips[id]?.tension ?? []),
    ]),
  )
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
        onMove={onMove}
        onReset={reset}
        regions={catalogue.regions}
        aimed={aimed}
      />
      <div role="group" tabIndex={0} aria-label="Strips" className="min-h-0 overflow-auto">
        {now.obstacle ? (
          <Quiet>No figures for a posture that cannot be taken.</Quiet>
        ) : (
          <>
            {strips.map((id) => (
              <LengthStrip
                key={id}
                title={catalogue.regions.find((region) => region.id === id)?.coachName ?? id}
                now={now.strips[id]!}
                ghost={moved ? start.strips[id] : undefined}
                at={k}
                top={top}
              />
            ))}
            <MomentStrip
              moments={now.phases.map((phase) => phase.moments)}
              ghost={moved ? start.phases.map((phase) => phase.moments) : undefined}
              at={k}
              sticking={now.stickingPhase}
            />
            <p className="mt-1 text-xs">
              <b>Gives out first:</b>{' '}
              {now.limiters
                .filter((limiter) => limiter.share >= 0.05)
                .slice(0, 3)
                .map((limiter) => `${limiter.name} ${Math.round(100 * limiter.share)} %`)
                .join(', ')}
            </p>
          </>
        )}
      </div>
      <section aria-label="Controls" className="min-h-0 overflow-auto px-1">
        <div className="mb-1 flex flex-wrap gap-2">
          <Button
            look="ink"
            disabled={
              pin.isPending || now.obstacle !== undefined || now.refusal !== undefined || !brief.gym
            }
            onClick={() => pin.mutate({ candidateId, setup })}
          >
            Add to session
          </Button>
          <Button className="px-2" disabled={!moved} onClick={() => setPinned(setup)}>
            Use as baseline
          </Button>
          <Button className="px-2" disabled={!moved && !pinned} onClick={reset}>
            Reset
          </Button>
          <Button className="px-2" disabled={past.length === 0} onClick={undo}>
            Undo
          </Button>
        </div>
        {pin.isError && <Trouble error={pin.error} />}
        {pin.isSuccess && (
          <p role="status" className="text-sm">
            Added with this set-up.{' '}
            <Link className="text-accent-2 underline" to={`/sessions/${pin.data.id}`}>
              Open the session
            </Link>
          </p>
        )}
        {answer.error ? <Trouble error={answer.error} /> : null}
        {moved && !now.obstacle && bench && (
          <div className="mb-2">
            <Changes
              bench={bench}
              regions={catalogue.regions}
              aimed={aimed}
              from="start"
              to="now"
            />
            {start.obstacle ? (
              <p className="mt-1 border-l-2 border-warn pl-2 text-sm">
                The start cannot be taken by this client: {start.obstacle.reason} Missing:{' '}
                {start.obstacle.missing}.
              </p>
            ) : (
              bench.changes.every((change) => !change.toldApart) && (
                <p className="mt-1 text-sm">The model cannot tell these two set-ups apart.</p>
              )
            )}
          </div>
        )}
        {now.load && <LoadWords load={now.load} />}
        {!now.obstacle && !now.refusal && (
          <FindBest input={aimedSide} parameters={exercise.parameters} onTake={take} />
        )}
        {variant.own && !moved ? (
          <OwnVariant candidateId={candidateId} retired={variant.retired} />
        ) : (
          !now.obstacle &&
          moved && (
            <KeepVariant
              exerciseId={exercise.id}
              setup={setup}
              clientId={brief.client}
              onKept={onChoose}
            />
          )
        )}
        {!variant.own && (
          <p className="text-sm">
            <Link
              className="text-accent-2 underline"
              to={pictureAddress(brief, candidateId, moved)}
            >
              Compare with a picture
            </Link>
          </p>
        )}
        <TapelessStarts
          title="Find a start without a tape"
          clientId={brief.client}
          gymId={brief.gym}
          stiffToday={brief.stiff}
          candidateId={candidateId}
          onFound={take}
        />
        <Controls
          parameters={exercise.parameters}
          setup={setup}
          pinned={start.setup}
          measured={now.measured}
          steps={
            steps.data &&
            !steps.isPlaceholderData &&
            JSON.stringify(resting) === JSON.stringify(aimedSide)
              ? steps.data.steps
              : []
          }
          onMove={onMove}
        />
      </section>
    </div>
  )
}

function pictureAddress(
  brief: Brief & { client: string },
  candidateId: string,
  moved: Record<string, number> | null,
): string {
  const query = new URLSearchParams({ candidate: candidateId })
  if (brief.gym) query.set('gym', brief.gym)
  if (moved) query.set('set', writeSetup(moved))
  return `/clients/${brief.client}/picture?${query.toString()}`
}

/** Undo step of a whole set-up, not of one control. */
const ALL = 'all'

function strongest(side: BenchSide): string[] {
  return Object.entries(side.stimulus)
    .sort((first, second) => second[1] - first[1])
    .map(([id]) => id)
}
