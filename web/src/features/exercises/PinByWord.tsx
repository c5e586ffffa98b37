import { Link } from 'react-router'
import { useClients, useGyms } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Trouble } from '../../ui/Notice'
import { useBrief } from '../brief/brief'
import { usePin } from '../order/pin'

/** Puts an exercise by word into the session of the client whom the address names. */
export function PinByWord({ candidateId }: { candidateId: string }) {
  const [brief] = useBrief()
  const clients = useClients()
  const gyms = useGyms()
  const pin = usePin(brief)
  const client = clients.data?.find((listed) => listed.id === brief.client)
  const gym = gyms.data?.find((listed) => listed.id === brief.gym)
  if (!client || !gym) {
    return (
      <p className="py-1 text-sm text-ink-2">
        Choose a client and a gym{' '}
        <Link className="text-accent-2 underline" to="/exercises">
          on the order
        </Link>{' '}
        first, to add it to a session.
      </p>
    )
  }
  return (
    <div>
      <Button look="ink" disabled={pin.isPending} onClick={() => pin.mutate({ candidateId })}>
        Add to {client.name}’s session
      </Button>
      {pin.data && (
        <p role="status" className="mt-1 text-sm">
          Added.{' '}
          <Link className="text-accent-2 underline" to={`/sessions/${pin.data.id}`}>
            Open the session
          </Link>
        </p>
      )}
      {pin.isError && <Trouble error={pin.error} />}
    </div>
  )
}
