import { Link } from 'react-router'

const LINK = 'text-accent-2 underline'

/** What a coach does first: a client, a gym, what should grow. */
export function FirstSteps({ clients, gyms }: { clients: number; gyms: number }) {
  return (
    <section aria-label="First steps">
      <h2 className="border-b border-ink text-lg">Three steps to the first session</h2>
      <ol className="list-decimal space-y-2 py-2 pl-6 text-base">
        <li className={clients > 0 ? 'text-ink-2' : ''}>
          {clients > 0 ? (
            'A client is there.'
          ) : (
            <>
              <Link className={LINK} to="/clients?change=new">
                Take in a client
              </Link>
              : name, height, weight. Sixty seconds.
            </>
          )}
        </li>
        <li className={gyms > 0 ? 'text-ink-2' : ''}>
          {gyms > 0 ? (
            'A gym is there.'
          ) : (
            <>
              <Link className={LINK} to="/gyms">
                Tick what a gym has
              </Link>
              . Usual values stand in for what is not measured.
            </>
          )}
        </li>
        <li>
          {clients > 0 && gyms > 0 ? (
            <Link className={LINK} to="/exercises">
              Say what should grow
            </Link>
          ) : (
            'Say what should grow'
          )}
          : the exercises come in order for this body in this gym.
        </li>
      </ol>
    </section>
  )
}
