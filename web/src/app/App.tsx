import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useState } from 'react'
import { flushSync } from 'react-dom'
import { createBrowserRouter, NavLink, Outlet, RouterProvider, useLocation } from 'react-router'
import type { RouteObject } from 'react-router'
import { HomePage } from '../features/order/HomePage'
import { Gate } from '../features/account/Gate'
import { Problem } from '../api/client'
import { useAccount } from '../api/queries'
import { Waiting } from '../ui/Notice'
import { NewVersion } from './NewVersion'
import { RouteFault } from './RouteFault'
import { Shortcuts } from './Shortcuts'
import { useTheme } from './theme'

const BenchPage = lazy(() =>
  import('../features/bench/BenchPage').then((m) => ({ default: m.BenchPage })),
)
const ComparePage = lazy(() =>
  import('../features/compare/ComparePage').then((m) => ({ default: m.ComparePage })),
)
const PointByPointPage = lazy(() =>
  import('../features/compare/PointByPointPage').then((m) => ({ default: m.PointByPointPage })),
)
const ClaimsPage = lazy(() =>
  import('../features/claims/ClaimsPage').then((m) => ({ default: m.ClaimsPage })),
)
const SchoolsPage = lazy(() =>
  import('../features/schools/SchoolsPage').then((m) => ({ default: m.SchoolsPage })),
)
const ClientsPage = lazy(() =>
  import('../features/clients/ClientsPage').then((m) => ({ default: m.ClientsPage })),
)
const MeasurePage = lazy(() =>
  import('../features/clients/MeasurePage').then((m) => ({ default: m.MeasurePage })),
)
const GymsPage = lazy(() =>
  import('../features/gyms/GymsPage').then((m) => ({ default: m.GymsPage })),
)
const MachinesPage = lazy(() =>
  import('../features/gyms/MachinesPage').then((m) => ({ default: m.MachinesPage })),
)
const AccountPage = lazy(() =>
  import('../features/account/AccountPage').then((m) => ({ default: m.AccountPage })),
)
const PlansPage = lazy(() =>
  import('../features/plans/PlansPage').then((m) => ({ default: m.PlansPage })),
)
const PlanPage = lazy(() =>
  import('../features/plans/PlanPage').then((m) => ({ default: m.PlanPage })),
)
const SharedPage = lazy(() =>
  import('../features/plans/SharedPage').then((m) => ({ default: m.SharedPage })),
)
const ImportArchivePage = lazy(() =>
  import('../features/imports/ImportArchivePage').then((m) => ({ default: m.ImportArchivePage })),
)
const ImportSetsPage = lazy(() =>
  import('../features/imports/ImportSetsPage').then((m) => ({ default: m.ImportSetsPage })),
)
const RecordPage = lazy(() =>
  import('../features/record/RecordPage').then((m) => ({ default: m.RecordPage })),
)
const FloorPage = lazy(() =>
  import('../features/floor/FloorPage').then((m) => ({ default: m.FloorPage })),
)
const SessionsPage = lazy(() =>
  import('../features/sessions/SessionsPage').then((m) => ({ default: m.SessionsPage })),
)
const SessionPage = lazy(() =>
  import('../features/sessions/SessionPage').then((m) => ({ default: m.SessionPage })),
)

const SCREENS = [
  { to: '/', label: 'Order', keepsBrief: true },
  { to: '/bench', label: 'Bench', keepsBrief: true },
  { to: '/compare', label: 'Compare', keepsBrief: true },
  { to: '/side-by-side', label: 'Side by side', keepsBrief: true },
  { to: '/claims', label: 'Claims', keepsBrief: true },
  { to: '/schools', label: 'Schools', keepsBrief: true },
  { to: '/clients', label: 'Clients', keepsBrief: false },
  { to: '/gyms', label: 'Gyms', keepsBrief: true },
  { to: '/weeks', label: 'Week', keepsBrief: true },
  { to: '/sessions', label: 'Sessions', keepsBrief: false },
  { to: '/floor', label: 'Floor', keepsBrief: false },
  { to: '/record', label: 'Record', keepsBrief: false },
]

const BRIEF_KEYS = ['client', 'gym', 'aim', 'out', 'school', 'for', 'w', 'stiff', 'candidate']

/** The part of an address that says the brief, so that it goes along from screen to screen. */
function briefOf(search: string): string {
  const from = new URLSearchParams(search)
  const p = new URLSearchParams()
  for (const key of BRIEF_KEYS) {
    const v = from.get(key)
    if (v) p.set(key, v)
  }
  return p.toString()
}

/** Who is signed in; the demo says that it signed in by itself. */
function AccountLink() {
  const account = useAccount()
  if (!account.data?.signedIn) return null
  return (
    <NavLink
      to="/account"
      className="text-ink-2 hover:text-ink"
      title={account.data.demo ? 'The demo signs in by itself, on this machine only' : undefined}
    >
      {account.data.demo ? 'Demo, signed in by itself' : account.data.name}
    </NavLink>
  )
}

/** A page for whoever has its link: no screens, no account. */
function Outside() {
  return (
    <div className="mx-auto flex min-h-dvh max-w-[1500px] flex-col px-4 pb-3">
      <header className="border-b-2 border-ink py-1.5 font-serif text-xl font-semibold tracking-tight">
        Istmo
      </header>
      <main id="main" className="flex-1 pt-2">
        <Suspense fallback={<Waiting what="Loading" />}>
          <Outlet />
        </Suspense>
      </main>
      <Caution />
    </div>
  )
}

function Caution() {
  return (
    <footer className="no-print border-t border-rule pt-1 text-xs text-ink-2">
      Coaching is not treatment. Pain that is sharp, new, at rest, with swelling, locking or
      numbness: stop, and see a licensed clinician.
    </footer>
  )
}

function Frame() {
  const { search, pathname } = useLocation()
  const [theme, toggle] = useTheme()
  const [brief, setBrief] = useState(() => briefOf(search))
  const now = briefOf(search)
  if (now !== '' && now !== brief) setBrief(now)
  useEffect(() => {
    const screen = SCREENS.find((s) => s.to !== '/' && pathname.startsWith(s.to))
    document.title = `${screen?.label ?? 'Order'} · Istmo`
  }, [pathname])
  return (
    <div className="mx-auto flex min-h-dvh max-w-[1500px] flex-col px-4 pb-3 lg:h-dvh print:h-auto print:px-0">
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-2"
      >
        To the content
      </a>
      <header className="no-print flex flex-wrap items-baseline gap-x-5 border-b-2 border-ink py-1.5">
        <span className="font-serif text-xl font-semibold tracking-tight">Istmo</span>
        <nav aria-label="Screens" className="flex flex-wrap gap-x-4 text-sm">
          {SCREENS.map((s) => (
            <NavLink
              key={s.to}
              to={s.keepsBrief && brief ? `${s.to}?${brief}` : s.to}
              end={s.to === '/'}
              className={({ isActive }) =>
                `py-1 ${isActive ? 'font-semibold underline decoration-accent decoration-2 underline-offset-4' : 'text-ink-2 hover:text-ink'}`
              }
            >
              {s.label}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto flex items-baseline gap-3 text-sm">
          <AccountLink />
          <Shortcuts />
          <button type="button" className="text-ink-2 hover:text-ink" onClick={toggle}>
            {theme === 'dark' ? 'Light paper' : 'Dark paper'}
          </button>
        </span>
      </header>
      <main
        id="main"
        className="-mx-1 flex min-h-0 flex-1 flex-col px-1 pt-2 lg:overflow-auto print:overflow-visible"
      >
        <Suspense fallback={<Waiting what="Loading" />}>
          <Gate>
            <Outlet />
          </Gate>
        </Suspense>
      </main>
      <NewVersion />
      <Caution />
    </div>
  )
}

/** The floor has the whole telephone to itself. */
function OnTheFloor() {
  useTheme()
  useEffect(() => {
    document.title = 'Floor · Istmo'
  }, [])
  return (
    <Suspense fallback={<Waiting what="Opening" />}>
      <FloorPage />
    </Suspense>
  )
}

/** Screens whose faults leave the frame standing, so that there is a way on. */
const framed = (screens: RouteObject[]): RouteObject[] =>
  screens.map((screen) => ({ ...screen, errorElement: <RouteFault /> }))

const missing = () => {
  // eslint-disable-next-line @typescript-eslint/only-throw-error -- the router's own way to say 404
  throw new Response(null, { status: 404 })
}

const router = createBrowserRouter([
  { path: '/floor', element: <OnTheFloor />, errorElement: <RouteFault /> },
  { path: '/floor/:id', element: <OnTheFloor />, errorElement: <RouteFault /> },
  {
    element: <Outside />,
    errorElement: <RouteFault />,
    children: [{ path: '/shared/:token', element: <SharedPage />, errorElement: <RouteFault /> }],
  },
  {
    element: <Frame />,
    errorElement: <RouteFault />,
    children: framed([
      { path: '/', element: <HomePage /> },
      { path: '/bench', element: <BenchPage /> },
      { path: '/side-by-side', element: <ComparePage /> },
      { path: '/compare', element: <PointByPointPage /> },
      { path: '/claims', element: <ClaimsPage /> },
      { path: '/schools', element: <SchoolsPage /> },
      { path: '/clients', element: <ClientsPage /> },
      { path: '/clients/:id', element: <MeasurePage /> },
      { path: '/clients/:id/bring', element: <ImportSetsPage /> },
      { path: '/clients/bring', element: <ImportArchivePage /> },
      { path: '/gyms', element: <GymsPage /> },
      { path: '/gyms/:id', element: <MachinesPage /> },
      { path: '/account', element: <AccountPage /> },
      { path: '/weeks', element: <PlansPage /> },
      { path: '/weeks/:id', element: <PlanPage /> },
      { path: '/record', element: <RecordPage /> },
      { path: '/record/:clientId', element: <RecordPage /> },
      { path: '/sessions', element: <SessionsPage /> },
      { path: '/sessions/:id', element: <SessionPage /> },
      { path: '*', loader: missing },
    ]),
  },
])

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) =>
        count < 2 && !(error instanceof Problem && error.status >= 400 && error.status < 500),
      staleTime: 10_000,
    },
  },
})

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} flushSync={(work) => void flushSync(work)} />
    </QueryClientProvider>
  )
}
