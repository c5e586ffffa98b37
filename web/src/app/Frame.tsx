import { Suspense, useCallback, useMemo, useState } from 'react'
import { Link, Outlet, useLocation } from 'react-router'
import { useAccount, useClients } from '../api/queries'
import { Gate } from '../features/account/Gate'
import { Find } from '../features/search/Find'
import { useUnits } from '../quantity/units'
import { Waiting } from '../ui/Notice'
import { Kept, about, keep, withBrief } from '../features/brief/keptBrief'
import { AsLastSeen } from './AsLastSeen'
import { Leaving } from './Leaving'
import { More } from './More'
import { NewVersion } from './NewVersion'
import { EVIDENCE, ROOMS, isCalled, roomOf, screenOf } from './rooms'
import type { Screen } from './rooms'
import { Shortcuts } from './Shortcuts'
import { useTheme } from './theme'
import { useFocusStays } from '../ui/useFocusStays'
import { useTitle } from './useTitle'

const HERE = 'font-semibold underline decoration-accent decoration-2 underline-offset-4'
const THERE = 'text-ink-2 hover:text-ink'

/** A link that only the keyboard finds. */
const SKIP = 'sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-2'

/** Six rooms, the client who stays from room to room, a search, and what lies behind. */
export function Frame() {
  const { search, pathname } = useLocation()
  const [theme, toggle] = useTheme()
  const [keys, setKeys] = useState(false)
  const units = useUnits()
  const [brief, setBrief] = useState(() => keep('', pathname, search))
  const now = keep(brief, pathname, search)
  if (now !== brief) setBrief(now)
  const isAbout = useCallback((client: string) => setBrief((kept) => about(kept, client)), [])
  const kept = useMemo(() => ({ brief: now, isAbout }), [now, isAbout])
  const room = roomOf(pathname)
  const clientId = new URLSearchParams(now).get('client') ?? undefined
  const account = useAccount()
  const clients = useClients(account.data?.signedIn === true)
  const name = clients.data?.find((client) => client.id === clientId)?.name
  const screen = screenOf(pathname, clientId)?.label ?? room?.label
  useFocusStays()
  useTitle([screen, name, 'Istmo'].filter(Boolean).join(' · '))
  return (
    <Kept value={kept}>
      <div className="mx-auto flex min-h-dvh max-w-[1500px] flex-col px-4 pb-16 sm:pb-3 lg:h-dvh print:h-auto print:px-0">
        <a href="#main" className={SKIP}>
          To the content
        </a>
        {pathname === '/exercises' && (
          <a href="#first" className={SKIP}>
            To the first exercise
          </a>
        )}
        <header className="no-print flex flex-wrap items-baseline gap-x-5 border-b-2 border-ink py-1">
          <span className="font-serif text-xl font-semibold tracking-tight">Istmo</span>
          <Rooms brief={now} here={room?.label} className="hidden gap-x-5 sm:flex" />
          <span className="ml-auto flex items-baseline gap-4 text-sm">
            {clientId && name && (
              <Link
                to={`/clients/${clientId}`}
                className="max-w-40 truncate font-semibold hover:underline"
                title="To this client's page"
              >
                {name}
              </Link>
            )}
            <Find
              brief={now}
              screens={(text) =>
                findable(now, clientId).filter((otherScreen) => isCalled(otherScreen, text))
              }
            />
            <More
              brief={now}
              dark={theme === 'dark'}
              onPaper={toggle}
              onKeys={() => setKeys(true)}
            />
            <Shortcuts brief={now} open={keys} onOpen={setKeys} />
          </span>
        </header>
        <Screens pathname={pathname} brief={now} clientId={clientId} />
        <AsLastSeen />
        <main
          id="main"
          className="-mx-1 flex min-h-0 flex-1 flex-col px-1 pt-1.5 lg:overflow-auto print:overflow-visible"
        >
          <Suspense fallback={<Waiting what="Loading" />}>
            <Gate>
              <Outlet key={units} />
            </Gate>
          </Suspense>
        </main>
        <NewVersion />
        <Leaving />
        <Caution />
        <Rooms
          brief={now}
          here={room?.label}
          className="no-print fixed inset-x-0 bottom-0 z-30 grid grid-cols-6 border-t-2 border-ink bg-paper text-center sm:hidden"
          tall
        />
      </div>
    </Kept>
  )
}

function Rooms({
  brief,
  here,
  className,
  tall = false,
}: {
  brief: string
  here: string | undefined
  className: string
  tall?: boolean
}) {
  return (
    <nav aria-label="Rooms" className={className}>
      {ROOMS.map((room) => (
        <Link
          key={room.to}
          to={withBrief(room.to, brief)}
          aria-current={here === room.label ? 'page' : undefined}
          className={`${tall ? 'flex min-h-12 items-center justify-center text-xs' : 'py-1 text-base'} ${here === room.label ? HERE : THERE}`}
        >
          {room.label}
        </Link>
      ))}
    </nav>
  )
}

/** The screens of the room, or those that lie behind. */
function Screens({
  pathname,
  brief,
  clientId,
}: {
  pathname: string
  brief: string
  clientId: string | undefined
}) {
  const room = roomOf(pathname)
  const screens = room
    ? room.screens(clientId)
    : EVIDENCE.some((screen) => pathname.startsWith(screen.to))
      ? EVIDENCE
      : []
  const here = screenOf(pathname, clientId)
  if (screens.length === 0) return null
  return (
    <nav
      aria-label={room?.label ?? 'What the rankings rest on'}
      className="no-print flex flex-wrap gap-x-4 border-b border-rule text-sm"
    >
      {screens.map((screen) => (
        <Link
          key={screen.label}
          to={withBrief(screen.to, brief)}
          aria-current={here?.label === screen.label ? 'page' : undefined}
          className={`py-1 ${here?.label === screen.label ? 'font-semibold text-ink' : THERE}`}
        >
          {screen.label}
        </Link>
      ))}
    </nav>
  )
}

/** Rooms and screens by their names, for the search. */
function findable(brief: string, clientId: string | undefined): Screen[] {
  const all: Screen[] = ROOMS.flatMap((room) => {
    const screens = room.screens(clientId)
    return screens.some((screen) => screen.to === room.to) ? screens : [room, ...screens]
  })
  return [...all, ...EVIDENCE].map((screen) => ({ ...screen, to: withBrief(screen.to, brief) }))
}

/** Said on every page that a coach or a client reads. */
export function Caution() {
  return (
    <footer className="no-print border-t border-rule pt-1 text-xs text-ink-2">
      Coaching is not treatment. Pain that is sharp, new, at rest, with swelling, locking or
      numbness: stop, and see a licensed clinician.
    </footer>
  )
}
