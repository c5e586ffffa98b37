import createClient from 'openapi-fetch'
import { allInUnits, inUnits } from '../quantity/units'
import { keepSeen, lastSeen } from './lastSeen'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Account = Schemas['AccountView']
export type Client = Schemas['ClientView']
export type Gym = Schemas['GymView']
export type Catalogue = Schemas['CatalogueView']
export type Region = Schemas['RegionView']
export type Exercise = Schemas['ExerciseView']
export type ByWord = Schemas['ByWordView']
export type Hit = Schemas['HitView']
export type Parameter = Schemas['ParameterView']
export type Order = Schemas['OrderView']
export type Entry = Schemas['EntryView']
export type Session = Schemas['SessionView']
export type SessionItem = Schemas['ItemView']
export type Bench = Schemas['BenchView']
export type BenchSide = Schemas['SideView']
export type Measurements = Schemas['MeasurementsView']
export type Technique = Schemas['TechniqueView']
export type PictureReading = Schemas['PictureReadingView']
export type Landmark = Schemas['LandmarkView']['landmark']
export type MeasuredKind = Schemas['KindView']
export type Machines = Schemas['MachinesView']
export type Machine = Schemas['MachineView']
export type MachineDetail = Schemas['DetailView']
export type Fit = Schemas['FitView']
export type Lifts = Schemas['LiftsView']
export type Load = Schemas['LoadView']
export type GadgetLink = Schemas['LinkView']
export type Drawing = Schemas['DrawingView']
export type Best = Schemas['BestView']
export type Step = Schemas['StepView']
export type School = Schemas['SchoolSettingsView']
export type SchoolPlaces = Schemas['SchoolPlacesView']
export type Claim = Schemas['ClaimView']
export type Practice = Schemas['PracticeView']
export type Finding = Schemas['FindingView']
export type Preset = Schemas['PresetView']
export type Criterion = Schemas['CriterionView']
export type Week = Schemas['PlanView']
export type WeekDay = Schemas['PlannedDayView']
export type WeekBout = Schemas['BoutView']
export type WeekItem = Schemas['PlannedItemView']
export type Coverage = Schemas['CoverageView']
export type Plan = Schemas['PlanDocument']
export type PlanDay = Schemas['DayDocument']
export type PlanItem = Schemas['ItemDocument']
export type Prescription = Schemas['PrescriptionDocument']
export type Planning = Schemas['PlanningView']
export type Segment = Schemas['SegmentView']
export type Loading = Schemas['LoadingView']
export type Swap = Schemas['SwapView']
export type Search = Schemas['SearchView']
export type Walk = Schemas['FloorView']
export type FloorItem = Schemas['FloorItemView']
export type FloorExercise = Schemas['FloorExerciseView']
export type FloorSet = Schemas['FloorSetView']
export type FloorSwap = Schemas['FloorSwapView']
export type FloorStep = Schemas['FloorStepView']
export type ClientRecord = Schemas['RecordView']
export type Series = Schemas['SeriesView']
export type Lesson = Schemas['LessonView']
export type Today = Schemas['TodayView']
export type Change = Schemas['ChangeInput']
export type ChangeResult = Schemas['ChangeResult']

export type Fault = { field: string; message: string }

/** An error that the server explained: what happened, and which fields are at fault. */
export class Problem extends Error {
  readonly status: number
  readonly faults: Fault[]
  /** by which the server's log knows what went wrong there */
  readonly requestId?: string

  constructor(status: number, detail: string, faults: Fault[], requestId?: string) {
    super(detail)
    this.status = status
    this.faults = faults
    this.requestId = requestId
  }

  /** What is wrong with one field, if anything. */
  fault(field: string): string | undefined {
    return this.faults.find((fault) => fault.field === field)?.message
  }
}

/** Told when the server no longer knows who is signed in, or this page: asking for the account again gives a fresh token. */
export const SIGNED_OUT = 'istmo:signed-out'

/** Sends a request as this page's own: with the token that the server gave it in a cookie. */
async function own(request: Request): Promise<Response> {
  const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1]
  if (token && request.method !== 'GET')
    request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token))
  let response: Response
  try {
    response = await globalThis.fetch(request)
  } catch (noAnswer) {
    const last = await lastSeen(request)
    if (last) return last
    throw noAnswer
  }
  // kept beside what goes on; a device that cannot keep it goes on without
  keepSeen(request, response.clone()).catch(() => undefined)
  if (
    (response.status === 401 || response.status === 403) &&
    !request.url.includes('/api/account/')
  )
    window.dispatchEvent(new Event(SIGNED_OUT))
  return response
}

export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: own })

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** The data of an answer, or a Problem thrown. */
export async function answer<T>(call: Promise<Answer<T>>): Promise<T> {
  let result: Answer<T>
  try {
    result = await call
  } catch (e) {
    if (e instanceof DOMException && e.name === 'AbortError') throw e
    throw new Problem(
      0,
      'The server does not answer. Nothing was lost here; try again when it is back.',
      [],
    )
  }
  if (result.response.ok) return allInUnits(result.data as T)
  const body = (typeof result.error === 'object' && result.error !== null ? result.error : {}) as {
    detail?: string
    faults?: Fault[]
    requestId?: string
  }
  throw new Problem(
    result.response.status,
    inUnits(body.detail ?? `The server answered ${result.response.status}.`),
    allInUnits(body.faults ?? []),
    body.requestId,
  )
}
