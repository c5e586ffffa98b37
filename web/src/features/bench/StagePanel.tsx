import { useEffect, useMemo, useState } from 'react'
import { setupValue } from '../../quantity/format'
import type { BenchSide, Parameter, Region } from '../../api/client'
import type { MusclesShown } from '../../chart/stage/Figure'
import { Stage } from '../../chart/stage/Stage'
import { frame, SEEN } from '../../chart/stage/scene'
import { Quiet } from '../../ui/Notice'
import { ClientWarnings } from '../order/ForClient'
import { LAST_PLACE, PlaceSlider } from '../../ui/PlaceSlider'

/** One way of a repetition that is played takes about three seconds. */
const PLAY_MS = 150

const SHOWN = { aimed: 'targeted muscles', all: 'all muscles', none: 'no muscles' } as const
type Shown = keyof typeof SHOWN

/** The client on the machine, from the side and the feet from above, at one place of the repetition. */
export function StagePanel({
  start,
  now,
  moved,
  at,
  onAt,
  parameters,
  setup,
  onMove,
  onReset,
  regions,
  aimed,
}: {
  start: BenchSide
  now: BenchSide
  moved: boolean
  at: number
  onAt: (at: number) => void
  parameters: Parameter[]
  setup: Record<string, number>
  onMove: (id: string, value: number) => void
  onReset: () => void
  regions: Region[]
  aimed: string[]
}) {
  const [shown, setShown] = useState<Shown>('aimed')
  const player = usePlayer(at, onAt)
  const box = useMemo(
    () => frame([...start.phases, ...now.phases].map((otherPhase) => otherPhase.side)),
    [start, now],
  )
  const k = Math.min(at, now.phases.length - 1)
  const phase = now.phases[k]
  const startPhase = start.phases[Math.min(at, start.phases.length - 1)]
  const stage = phase ?? startPhase // where nothing is possible, the start stays to be held
  const muscles = phase && musclesOf(now, k, shown, aimed, regions)
  const changes = moved ? movedWords(parameters, start.setup, setup) : []
  const hasStance = now.plan && parameters.some((parameter) => parameter.id === 'stance')
  return (
    <section aria-label="Stage" className="flex min-h-[26rem] flex-col">
      {changes.length > 0 && (
        <p className="text-sm" data-testid="moved">
          <b>Moved from the start:</b> {changes.join(', ')}
        </p>
      )}
      <div
        className={`relative grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-2 ${hasStance ? 'sm:grid-cols-[minmax(0,1fr)_11rem]' : ''}`}
      >
        {stage ? (
          <Stage
            drawing={stage.side}
            ghost={moved && phase ? startPhase?.side : undefined}
            box={box}
            label={`${SEEN[stage.side.from]} of ${now.clientName}, ${[now.name, ...changes].join(', ')}`}
            handles={stage.grips}
            parameters={parameters}
            setup={setup}
            onMove={onMove}
            muscles={muscles}
            className="h-full max-h-[62vh] min-h-0 w-full"
          />
        ) : (
          <Quiet>No part of this repetition can be shown.</Quiet>
        )}
        {hasStance && (
          <figure className="flex min-h-0 flex-col">
            <figcaption className="text-xs text-ink-2">
              Feet{' '}
              {parameters.some((parameter) => parameter.id === 'plateGrip')
                ? 'on the plate'
                : 'from above'}
            </figcaption>
            <Stage
              plan
              plain
              drawing={now.plan!}
              ghost={moved ? start.plan : undefined}
              box={planBox(now)}
              label="The feet in plan"
              handles={now.planGrips}
              parameters={parameters}
              setup={setup}
              onMove={onMove}
              className="max-h-60 w-full"
            />
            {now.front && (
              <>
                <figcaption className="mt-1 text-xs text-ink-2">
                  Lowest point from the front; dashed: plumb from the knees
                </figcaption>
                <Stage
                  plain
                  drawing={now.front}
                  ghost={moved ? start.front : undefined}
                  box={frame([now.front, ...(start.front ? [start.front] : [])], 0.04)}
                  label={`Front view of ${now.clientName}`}
                  muscles={muscles}
                  className="max-h-64 w-full"
                />
              </>
            )}
          </figure>
        )}
      </div>
      <ClientWarnings refusal={now.refusal} statements={now.statements} who={now.clientName} />
      {now.obstacle && (
        <p
          role="alert"
          className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
          data-testid="obstacle"
        >
          <b>Not possible for {now.clientName}:</b> {now.obstacle.reason} Missing:{' '}
          {now.obstacle.missing}.{!phase && ' The stage still shows the start.'}
        </p>
      )}
      {now.cautions.map((caution) => (
        <p
          key={caution}
          role="alert"
          className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
          data-testid="caution"
        >
          <b>Caution:</b> {caution}{' '}
          {moved && (
            <button type="button" className="underline" onClick={onReset}>
              Back to the usual set-up
            </button>
          )}
        </p>
      ))}
      <p className="text-xs text-ink-2">
        {moved && phase && 'Dashed: the start. '}
        {muscles?.givesOut && 'Bold outline: gives out first. '}Circles can be dragged, or moved
        with the arrow keys.
      </p>
      {[...now.changes.map((change) => `For this client: ${change}`), ...now.notes].map((name) => (
        <p key={name} className="text-sm text-ink-2">
          {name}
        </p>
      ))}
      <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule pt-1 text-sm">
        <button
          type="button"
          className="min-h-6 w-14 border border-edge px-2 hover:border-ink"
          onClick={player.press}
        >
          {player.playing ? 'Stop' : 'Play'}
        </button>
        <PlaceSlider at={at} onAt={onAt} />
        <select
          aria-label="Muscles on the figure"
          className="min-h-6 border border-edge px-1"
          value={shown}
          onChange={(event) => setShown(event.target.value as Shown)}
        >
          {Object.entries(SHOWN).map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
      </div>
      {phase && (
        <p className="text-sm text-ink-2" data-testid="angles">
          trunk {Math.round(phase.leanDeg)}° · hip {Math.round(phase.anglesDeg['hip flexion'] ?? 0)}
          ° · thigh outwards {Math.round(phase.anglesDeg['hip abduction'] ?? 0)}° · knee{' '}
          {Math.round(phase.anglesDeg['knee flexion'] ?? 0)}° · ankle{' '}
          {Math.round(phase.anglesDeg['ankle dorsiflexion'] ?? 0)}°
          {phase.demand !== undefined && (
            <> · {Math.round(100 * phase.demand)} % of capacity here</>
          )}
        </p>
      )}
    </section>
  )
}

/**
 * Moves through the repetition, down and up again, until it is stopped. Where the reader asks for
 * less motion, a press goes on by a quarter of the way instead.
 */
function usePlayer(at: number, onAt: (at: number) => void) {
  const [way, setWay] = useState(0)
  useEffect(() => {
    if (way === 0) return
    const timer = setTimeout(() => {
      const next = at + way
      if (next < 0 || next > LAST_PLACE) setWay(-way)
      else onAt(next)
    }, PLAY_MS)
    return () => clearTimeout(timer)
  })
  const press = () => {
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches)
      onAt(at >= LAST_PLACE ? 0 : Math.min(LAST_PLACE, at + LAST_PLACE / 4))
    else setWay(way !== 0 ? 0 : at >= LAST_PLACE ? -1 : 1)
  }
  return { playing: way !== 0, press }
}

/** Tensions at one place, as shares of the greatest of the whole repetition. */
function musclesOf(
  now: BenchSide,
  k: number,
  shown: Shown,
  aimed: string[],
  regions: Region[],
): MusclesShown | undefined {
  if (shown === 'none' || now.obstacle) return undefined
  const top = Math.max(...Object.values(now.strips).flatMap((strip) => strip.tension), 1e-6)
  const wanted = shown === 'all' || aimed.length === 0 ? Object.keys(now.strips) : aimed
  return {
    tension: Object.fromEntries(wanted.map((id) => [id, now.strips[id]!.tension[k]! / top])),
    group: (id) => regions.find((region) => region.id === id)?.group ?? '',
    givesOut: now.limiters[0]?.name,
  }
}

/** A frame for the feet that does not jump while the stance is moved. */
function planBox(side: BenchSide) {
  const box = frame([side.plan!], 0.04)
  const half = Math.max(
    0.36,
    ...side.plan!.lines.flatMap((line) =>
      line.role.startsWith('foot') ? line.points.map((point) => Math.abs(point.y)) : [],
    ),
  )
  const along = side
    .plan!.lines.filter((line) => line.role.startsWith('foot'))
    .flatMap((line) => line.points.map((point) => point.x))
  const [low, high] = [Math.min(...along) - 0.06, Math.max(...along) + 0.06]
  return { ...box, x: -half - 0.05, width: 2 * half + 0.1, y: -high, height: high - low }
}

/** What is not where it was at the start: the name of a variant alone would no longer say it. */
function movedWords(
  parameters: Parameter[],
  start: Record<string, number>,
  now: Record<string, number>,
): string[] {
  return parameters
    .filter((parameter) => Math.abs((now[parameter.id] ?? 0) - (start[parameter.id] ?? 0)) > 1e-6)
    .map(
      (parameter) =>
        `${parameter.label.toLowerCase()} ${setupValue(parameter, now[parameter.id] ?? 0)}`,
    )
}
