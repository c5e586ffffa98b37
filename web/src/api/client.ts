import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Client = Schemas['ClientView']
export type Gym = Schemas['GymView']
export type Catalogue = Schemas['CatalogueView']
export type Region = Schemas['RegionView']
export type Exercise = Schemas['ExerciseView']
export type Parameter = Schemas['ParameterView']
export type Order = Schemas['OrderView']
export type Entry = Schemas['EntryView']
export type Session = Schemas['SessionView']
export type SessionItem = Schemas['ItemView']
export type Bench = Schemas['BenchView']
export type BenchSide = Schemas['SideView']
export type Measurements = Schemas['MeasurementsView']
export type MeasuredKind = Schemas['KindView']
export type Drawing = Schemas['DrawingView']

export type Fault = { field: string; message: string }

/** An error that the server explained: what happened, and which fields are at fault. */
export class Problem extends Error {
  readonly status: number
  readonly faults: Fault[]

  constructor(status: number, detail: string, faults: Fault[]) {
    super(detail)
    this.status = status
    this.faults = faults
  }

  /** What is wrong with one field, if anything. */
  fault(field: string): string | undefined {
    return this.faults.find((f) => f.field === field)?.message
  }
}

export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: (request) => globalThis.fetch(request) })

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** The data of an answer, or a Problem thrown. */
export async function answer<T>(call: Promise<Answer<T>>): Promise<T> {
  let result: Answer<T>
  try {
    result = await call
  } catch (e) {
    if (e instanceof DOMException && e.name === 'AbortError') throw e
    throw new Problem(0, 'The server does not answer. Nothing was lost here; try again when it is back.', [])
  }
  if (result.response.ok) return result.data as T
  const body = (typeof result.error === 'object' && result.error !== null ? result.error : {}) as { detail?: string; faults?: Fault[] }
  throw new Problem(result.response.status, body.detail ?? `The server answered ${result.response.status}.`, body.faults ?? [])
}
