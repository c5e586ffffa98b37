import { useEffect, useMemo, useState } from 'react'
import { setupValue } from '../../quantity/format'
import type { BenchSide, Parameter, Region } from '../../api/client'
import type { MusclesShown } from '../../chart/stage/Figure'
import { Stage } from '../../chart/stage/Stage'
import { frame, SEEN } from '../../chart/stage/scene'
import { Quiet } from '../../ui/Notice'
import { LAST_PLACE, PlaceSlider } from '../../ui/PlaceSlider'
import { Angles, StageWords, StanceFigure } from './StageParts'

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
          <StanceFigure
            start={start}
            now={now}
            moved={moved}
            parameters={parameters}
            setup={setup}
            onMove={onMove}
            muscles={muscles}
          />
        )}
      </div>
      <StageWords
        now={now}
        moved={moved}
        shows={phase !== undefined}
        givesOut={muscles?.givesOut !== undefined}
        onReset={onReset}
      />
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
      {phase && <Angles phase={phase} />}
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
