import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { Region, Schemas } from '../../api/client'
import { answer, api } from '../../api/client'
import { useCatalogue, useClients, useGyms, useOrder } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { candidateOptions } from '../bench/candidateOptions'
import { parseSetup } from '../bench/address'
import { BriefLine } from '../brief/BriefLine'
import { orderInput, useBrief } from '../brief/brief'
import { useBeginning } from '../brief/useBeginning'
import { Pictures } from './Pictures'
import { PointTable } from './PointTable'
import { Told } from './Told'
import { useAddress } from '../../ui/useAddress'

const MOST = 4
type Comparison = Schemas['ComparisonView']

/** A comparison that names nothing begins with the first two of the ranking. */
function useFirstTwo(input: Schemas['BriefInput'] | null, put: ReturnType<typeof useAddress>[1]) {
  const order = useOrder(input)
  const first = order.data?.entries.slice(0, 2).map((entry) => entry.candidateId)
  const two = input && first?.length === 2 ? first.join('~') : ''
  useEffect(() => {
    if (two) put({ with: two }, 'later')
  }, [two, put])
}

/** Two to four candidates of one client, point by point; two of them in one frame. Prints. */
export function PointByPointPage() {
  const catalogue = useCatalogue()
  const clients = useClients()
  const gyms = useGyms()
  const [brief, change] = useBrief()
  const [params, write] = useAddress()
  const [at, setAt] = useState(20)
  useBeginning(brief, change, clients.data, gyms.data)
  const ids = (params.get('with') ?? '').split('~').filter(Boolean).slice(0, MOST)
  useFirstTwo(ids.length === 0 ? orderInput(brief) : null, write)
  const members = ids.map((candidateId, k) => ({
    candidateId,
    ...(parseSetup(params.get(`set${k}`)) ? { setup: parseSetup(params.get(`set${k}`))! } : {}),
  }))
  const input: Schemas['ComparisonInput'] | null =
    brief.client && ids.length >= 2
      ? {
          clientId: brief.client,
          ...(brief.gym ? { gymId: brief.gym } : {}),
          aim: brief.aim,
          keepOut: brief.keepOut,
          school: brief.school,
          stiffToday: brief.stiff,
          members,
        }
      : null
  const comparison = useQuery({
    queryKey: ['comparison', input],
    queryFn: ({ signal }) => answer(api.POST('/api/comparisons', { body: input!, signal })),
    enabled: input !== null,
    placeholderData: (previous) => previous,
  })
  const failed = [catalogue, clients, gyms].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!catalogue.data || !clients.data || !gyms.data) return <Waiting what="Loading" />
  const put = (next: string[], moved: number | null) =>
    write(
      {
        with: next.join('~'),
        ...Object.fromEntries(
          Array.from({ length: MOST }, (_, k) => k)
            .filter((k) => moved === null || k >= moved)
            .map((k) => [`set${k}`, null]),
        ),
      },
      'step',
    )
  const options = candidateOptions(catalogue.data, ids[0])
  const name = (id: string) => options.find((option) => option.value === id)?.label ?? id
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 print:block">
      <h1 className="sr-only">Exercises point by point</h1>
      <BriefLine
        brief={brief}
        change={change}
        catalogue={catalogue.data}
        clients={clients.data}
        gyms={gyms.data}
      />
      <p className="font-serif text-lg leading-relaxed">
        Point by point:{' '}
        {ids.map((id, k) => (
          <span key={`${id}${k}`}>
            {k > 0 && (k === ids.length - 1 ? ' and ' : ', ')}
            <WordMenu
              label={`Candidate ${k + 1}`}
              text={name(id) + (params.get(`set${k}`) ? ' (own set-up)' : '')}
              value={id}
              options={[
                ...(ids.length > 2 ? [{ value: '', label: 'leave it out' }] : []),
                ...options,
              ]}
              onChange={(value) =>
                value
                  ? put(
                      ids.map((text, j) => (j === k ? value : text)),
                      k,
                    )
                  : put(
                      ids.filter((_, j) => j !== k),
                      k,
                    )
              }
            />
          </span>
        ))}
        {ids.length >= 2 && '. '}
        {ids.length < MOST && (
          <span className={ids.length >= 2 ? 'no-print' : ''}>
            {ids.length === 1 && ' '}
            <WordMenu
              label="Add"
              text={['choose one', 'and another'][ids.length] ?? 'Add one more'}
              options={options.filter((option) => !ids.includes(option.value))}
              onChange={(value) => put([...ids, value], MOST)}
            />
          </span>
        )}
        {ids.length < 2 && '.'}{' '}
        {comparison.data && (
          <Button className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        )}
      </p>
      {ids.length < 2 ? (
        <Quiet>
          Say what should grow, and the first two of the ranking stand here. Or choose two to four
          exercises.
        </Quiet>
      ) : comparison.isError ? (
        <Trouble error={comparison.error} retry={() => void comparison.refetch()} />
      ) : comparison.data ? (
        <div
          className={`min-h-0 flex-1 overflow-auto pr-1 print:overflow-visible ${comparison.isPlaceholderData ? 'opacity-60' : ''}`}
        >
          <Points
            comparison={comparison.data}
            regions={catalogue.data.regions}
            aim={Object.keys(brief.aim)}
            at={at}
            onAt={setAt}
          />
        </div>
      ) : (
        <Waiting what="Computing each for this body" />
      )}
    </div>
  )
}

function Points({
  comparison,
  regions,
  aim,
  at,
  onAt,
}: {
  comparison: Comparison
  regions: Region[]
  aim: string[]
  at: number
  onAt: (k: number) => void
}) {
  const { members } = comparison
  const aimed =
    aim.length > 0
      ? aim
      : [...comparison.regions]
          .sort(
            (first, second) =>
              Math.max(...second.members.map((member) => member.value)) -
              Math.max(...first.members.map((member) => member.value)),
          )
          .slice(0, 3)
          .map((region) => region.regionId)
  return (
    <div className="grid gap-3">
      <Pictures members={members} at={at} onAt={onAt} />
      <section aria-label="What differs" className="grid gap-4 lg:grid-cols-2">
        <div>
          <h2 className="border-b border-ink text-lg">What truly differs</h2>
          <ul className="mt-1 space-y-1 text-sm leading-snug" data-testid="differences">
            {comparison.differences.map(({ words }) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
        <Told comparison={comparison} />
      </section>
      <PointTable comparison={comparison} regions={regions} aimed={aimed} at={at} />
    </div>
  )
}
