import { Link } from 'react-router'

/** The way on where no exercise has a name. */
export function MakeYourOwn({ name, onLeave }: { name: string; onLeave?: () => void }) {
  return (
    <p>
      Nothing by that name. If it is an exercise,{' '}
      <Link
        className="text-accent-2 underline"
        to={`/exercises/by-word?${new URLSearchParams({ make: name }).toString()}`}
        onClick={onLeave}
      >
        make it one of your own
      </Link>
      : you say what it trains, and it can be planned and logged.
    </p>
  )
}
