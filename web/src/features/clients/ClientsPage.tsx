import { Link, useNavigate, useSearchParams } from 'react-router'
import { useCatalogue, useClients } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Quiet, Trouble, Waiting } from '../../ui/Notice'
import { Intake } from './Intake'
import { ANKLE_WORDS, cautionWords } from './cautions'
import { lengthWords, massWords } from '../../quantity/format'

/** Clients and the sixty-second intake. */
export function ClientsPage() {
  const clients = useClients()
  const catalogue = useCatalogue()
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const chosen = params.get('change') // an id, or 'new'
  const setChosen = (id: string | null) => setParams(id ? { change: id } : {})
  const failed = [clients, catalogue].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!clients.data || !catalogue.data) return <Waiting what="Loading" />
  const client = clients.data.find((listed) => listed.id === chosen)
  return (
    <div className={`grid gap-6 ${chosen ? 'lg:grid-cols-[minmax(0,1fr)_24rem]' : ''}`}>
      <section aria-label="Clients" className="min-w-0">
        <div className="flex items-baseline justify-between border-b border-ink pb-1">
          <h1 className="text-xl">Clients</h1>
          <span className="flex items-baseline gap-4">
            <Link className="text-sm text-accent-2 underline" to="/clients/bring">
              Bring in from a file
            </Link>
            <Button look="ink" onClick={() => setChosen('new')}>
              New client
            </Button>
          </span>
        </div>
        {clients.data.length === 0 && <Quiet>No client yet. The intake takes sixty seconds.</Quiet>}
        <div className="overflow-x-auto">
          <table className="w-full">
            <thead>
              <tr className="border-b border-rule text-left text-xs text-ink-2">
                <th scope="col" className="py-1 font-normal">
                  Name
                </th>
                <th scope="col" className="hidden text-right font-normal sm:table-cell">
                  Height
                </th>
                <th scope="col" className="hidden text-right font-normal sm:table-cell">
                  Weight
                </th>
                <th scope="col" className="hidden px-4 font-normal sm:table-cell">
                  Thigh
                </th>
                <th scope="col" className="hidden font-normal sm:table-cell">
                  Ankle
                </th>
                <th scope="col" className="font-normal">
                  Sore
                </th>
                <th scope="col" className="font-normal">
                  Cautions
                </th>
                <th scope="col">
                  <span className="sr-only">what can be done</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {clients.data.map((listed) => (
                <tr
                  key={listed.id}
                  className={`border-b border-rule/60 ${listed.id === chosen ? 'bg-paper-2' : ''}`}
                >
                  <th scope="row" className="py-1.5 text-left font-semibold">
                    <Link className="hover:underline" to={`/clients/${listed.id}`}>
                      {listed.name}
                    </Link>
                  </th>
                  <td className="hidden pl-3 text-right whitespace-nowrap sm:table-cell">
                    {lengthWords(listed.statureM)}
                  </td>
                  <td className="hidden pl-3 text-right whitespace-nowrap sm:table-cell">
                    {massWords(listed.massKg)}
                  </td>
                  <td className="hidden px-4 sm:table-cell">{listed.thigh.toLowerCase()}</td>
                  <td className="hidden pr-4 sm:table-cell">{ANKLE_WORDS[listed.ankle]}</td>
                  <td className={`pr-4 ${listed.pain.length > 0 ? 'text-warn' : 'text-ink-2'}`}>
                    {listed.pain.length === 0
                      ? '–'
                      : listed.pain
                          .map((p) =>
                            catalogue.data.painFlags
                              .find((painFlag) => painFlag.id === p.joint)
                              ?.label.replace('sore ', ''),
                          )
                          .join(', ')}
                  </td>
                  <td className="text-sm">{cautionWords(listed, catalogue.data.cautions)}</td>
                  <td className="text-right sm:whitespace-nowrap">
                    <Button
                      look="bare"
                      aria-label={`Change ${listed.name}`}
                      onClick={() => setChosen(listed.id)}
                    >
                      Change
                    </Button>
                    <Link
                      className="px-2 text-sm text-accent-2 underline"
                      aria-label={`Measure ${listed.name}`}
                      to={`/clients/${listed.id}/body`}
                    >
                      Measure
                    </Link>
                    <Link
                      className="px-2 text-sm text-accent-2 underline"
                      aria-label={`Record of ${listed.name}`}
                      to={`/record/${listed.id}`}
                    >
                      Record
                    </Link>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      {chosen !== null && (
        <Intake
          key={`${chosen} ${client?.version}`}
          client={client}
          catalogue={catalogue.data}
          onDone={() => setChosen(null)}
          onTakenIn={(id) => void navigate(`/clients/${id}`)}
        />
      )}
    </div>
  )
}
