import type { Series } from '../../api/client'
import { trim } from '../../quantity/format'
import { mass } from '../plans/words'
import type { MassUnit } from '../plans/words'

type RecordedSet = Series['outings'][number]['sets'][number]

/** "60 × 10, 9, 8; left 15 × 8 (kg)": sets with one load together, what was not as asked and what hurt said once. */
export function outingWords(sets: RecordedSet[], unit: MassUnit): string {
  const runs: { head: string; repetitions: string[] }[] = []
  for (const s of sets) {
    const head = `${s.kind === 'DROP' ? 'drop ' : ''}${s.side === 'NONE' ? '' : s.side === 'LEFT' ? 'left ' : 'right '}${s.loadKg > 0 ? mass(s.loadKg, unit) : 'body'}`
    const last = runs.at(-1)
    if (last?.head === head) last.repetitions.push(String(s.repetitions))
    else runs.push({ head, repetitions: [String(s.repetitions)] })
  }
  const words = [
    `${runs.map((r) => `${r.head} × ${r.repetitions.join(', ')}`).join('; ')}${sets.some((s) => s.loadKg > 0) ? ` ${unit}` : ''}`,
  ]
  const reserve = [...new Set(sets.map((s) => trim(s.reserve, 1)))]
  words.push(`${reserve.join('/')} in reserve`)
  if (sets.some((s) => s.range === 'SHORT')) words.push('short range')
  if (sets.some((s) => s.tempoKept === false)) words.push('tempo not kept')
  const pain = Math.max(0, ...sets.map((s) => s.pain ?? 0))
  if (pain > 0) words.push(`pain ${pain}`)
  return words.join(' · ')
}
