import { Link, useLocation } from 'react-router'
import type { Schemas } from '../../api/client'
import { useMachinesWorth, useMeasuring } from '../../api/queries'

/** The one missing measurement that would move this order most. */
export function MeasuringHint({ input, ready }: { input: Schemas['BriefInput']; ready: boolean }) {
  const search = useLocation().search.replace(/^\?/, '')
  const measuring = useMeasuring(input, ready)
  const machines = useMachinesWorth(input, ready && measuring.isFetched)
  const most = measuring.data?.[0]
  const machine = machines.data?.[0]
  return (
    <div
      className="border-t border-rule pt-1 text-sm text-ink-2"
      aria-live="polite"
      data-testid="measuring"
    >
      {measuring.isPending ? (
        'Looking which measurement would settle it …'
      ) : measuring.isError ? (
        'Which measurement would settle it could not be computed.'
      ) : most ? (
        <p>
          {most.sentence}{' '}
          <Link
            className="text-accent-2 underline"
            to={`/clients/${input.clientId}/body?kind=${most.kind}`}
          >
            Measure
          </Link>
        </p>
      ) : (
        'No missing measurement would move the first ten.'
      )}
      {machine && (
        <p>
          {machine.sentence}{' '}
          <Link
            className="text-accent-2 underline"
            to={`/gyms/${input.gymId}?${search}&item=${machine.item}`}
          >
            Measure this machine
          </Link>
        </p>
      )}
    </div>
  )
}
