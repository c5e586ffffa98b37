import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { answer, api } from '../../api/client'
import type { MeasuredKind, Measurements } from '../../api/client'
import { afterClientChanged, keys, useMeasurements } from '../../api/queries'
import { ReadingsPlot } from '../../chart/Readings'
import { day, readingValue, coachUnit } from '../../quantity/format'
import { trim } from '../../quantity/number'
import { Button } from '../../ui/Button'
import { Trouble, Undo, Waiting } from '../../ui/Notice'
import { TapelessStarts } from '../bench/TapelessStarts'
import { KnownLifts } from './KnownLifts'
import { NewReading } from './NewReading'

type Reading = MeasuredKind['readings'][number]

const ORIGIN: Record<MeasuredKind['origin'], string> = {
  MEASURED: 'measured',
  INTAKE: 'from the intake',
  ESTIMATED: 'estimated',
  UNKNOWN: 'not measured',
}

/** A client's dated readings: what is measured, what is only estimated, and how to measure it. */
export function MeasurePage() {
  const { id } = useParams()
  const measurements = useMeasurements(id!)
  const queries = useQueryClient()
  const [params, setParams] = useSearchParams()
  const put = (otherMeasurements: Measurements) => {
    queries.setQueryData(keys.measurements(otherMeasurements.clientId), otherMeasurements)
    afterClientChanged(queries)
  }
  const [removed, setRemoved] = useState<{ kind: MeasuredKind; reading: Reading } | null>(null)
  const remove = useMutation({
    mutationFn: (r: { kind: MeasuredKind; reading: Reading }) =>
      answer(
        api.DELETE('/api/clients/{clientId}/measurements/{readingId}', {
          params: { path: { clientId: id!, readingId: r.reading.id } },
        }),
      ),
    onSuccess: (m, r) => {
      setRemoved(r)
      put(m)
    },
  })
  const restore = useMutation({
    mutationFn: (r: { kind: MeasuredKind; reading: Reading }) =>
      answer(
        api.POST('/api/clients/{clientId}/measurements', {
          params: { path: { clientId: id! } },
          body: {
            kind: r.kind.kind,
            side: r.reading.side,
            value: r.reading.value,
            on: r.reading.on,
          },
        }),
      ),
    onSuccess: (m) => {
      setRemoved(null)
      put(m)
    },
  })
  if (measurements.isError)
    return <Trouble error={measurements.error} retry={() => void measurements.refetch()} />
  if (!measurements.data) return <Waiting what="Loading" />
  const m = measurements.data
  const chosen =
    m.kinds.find((kind) => kind.kind === params.get('kind')) ??
    m.kinds.find((kind) => kind.origin !== 'MEASURED' && kind.kind === 'THIGH') ??
    m.kinds[0]!
  const choose = (kind: string) => setParams({ kind }, { replace: true })
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section aria-label="Measurements" className="min-w-0">
        <div className="flex flex-wrap items-baseline justify-between gap-2 border-b border-ink pb-1">
          <h1 className="text-xl">{m.clientName}: measurements</h1>
          <Link className="text-sm text-accent-2 underline" to="/clients">
            All clients
          </Link>
        </div>
        <p className="py-1 text-sm text-ink-2">
          The ankle bends to {Math.round(m.dorsiflexionDeg)}° under load
          {m.kinds.some((kind) => kind.kind === 'KNEE_TO_WALL' && kind.origin === 'MEASURED')
            ? ', from the knee to the wall; the stiffer side counts.'
            : ', by the intake’s word: measure the knee to the wall.'}
        </p>
        <ReadingsTable
          kinds={m.kinds}
          chosen={chosen}
          onMeasure={choose}
          onRemove={(kind, reading) => remove.mutate({ kind, reading })}
        />
        {m.notes.map((note) => (
          <p
            key={note}
            role="alert"
            className="border-l-2 border-warn bg-paper-2 px-2 py-1 text-sm"
          >
            {note}
          </p>
        ))}
        {removed && (
          <Undo
            text={`Removed: ${removed.kind.label} ${readingValue(removed.kind.unit, removed.reading.value)}.`}
            pending={restore.isPending}
            onUndo={() => restore.mutate(removed)}
          />
        )}
        {[remove, restore].map((x, k) => x.isError && <Trouble key={k} error={x.error} />)}
        <KnownLifts clientId={m.clientId} />
        <TapelessStarts clientId={m.clientId} title="Stride of a split squat without a tape" />
      </section>
      <NewReading key={chosen.kind} clientId={m.clientId} kind={chosen} onDone={put} />
    </div>
  )
}

function ReadingsTable({
  kinds,
  chosen,
  onMeasure,
  onRemove,
}: {
  kinds: MeasuredKind[]
  chosen: MeasuredKind
  onMeasure: (kind: string) => void
  onRemove: (kind: MeasuredKind, reading: Reading) => void
}) {
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-rule text-left text-xs text-ink-2">
            <th scope="col" className="py-1 font-normal">
              What
            </th>
            <th scope="col" className="text-right font-normal">
              Used
            </th>
            <th scope="col" className="pl-3 font-normal">
              From
            </th>
            <th scope="col" className="font-normal">
              Readings (ring: left)
            </th>
            <th scope="col">
              <span className="sr-only">what can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {kinds.map((kind) => (
            <tr
              key={kind.kind}
              className={`border-b border-rule/60 ${kind.kind === chosen.kind ? 'bg-paper-2' : ''}`}
              data-kind={kind.kind}
            >
              <th scope="row" className="py-1 text-left font-medium">
                {kind.label}
              </th>
              <td className="text-right font-semibold whitespace-nowrap">{used(kind)}</td>
              <td className="pl-3 whitespace-nowrap">
                {kind.origin === 'MEASURED' ? (
                  <>
                    measured {day(kind.readings.at(-1)!.on)}
                    {kind.error !== undefined && kind.error > 0 && (
                      <span className="text-ink-2"> ± {spread(kind)}</span>
                    )}
                  </>
                ) : (
                  <span className="text-ink-2">{ORIGIN[kind.origin]}</span>
                )}
              </td>
              <td>
                <ReadingsPlot
                  readings={kind.readings}
                  label={`${kind.label}: ${kind.readings.map((reading) => `${readingValue(kind.unit, reading.value)} ${reading.side === 'NONE' ? '' : reading.side.toLowerCase()} ${day(reading.on)}`).join(', ')}`}
                />
              </td>
              <td className="text-right whitespace-nowrap">
                {kind.readings.length > 0 && (
                  <Button
                    look="bare"
                    aria-label={`Remove the last reading of ${kind.label}`}
                    onClick={() => onRemove(kind, kind.readings.at(-1)!)}
                  >
                    Remove last
                  </Button>
                )}
                <Button
                  look="bare"
                  aria-label={`Measure ${kind.label}`}
                  onClick={() => onMeasure(kind.kind)}
                >
                  Measure
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

/** What the model takes: means of readings to the millimetre, as the record says them. */
function used(kind: MeasuredKind): string {
  if (kind.used === undefined) return '–'
  const of = coachUnit(kind.unit)
  return kind.unit === 'm' && kind.origin === 'MEASURED'
    ? `${trim(of.perStored * kind.used, 1)} ${of.unit}`
    : readingValue(kind.unit, kind.used)
}

function spread(kind: MeasuredKind): string {
  const of = coachUnit(kind.unit)
  return kind.unit === 'deg'
    ? `${kind.error!.toFixed(0)}°`
    : `${(of.perStored * kind.error!).toFixed(1)} ${of.unit}`
}
