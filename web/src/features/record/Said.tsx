import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { answer, api } from '../../api/client'
import type { ClientRecord, MeasuredKind, Region } from '../../api/client'
import { useMeasurements, useSaid } from '../../api/queries'
import { OverTime } from '../../chart/OverTime'
import { day, readingValue, detailUnit } from '../../quantity/format'
import { Tick } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'

const JOINT: Record<string, string> = {
  KNEE: 'knee',
  HIP: 'hip',
  LOWER_BACK: 'lower back',
  ANKLE: 'ankle or foot',
  SHOULDER: 'shoulder',
}

/** Where sets were felt, what hurt, and whether that counts in this client's order. */
export function Said({ record, regions }: { record: ClientRecord; regions: Region[] }) {
  const said = useSaid(record.clientId)
  const queries = useQueryClient()
  const learn = useMutation({
    mutationFn: (on: boolean) =>
      answer(
        api.PUT('/api/clients/{clientId}/record/learns', {
          params: { path: { clientId: record.clientId } },
          body: { on },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  })
  const name = (id: string) =>
    regions.find((region) => region.id === id)?.coachName.replace(/ \(.*/, '') ?? 'lower back'
  const pains = (said.data ?? []).filter((s) => s.pain > 0)
  return (
    <section aria-label="Felt and pain">
      <h2 className="border-b border-ink text-lg">Felt and pain</h2>
      <Tick
        label="Counts in this client’s order"
        note={
          record.learns
            ? 'Where it was felt and what hurt moves this client’s order a little, and the order says where. Nobody else’s.'
            : 'Off: the order is as mechanics, studies and cautions have it.'
        }
        checked={record.learns}
        onChange={(on) => learn.mutate(on)}
      />
      {learn.isError && <Trouble error={learn.error} />}
      {pains.length > 0 && (
        <OverTime
          label="Worst pain of each session, 0 to 10"
          unit="/10"
          zero
          height={130}
          points={[...pains].reverse().map((pain) => ({
            on: pain.on,
            value: pain.pain,
            words: `${day(pain.on)}: ${JOINT[pain.joint ?? ''] ?? ''} ${pain.pain} in ${pain.name}`,
          }))}
        />
      )}
      <table className="w-full text-sm">
        <caption className="sr-only">What was said, newest first</caption>
        <tbody>
          {(said.data ?? []).slice(0, 14).map((s, k) => (
            <tr key={k} className="border-b border-rule/60 align-baseline">
              <th
                scope="row"
                className="py-0.5 pr-2 text-left font-normal whitespace-nowrap text-ink-2"
              >
                {day(s.on)}
              </th>
              <td className="pr-2">{s.name}</td>
              <td>{s.felt.map(name).join(', ')}</td>
              <td className="text-warn">
                {s.pain > 0 ? `${JOINT[s.joint ?? ''] ?? 'pain'} ${s.pain}` : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {said.data?.length === 0 && (
        <p className="py-1 text-sm text-ink-2">
          Nobody was asked yet: tap “Felt where?” or “Any pain?” after a set in Train.
        </p>
      )}
    </section>
  )
}

type Read = { on: string; value: number; error?: number; side: string }

/** Readings of one measurement over time, both sides in one plot: left as rings. */
function BothSides({ kind, readings }: { kind: MeasuredKind; readings: Read[] }) {
  const { unit, perStored } = detailUnit(kind.unit)
  return (
    <>
      <p className="pt-1 text-sm first-letter:uppercase">{kind.label} (ring: left)</p>
      <OverTime
        label={kind.label}
        unit={unit}
        height={140}
        points={readings.map(({ on, value, error, side }) => ({
          on,
          value: perStored * value,
          error: error === undefined ? undefined : perStored * error,
          ring: side === 'LEFT',
          words: `${day(on)}: ${readingValue(kind.unit, value)} ${side === 'NONE' ? '' : side.toLowerCase()}`,
        }))}
      />
    </>
  )
}

/** How far joints go over the months, with the error of measuring, and what has changed. */
export function RangeOfMotion({ clientId }: { clientId: string }) {
  const measurements = useMeasurements(clientId)
  const kinds = (measurements.data?.kinds ?? []).filter((kind) => kind.ranges.length > 0)
  if (kinds.length === 0) return null
  return (
    <section aria-label="Range of motion">
      <h2 className="border-b border-ink text-lg">Range of motion</h2>
      {kinds.map((kind) => (
        <div key={kind.kind}>
          <BothSides
            kind={kind}
            readings={kind.ranges
              .flatMap(({ side, days }) => days.map((one) => ({ ...one, side })))
              .sort((first, second) => first.on.localeCompare(second.on))}
          />
          {kind.ranges.flatMap(({ side, found }) =>
            found.map((fact) => (
              <p key={`${side} ${fact.kind}`} className="text-sm">
                {fact.kind === 'CHANGED' && <b>{side === 'LEFT' ? 'Left: ' : 'Right: '}</b>}
                {fact.words}
              </p>
            )),
          )}
        </div>
      ))}
      <p className="text-xs text-ink-2">
        A change is told when it is larger than the error of measuring.{' '}
        <Link className="underline" to={`/clients/${clientId}/body`}>
          Measure again
        </Link>
      </p>
    </section>
  )
}

/** Girths over time. */
export function Girths({ clientId }: { clientId: string }) {
  const measurements = useMeasurements(clientId)
  const kinds = (measurements.data?.kinds ?? []).filter(
    (kind) =>
      (kind.kind === 'THIGH_GIRTH' || kind.kind === 'CALF_GIRTH') && kind.readings.length > 0,
  )
  if (kinds.length === 0) return null
  return (
    <section aria-label="Girths">
      <h2 className="border-b border-ink text-lg">Girths</h2>
      {kinds.map((kind) => (
        <BothSides key={kind.kind} kind={kind} readings={kind.readings} />
      ))}
    </section>
  )
}
