import type { Series } from '../../api/client'
import { trim } from '../../quantity/number'
import { mass } from '../../quantity/units'
import type { MassUnit } from '../../quantity/units'

type RecordedSet = Series['outings'][number]['sets'][number]

/** "60 kg × 10, 9, 8; left 15 kg × 8": sets with one load together, what was not as asked and what hurt said once. */
export function outingWords(sets: RecordedSet[], unit: MassUnit): string {
  const runs: { head: string; repetitions: string[] }[] = []
  for (const set of sets) {
    const head = `${set.kind === 'DROP' ? 'drop ' : ''}${set.side === 'NONE' ? '' : set.side === 'LEFT' ? 'left ' : 'right '}${set.loadKg > 0 ? `${mass(set.loadKg, unit)} ${unit}` : 'body'}`
    const last = runs.at(-1)
    if (last?.head === head) last.repetitions.push(String(set.repetitions))
    else runs.push({ head, repetitions: [String(set.repetitions)] })
  }
  const words = [runs.map((run) => `${run.head} × ${run.repetitions.join(', ')}`).join('; ')]
  const reserve = [...new Set(sets.map((set) => trim(set.reserve, 1)))]
  words.push(`${reserve.join('/')} in reserve`)
  if (sets.some((set) => set.range === 'SHORT')) words.push('short range')
  if (sets.some((set) => set.tempoKept === false)) words.push('tempo not kept')
  const pain = Math.max(0, ...sets.map((set) => set.pain ?? 0))
  if (pain > 0) words.push(`pain ${pain}`)
  return words.join(' · ')
}
