import { Link, isRouteErrorResponse, useRouteError } from 'react-router'
import { Button } from '../ui/Button'

/** What is shown in the place of a screen that failed: what happened, and the ways on. */
export function RouteFault() {
  const error = useRouteError()
  const missing = isRouteErrorResponse(error) && error.status === 404
  return (
    <div role="alert" className="mx-auto max-w-md py-16">
      <h1 className="text-2xl">{missing ? 'There is no such page.' : 'This screen has failed.'}</h1>
      {!missing && (
        <p className="mt-2">
          Nothing that was saved is lost. Load the screen again; if it fails again, go to another
          one.
        </p>
      )}
      <p className="mt-4 flex items-baseline gap-4">
        {!missing && (
          <Button look="ink" onClick={() => window.location.reload()}>
            Load again
          </Button>
        )}
        <Link to="/" className="underline">
          To Today
        </Link>
      </p>
    </div>
  )
}
