export type Fault = { field: string; message: string }

/** What an error says is wrong with single fields; most errors say nothing of the kind. */
export function faultsOf(error: unknown): Fault[] {
  return (error as { faults?: Fault[] } | null)?.faults ?? []
}
