import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { Suspense, lazy, useEffect, useRef } from 'react'
import { flushSync } from 'react-dom'
import { createBrowserRouter, Outlet, RouterProvider } from 'react-router'
import type { RouteObject } from 'react-router'
import { TodayPage } from '../features/today/TodayPage'
import { Problem } from '../api/client'
import { Waiting } from '../ui/Notice'
import { Caution, Frame } from './Frame'
import { RouteFault } from './RouteFault'
import { useTheme } from './theme'
import { useFocusStays } from '../ui/useFocusStays'
import { useTitle } from './useTitle'
import { useUnits } from '../quantity/units'

const OrderPage = lazy(() =>
  import('../features/order/OrderPage').then((page) => ({ default: page.OrderPage })),
)
const ClientPage = lazy(() =>
  import('../features/clients/ClientPage').then((page) => ({ default: page.ClientPage })),
)
const BenchPage = lazy(() =>
  import('../features/bench/BenchPage').then((page) => ({ default: page.BenchPage })),
)
const ComparePage = lazy(() =>
  import('../features/compare/ComparePage').then((page) => ({ default: page.ComparePage })),
)
const PointByPointPage = lazy(() =>
  import('../features/compare/PointByPointPage').then((page) => ({
    default: page.PointByPointPage,
  })),
)
const ClaimsPage = lazy(() =>
  import('../features/claims/ClaimsPage').then((page) => ({ default: page.ClaimsPage })),
)
const SchoolsPage = lazy(() =>
  import('../features/schools/SchoolsPage').then((page) => ({ default: page.SchoolsPage })),
)
const ClientsPage = lazy(() =>
  import('../features/clients/ClientsPage').then((page) => ({ default: page.ClientsPage })),
)
const MeasurePage = lazy(() =>
  import('../features/clients/MeasurePage').then((page) => ({ default: page.MeasurePage })),
)
const PicturePage = lazy(() =>
  import('../features/pictures/PicturePage').then((page) => ({ default: page.PicturePage })),
)
const ExercisesPage = lazy(() =>
  import('../features/exercises/ExercisesPage').then((page) => ({ default: page.ExercisesPage })),
)
const GymsPage = lazy(() =>
  import('../features/gyms/GymsPage').then((page) => ({ default: page.GymsPage })),
)
const MachinesPage = lazy(() =>
  import('../features/gyms/MachinesPage').then((page) => ({ default: page.MachinesPage })),
)
const AccountPage = lazy(() =>
  import('../features/account/AccountPage').then((page) => ({ default: page.AccountPage })),
)
const PlansPage = lazy(() =>
  import('../features/plans/PlansPage').then((page) => ({ default: page.PlansPage })),
)
const PlanPage = lazy(() =>
  import('../features/plans/PlanPage').then((page) => ({ default: page.PlanPage })),
)
const SharedPage = lazy(() =>
  import('../features/plans/SharedPage').then((page) => ({ default: page.SharedPage })),
)
const ImportArchivePage = lazy(() =>
  import('../features/imports/ImportArchivePage').then((page) => ({
    default: page.ImportArchivePage,
  })),
)
const ImportSetsPage = lazy(() =>
  import('../features/imports/ImportSetsPage').then((page) => ({ default: page.ImportSetsPage })),
)
const RecordPage = lazy(() =>
  import('../features/record/RecordPage').then((page) => ({ default: page.RecordPage })),
)
const FloorPage = lazy(() =>
  import('../features/floor/FloorPage').then((page) => ({ default: page.FloorPage })),
)
const SessionsPage = lazy(() =>
  import('../features/sessions/SessionsPage').then((page) => ({ default: page.SessionsPage })),
)
const SessionPage = lazy(() =>
  import('../features/sessions/SessionPage').then((page) => ({ default: page.SessionPage })),
)

/** A page for whoever has its link: no screens, no account. */
function Outside() {
  const units = useUnits()
  return (
    <div className="mx-auto flex min-h-dvh max-w-[1500px] flex-col px-4 pb-3">
      <header className="border-b-2 border-ink py-1.5 font-serif text-xl font-semibold tracking-tight">
        Istmo
      </header>
      <main id="main" className="flex-1 pt-2">
        <Suspense fallback={<Waiting what="Loading" />}>
          <Outlet key={units} />
        </Suspense>
      </main>
      <Caution />
    </div>
  )
}

/** The floor has the whole telephone to itself. */
function OnTheFloor() {
  const units = useUnits()
  useTheme()
  useTitle('Train · Istmo')
  useFocusStays()
  return (
    <Suspense fallback={<Waiting what="Opening" />}>
      <FloorPage key={units} />
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
      { path: '/', element: <TodayPage /> },
      { path: '/exercises', element: <OrderPage /> },
      { path: '/bench', element: <BenchPage /> },
      { path: '/side-by-side', element: <ComparePage /> },
      { path: '/compare', element: <PointByPointPage /> },
      { path: '/claims', element: <ClaimsPage /> },
      { path: '/schools', element: <SchoolsPage /> },
      { path: '/clients', element: <ClientsPage /> },
      { path: '/clients/:id', element: <ClientPage /> },
      { path: '/clients/:id/body', element: <MeasurePage /> },
      { path: '/clients/:id/picture', element: <PicturePage /> },
      { path: '/clients/:id/bring', element: <ImportSetsPage /> },
      { path: '/clients/bring', element: <ImportArchivePage /> },
      { path: '/exercises/by-word', element: <ExercisesPage /> },
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
      networkMode: 'always', // what was seen last answers where no network does
    },
  },
})

/** What was answered is told in the units of its time; it is asked for again when they change. */
function useAnswersInUnits() {
  const units = useUnits()
  const before = useRef(units)
  useEffect(() => {
    if (before.current === units) return
    before.current = units
    void queries.resetQueries()
  }, [units])
}

export function App() {
  useAnswersInUnits()
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} flushSync={(work) => void flushSync(work)} />
    </QueryClientProvider>
  )
}
