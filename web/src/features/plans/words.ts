import type { Loading, Prescription } from '../../api/client'
import { trim } from '../../quantity/number'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
]

export function weekdayShort(weekday: number): string {
  return (WEEKDAYS[weekday - 1] ?? '').slice(0, 3)
}

/** "8–12", or "10" where both ends are alike. */
export function range(low: number, high: number): string {
  return low === high ? String(low) : `${low}–${high}`
}

/** "4 × 8–12, 2 in reserve, drops": sets, repetitions, repetitions left in reserve, what follows at once. */
export function prescriptionWords(asked: Prescription): string {
  const drops = asked.drops ? ', drops' : ''
  return `${setsWords(asked)}, ${trim(asked.reserve, 1)} in reserve${drops}`
}

/** "3 × 8–12". */
export function setsWords(asked: Prescription): string {
  return `${asked.sets} × ${range(asked.repetitionsLow, asked.repetitionsHigh)}`
}

/** "2-0-1-0": lowering, low end, lifting, top end, in seconds. */
export function tempoWords(prescriptionDocument: Prescription): string {
  const tempoDocument = prescriptionDocument.tempo
  return [tempoDocument.loweringS, tempoDocument.lowS, tempoDocument.liftingS, tempoDocument.topS]
    .map((s) => trim(s, 1))
    .join('-')
}

/** How a load is made: plates on each side, or nothing to say. */
export function platesWords(loading: Loading, unit: MassUnit): string {
  if (loading.kind !== 'PLATES') return ''
  if (loading.perSide.length === 0) return loading.emptyKg > 0 ? 'the empty bar' : 'no plates'
  return `${loading.perSide.map((k) => mass(k, unit)).join(' + ')} a side`
}

/** The loads of a set after another, "3 at 60, 1 at 62.5": alike ones together; empty where none is known. */
export function loadsWords(loads: (Loading | undefined)[], unit: MassUnit): string {
  const runs: { kg: number; n: number }[] = []
  for (const load of loads) {
    if (!load) continue
    const last = runs.at(-1)
    if (last && last.kg === load.kg) last.n++
    else runs.push({ kg: load.kg, n: 1 })
  }
  if (runs.length === 1) return `${mass(runs[0]!.kg, unit)} ${unit}`
  return (
    runs.map((run) => `${run.n} at ${mass(run.kg, unit)}`).join(', ') +
    (runs.length > 0 ? ` ${unit}` : '')
  )
}
