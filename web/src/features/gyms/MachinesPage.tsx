import { Link, useParams } from 'react-router'
import { useMachines, useMachinesWorth } from '../../api/queries'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { orderInput, parseBrief } from '../brief/brief'
import { MachineForm } from './MachineForm'
import { PlatesField } from './PlatesField'
import { useAddress } from '../../ui/useAddress'

/** What is known of a gym's machines: generic until measured, and what is worth measuring for the brief at hand. */
export function MachinesPage() {
  const { id } = useParams()
  const machines = useMachines(id!)
  const [params, put] = useAddress()
  const brief = orderInput({ ...parseBrief(params), gym: id! })
  const worth = useMachinesWorth(brief, true)
  if (machines.isError)
    return <Trouble error={machines.error} retry={() => void machines.refetch()} />
  if (!machines.data) return <Waiting what="Loading" />
  const loaded = machines.data
  const chosen =
    loaded.machines.find((machine) => machine.item === params.get('item')) ?? loaded.machines[0]
  const choose = (item: string) => put({ item })
  return (
    <div className="grid gap-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
      <section aria-label="Machines">
        <div className="flex items-baseline justify-between border-b border-ink pb-1">
          <h1 className="text-xl">{loaded.gymName}</h1>
          <Link className="text-sm text-accent-2 underline" to="/gyms">
            All gyms
          </Link>
        </div>
        {loaded.machines.length === 0 && (
          <Quiet>Nothing here that could be measured. Tick what the gym has first.</Quiet>
        )}
        <ul>
          {loaded.machines.map((machine) => {
            const known = machine.details.filter((detail) => detail.measured).length
            return (
              <li
                key={machine.item}
                className={`border-b border-rule/60 ${machine.item === chosen?.item ? 'bg-paper-2' : ''}`}
              >
                <button
                  type="button"
                  className="flex min-h-10 w-full items-baseline gap-2 px-1 py-1.5 text-left"
                  aria-pressed={machine.item === chosen?.item}
                  onClick={() => choose(machine.item)}
                >
                  <span className="flex-1 font-medium">{machine.name}</span>
                  <span className="text-xs text-ink-2">
                    {known === 0 ? 'generic' : `${known} of ${machine.details.length} known`}
                  </span>
                </button>
              </li>
            )
          })}
        </ul>
        <PlatesField key={loaded.version} machines={loaded} />
        {brief && (
          <div className="mt-3 text-sm" data-testid="worth">
            <h2 className="border-b border-ink text-base">What would change the order at hand</h2>
            {worth.isPending && <Quiet>Trying what such machines usually have …</Quiet>}
            {worth.isError && <Trouble error={worth.error} />}
            {worth.data?.length === 0 && (
              <Quiet>Nothing generic here would move the first ten.</Quiet>
            )}
            <ol className="list-decimal pl-5">
              {(worth.data ?? []).slice(0, 3).map((w) => (
                <li key={w.item + w.detail}>
                  <button
                    type="button"
                    className="inline-block align-top text-left text-accent-2 underline"
                    onClick={() => choose(w.item)}
                  >
                    {w.sentence}
                  </button>
                </li>
              ))}
            </ol>
          </div>
        )}
      </section>
      {chosen && (
        <MachineForm
          key={`${chosen.item} ${loaded.version}`}
          gymId={loaded.gymId}
          version={loaded.version}
          machine={chosen}
          brief={brief}
        />
      )}
    </div>
  )
}
