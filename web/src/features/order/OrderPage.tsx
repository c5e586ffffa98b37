import { useState } from 'react'
import { Link } from 'react-router'
import { useBySchool, useCatalogue, useClients, useGyms, useOrder } from '../../api/queries'
import { LimbChart } from '../../chart/limb/LimbChart'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { useNarrow } from '../../ui/useNarrow'
import { BriefLine } from '../brief/BriefLine'
import { orderInput, paintOf, painted, useBrief } from '../brief/brief'
import { useBeginning } from '../brief/useBeginning'
import { MeasuringHint } from './MeasuringHint'
import { OrderList } from './OrderList'
import { allEntries } from './entries'
import { WeighPanel } from './WeighPanel'
import { WhyPanel } from './WhyPanel'

/** Brief, limb chart, order, why: the planning screen. */
export function OrderPage() {
  const catalogue = useCatalogue()
  const clients = useClients()
  const gyms = useGyms()
  const [brief, change] = useBrief()
  const [picked, setPicked] = useState<string | null>(null)
  const [chart, setChart] = useState(false)
  const narrow = useNarrow()
  // a link may name a client or gym that is not here any more
  const known =
    (clients.data ?? []).some((client) => client.id === brief.client) &&
    (gyms.data ?? []).some((gym) => gym.id === brief.gym)
  const input = known ? orderInput(brief) : null
  const order = useOrder(input)
  const bySchool = useBySchool(input, !order.isFetching && order.isSuccess)

  useBeginning(brief, change, clients.data, gyms.data)

  const failed = [catalogue, clients, gyms].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!catalogue.data || !clients.data || !gyms.data) return <Waiting what="Loading" />
  if (clients.data.length === 0 || gyms.data.length === 0) {
    return (
      <div className="mx-auto max-w-xl py-16 text-lg">
        <h1 className="text-2xl">A client and a gym first</h1>
        <p className="mt-2">
          {clients.data.length === 0 && (
            <>
              <Link className="text-accent-2 underline" to="/clients">
                Take in a client
              </Link>{' '}
              (sixty seconds).{' '}
            </>
          )}
          {gyms.data.length === 0 && (
            <>
              <Link className="text-accent-2 underline" to="/gyms">
                Tick what a gym has
              </Link>
              .
            </>
          )}
        </p>
      </div>
    )
  }

  const entries = order.data ? allEntries(order.data) : []
  const chosen =
    entries.find((entry) => entry.candidateId === picked) ??
    entries.find((entry) => entry.candidateId === order.data?.firstPick?.candidateId) ??
    entries[0]
  const why = input && chosen && (
    <WhyPanel
      key={chosen.candidateId}
      entry={chosen}
      catalogue={catalogue.data}
      brief={brief}
      bySchool={bySchool.data ?? []}
    />
  )
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <h1 className="sr-only">Exercises, ranked</h1>
      <BriefLine
        brief={brief}
        change={change}
        catalogue={catalogue.data}
        clients={clients.data}
        gyms={gyms.data}
        weighed
      />
      <div className="grid min-h-0 flex-1 gap-4 lg:grid-cols-[22rem_minmax(0,1fr)_19rem]">
        <Button className="lg:hidden" aria-expanded={chart} onClick={() => setChart(!chart)}>
          {chart ? 'Fold the chart of the leg' : 'Choose muscles on a chart of the leg'}
        </Button>
        <section
          aria-label="Target"
          className={`h-[46rem] min-h-0 lg:block lg:h-auto ${chart ? '' : 'hidden'}`}
        >
          <LimbChart
            regions={catalogue.data.regions}
            paint={(id) => paintOf(brief, id)}
            onPaint={(id, paint) => change(painted(brief, id, paint))}
          />
        </section>
        <section
          aria-label="Order"
          aria-busy={order.isFetching}
          className="flex min-h-0 flex-col border-rule lg:border-x lg:px-3"
        >
          {input === null ? (
            <Quiet>
              {known
                ? 'Paint on the chart what should grow, or choose a group in the sentence above. The order follows at once.'
                : 'Choose a client and a gym in the sentence above.'}
            </Quiet>
          ) : order.isError ? (
            <Trouble error={order.error} retry={() => void order.refetch()} />
          ) : order.data ? (
            <>
              <OrderList
                order={order.data}
                regions={catalogue.data.regions}
                chosen={chosen?.candidateId}
                onChoose={setPicked}
                stale={order.isPlaceholderData}
                bySchool={order.isPlaceholderData ? [] : (bySchool.data ?? [])}
                school={brief.school}
                under={narrow ? why : null}
                most={narrow ? 10 : 25}
              />
              <MeasuringHint input={input} ready={!order.isFetching} />
            </>
          ) : (
            <Waiting what="Computing the order for this body" />
          )}
        </section>
        <section aria-label="Why" className="relative min-h-0 overflow-auto">
          {!narrow && why}
          {input && chosen && (
            <WeighPanel
              brief={brief}
              change={change}
              catalogue={catalogue.data}
              asked={chosen.contributions.map((contribution) => contribution.criterion)}
            />
          )}
        </section>
      </div>
    </div>
  )
}
