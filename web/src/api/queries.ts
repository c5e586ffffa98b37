import { useQuery } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import { answer, api } from './client'
import type { Schemas } from './client'

export const keys = {
  catalogue: ['catalogue'] as const,
  pictures: ['pictures'] as const,
  search: (text: string) => ['search', text] as const,
  clients: ['clients'] as const,
  today: ['today'] as const,
  gyms: ['gyms'] as const,
  removedGyms: ['gyms', 'removed'] as const,
  sessions: (clientId?: string) => ['sessions', clientId ?? 'all'] as const,
  session: (id: string) => ['session', id] as const,
  order: (brief: Schemas['BriefInput']) => ['order', brief] as const,
  bySchool: (brief: Schemas['BriefInput']) => ['order', 'schools', brief] as const,
  schools: ['schools'] as const,
  claims: (school: string) => ['claims', school] as const,
  studies: ['studies'] as const,
  measuring: (brief: Schemas['BriefInput']) => ['order', 'measuring', brief] as const,
  measurements: (clientId: string) => ['measurements', clientId] as const,
  technique: (clientId: string) => ['technique', clientId] as const,
  lifts: (clientId: string) => ['lifts', clientId] as const,
  machines: (gymId: string) => ['machines', gymId] as const,
  machinesWorth: (brief: Schemas['BriefInput']) => ['order', 'machines', brief] as const,
  account: ['account'] as const,
  signedIn: ['account', 'sessions'] as const,
  weeks: (clientId?: string) => ['weeks', clientId ?? 'all'] as const,
  week: (id: string) => ['week', id] as const,
  weekStep: (id: string, version: number, step: number) =>
    ['week', id, 'step', version, step] as const,
  planning: ['planning'] as const,
  offers: (id: string) => ['week', id, 'offers'] as const,
  swaps: (id: string, item: string, taken: string, hurting: string) =>
    ['week', id, 'swaps', item, taken, hurting] as const,
  shortfall: (id: string, version: number) => ['week', id, 'shortfall', version] as const,
  figure: (id: string, candidateId: string) => ['week', id, 'figure', candidateId] as const,
  starts: (candidateId?: string) => ['starts', candidateId ?? 'all'] as const,
  bench: (input: Schemas['BenchInput']) => ['bench', input] as const,
}

/** Everything that is computed for a client or read from the record. */
const OF_A_CLIENT = ['clients', 'order', 'bench', 'session', 'week', 'record'] as const

/** Everything that is computed with a gym's machines and plates. */
const OF_A_GYM = ['gyms', 'order', 'bench', 'session', 'week', 'record'] as const

const stale = (queries: QueryClient, roots: readonly string[]) =>
  roots.forEach((root) => void queries.invalidateQueries({ queryKey: [root] }))

/** A client's body, cautions, readings or lifts have changed. */
export const afterClientChanged = (queries: QueryClient) => stale(queries, OF_A_CLIENT)

/** A gym's equipment, measured values or plates have changed. */
export const afterGymChanged = (queries: QueryClient) => stale(queries, OF_A_GYM)

/** What the coach says of an own exercise has changed: weeks count by it, and names follow. */
export async function afterExerciseChanged(queries: QueryClient) {
  await queries.invalidateQueries({ queryKey: keys.catalogue })
  stale(queries, ['search', 'session', 'sessions', 'week', 'record'])
}

/** Somebody else is at the screen: what the one before asked for is not theirs. */
export const forgetTheLastCoach = (queries: QueryClient) =>
  queries.removeQueries({ predicate: (query) => query.queryKey[0] !== keys.account[0] })

export const useCatalogue = () =>
  useQuery({
    queryKey: keys.catalogue,
    queryFn: () => answer(api.GET('/api/catalogue')),
    staleTime: Infinity,
  })

/** Small pictures of the exercises; the same for everybody, for good. */
export const usePictures = () =>
  useQuery({
    queryKey: keys.pictures,
    queryFn: () => answer(api.GET('/api/pictures')),
    staleTime: Infinity,
    gcTime: Infinity,
    retry: false,
  })

export const useClients = (enabled = true) =>
  useQuery({ queryKey: keys.clients, queryFn: () => answer(api.GET('/api/clients')), enabled })

/** What waits, on the day that it is where the coach is. */
export const useToday = () =>
  useQuery({
    queryKey: keys.today,
    queryFn: () => answer(api.GET('/api/today')),
    staleTime: 0, // what waits changes with every act in the other rooms
  })

export const useGyms = () =>
  useQuery({ queryKey: keys.gyms, queryFn: () => answer(api.GET('/api/gyms')) })

/** Gyms that were taken out: to put them back. */
export const useRemovedGyms = () =>
  useQuery({
    queryKey: keys.removedGyms,
    queryFn: () => answer(api.GET('/api/gyms', { params: { query: { removed: true } } })),
  })

export const fetchSessions = (clientId?: string) =>
  answer(api.GET('/api/sessions', { params: { query: clientId ? { clientId } : {} } }))

export const fetchSession = (id: string) =>
  answer(api.GET('/api/sessions/{id}', { params: { path: { id } } }))

export const useSessions = (clientId?: string, enabled = true) =>
  useQuery({ queryKey: keys.sessions(clientId), queryFn: () => fetchSessions(clientId), enabled })

export const useSession = (id: string) =>
  useQuery({ queryKey: keys.session(id), queryFn: () => fetchSession(id) })

/** The order for a brief; the old order stays in sight while a new one is computed. */
export const useOrder = (brief: Schemas['BriefInput'] | null) =>
  useQuery({
    queryKey: keys.order(brief ?? {}),
    queryFn: ({ signal }) => answer(api.POST('/api/orders', { body: brief!, signal })),
    enabled: brief !== null,
    placeholderData: (previous) => previous,
  })

export const postBench = (input: Schemas['BenchInput'], signal?: AbortSignal) =>
  answer(api.POST('/api/bench', { body: input, signal }))

/** The best set-up for the aim; some seconds of work for the server. */
export const postBest = (input: Schemas['AimedSideInput'], signal?: AbortSignal) =>
  answer(api.POST('/api/bench/best', { body: input, signal }))

/** What one natural step of each control does; asked once the hand rests. */
export const postSteps = (input: Schemas['AimedSideInput'], signal?: AbortSignal) =>
  answer(api.POST('/api/bench/steps', { body: input, signal }))

export const useBenchOnce = (input: Schemas['BenchInput'] | null) =>
  useQuery({
    queryKey: keys.bench(input ?? {}),
    queryFn: ({ signal }) => postBench(input!, signal),
    enabled: input !== null,
    placeholderData: (previous) => previous,
  })

/** Places by every school; asked once the order itself is there. */
export const useBySchool = (brief: Schemas['BriefInput'] | null, enabled: boolean) =>
  useQuery({
    queryKey: keys.bySchool(brief ?? {}),
    queryFn: ({ signal }) => answer(api.POST('/api/orders/schools', { body: brief!, signal })),
    enabled: enabled && brief !== null,
  })

export const useSchools = () =>
  useQuery({ queryKey: keys.schools, queryFn: () => answer(api.GET('/api/schools')) })

export const useClaims = (school: string) =>
  useQuery({
    queryKey: keys.claims(school),
    queryFn: () => answer(api.GET('/api/claims', { params: { query: { school } } })),
    staleTime: Infinity,
    placeholderData: (previous) => previous,
  })

/** What the coach's own clients said of claims. */
export const usePractice = () =>
  useQuery({
    queryKey: ['practice'],
    queryFn: () => answer(api.GET('/api/claims/practice')),
    staleTime: 60_000,
  })

export const useStudies = () =>
  useQuery({
    queryKey: keys.studies,
    queryFn: () => answer(api.GET('/api/studies')),
    staleTime: Infinity,
  })

/** Which missing measurements would move this order; asked once the order itself is there. */
export const useMeasuring = (brief: Schemas['BriefInput'] | null, enabled: boolean) =>
  useQuery({
    queryKey: keys.measuring(brief ?? {}),
    queryFn: ({ signal }) => answer(api.POST('/api/orders/measuring', { body: brief!, signal })),
    enabled: enabled && brief !== null,
    staleTime: 60_000,
  })

export const useMeasurements = (clientId: string) =>
  useQuery({
    queryKey: keys.measurements(clientId),
    queryFn: () =>
      answer(api.GET('/api/clients/{clientId}/measurements', { params: { path: { clientId } } })),
  })

/** What pictures told of a client's technique, and what can be marked. */
export const useTechnique = (clientId: string) =>
  useQuery({
    queryKey: keys.technique(clientId),
    queryFn: () =>
      answer(api.GET('/api/clients/{clientId}/technique', { params: { path: { clientId } } })),
  })

export const useLifts = (clientId: string) =>
  useQuery({
    queryKey: keys.lifts(clientId),
    queryFn: () =>
      answer(api.GET('/api/clients/{clientId}/lifts', { params: { path: { clientId } } })),
  })

export const useMachines = (gymId: string) =>
  useQuery({
    queryKey: keys.machines(gymId),
    queryFn: () => answer(api.GET('/api/gyms/{gymId}/machines', { params: { path: { gymId } } })),
  })

/** Which generic values of this gym's machines would move this order. */
export const useMachinesWorth = (brief: Schemas['BriefInput'] | null, enabled: boolean) =>
  useQuery({
    queryKey: keys.machinesWorth(brief ?? {}),
    queryFn: ({ signal }) => answer(api.POST('/api/orders/machines', { body: brief!, signal })),
    enabled: enabled && brief !== null,
    staleTime: 60_000,
  })

export const useAccount = () =>
  useQuery({
    queryKey: keys.account,
    queryFn: () => answer(api.GET('/api/account')),
    staleTime: Infinity,
  })

export const useStarts = (candidateId?: string) =>
  useQuery({
    queryKey: keys.starts(candidateId),
    queryFn: () =>
      answer(api.GET('/api/starts', { params: { query: candidateId ? { candidateId } : {} } })),
    staleTime: Infinity,
  })

export const useWeeks = (clientId?: string) =>
  useQuery({
    queryKey: keys.weeks(clientId),
    queryFn: () =>
      answer(api.GET('/api/weeks', { params: { query: clientId ? { clientId } : {} } })),
  })

export const useWeek = (id: string) =>
  useQuery({
    queryKey: keys.week(id),
    queryFn: () => answer(api.GET('/api/weeks/{id}', { params: { path: { id } } })),
  })

/** What can be chosen in planning: schemes, ways to take turns, lengths of a block. */
export const usePlanning = () =>
  useQuery({
    queryKey: keys.planning,
    queryFn: () => answer(api.GET('/api/weeks/planning')),
    staleTime: Infinity,
  })

export const useOffers = (id: string, enabled: boolean) =>
  useQuery({
    queryKey: keys.offers(id),
    queryFn: () => answer(api.GET('/api/weeks/{id}/offers', { params: { path: { id } } })),
    enabled,
    staleTime: 60_000,
  })

export const useSwaps = (
  id: string,
  itemId: string,
  taken: string[],
  hurting: string[],
  enabled: boolean,
) =>
  useQuery({
    queryKey: keys.swaps(id, itemId, taken.join(), hurting.join()),
    queryFn: () =>
      answer(
        api.GET('/api/weeks/{id}/items/{itemId}/swaps', {
          params: {
            path: { id, itemId },
            query: {
              ...(taken.length > 0 ? { taken } : {}),
              ...(hurting.length > 0
                ? { hurting: hurting as ('KNEE' | 'HIP' | 'LOWER_BACK' | 'ANKLE' | 'SHOULDER')[] }
                : {}),
            },
          },
        }),
      ),
    enabled,
    placeholderData: (previous) => previous,
  })

/** Why a week falls short; some seconds of solver, asked when the coach asks. */
export const useShortfall = (id: string, version: number, enabled: boolean) =>
  useQuery({
    queryKey: keys.shortfall(id, version),
    queryFn: ({ signal }) =>
      answer(api.GET('/api/weeks/{id}/shortfall', { params: { path: { id } }, signal })),
    enabled,
    staleTime: Infinity,
  })

export const useWeekStep = (id: string, version: number, step: number | null) =>
  useQuery({
    queryKey: keys.weekStep(id, version, step ?? 0),
    queryFn: () =>
      answer(api.GET('/api/weeks/{id}/steps/{step}', { params: { path: { id, step: step! } } })),
    enabled: step !== null,
  })

export const useFigure = (id: string, candidateId: string) => {
  const [exerciseId, variant] = candidateId.split('/')
  return useQuery({
    queryKey: keys.figure(id, candidateId),
    queryFn: () =>
      answer(
        api.GET('/api/weeks/{id}/figures/{exerciseId}/{variant}', {
          params: { path: { id, exerciseId: exerciseId!, variant: variant! } },
        }),
      ),
    staleTime: Infinity,
  })
}

/** With which week of a block to go on after some were missed. */
export const useMissed = (id: string, lastDone: number, weeksMissed: number) =>
  useQuery({
    queryKey: ['week', id, 'missed', lastDone, weeksMissed],
    queryFn: () =>
      answer(
        api.GET('/api/weeks/{id}/missed', {
          params: { path: { id }, query: { lastDone, weeksMissed } },
        }),
      ),
    enabled: weeksMissed > 0,
  })

export const useRecord = (clientId: string) =>
  useQuery({
    queryKey: ['record', clientId],
    queryFn: () =>
      answer(api.GET('/api/clients/{clientId}/record', { params: { path: { clientId } } })),
  })

export const useSeries = (clientId: string, seriesId: string | undefined) =>
  useQuery({
    queryKey: ['record', clientId, 'series', seriesId],
    queryFn: () =>
      answer(
        api.GET('/api/clients/{clientId}/record/series/{seriesId}', {
          params: { path: { clientId, seriesId: seriesId! } },
        }),
      ),
    enabled: seriesId !== undefined,
  })

export const useRecordWeeks = (clientId: string, weeks: number) =>
  useQuery({
    queryKey: ['record', clientId, 'weeks', weeks],
    queryFn: () =>
      answer(
        api.GET('/api/clients/{clientId}/record/weeks', {
          params: { path: { clientId }, query: { weeks } },
        }),
      ),
  })

export const useSaid = (clientId: string) =>
  useQuery({
    queryKey: ['record', clientId, 'said'],
    queryFn: () =>
      answer(api.GET('/api/clients/{clientId}/record/said', { params: { path: { clientId } } })),
  })

export const useLessons = (clientId: string) =>
  useQuery({
    queryKey: ['record', clientId, 'lessons'],
    queryFn: () =>
      answer(api.GET('/api/clients/{clientId}/record/lessons', { params: { path: { clientId } } })),
  })
