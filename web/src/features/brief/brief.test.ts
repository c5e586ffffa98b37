import { describe, expect, test } from 'vitest'
import type { Region } from '../../api/client'
import { orderInput, painted, paintOf, parseBrief, writeBrief } from './brief'
import { groupWord, regionWords } from './names'

const brief = {
  client: 'c',
  gym: 'g',
  aim: { VL: 3, RF: 1 },
  keepOut: ['ERECTORS', 'AL'],
  school: 'squeeze',
  preset: 'sore-back',
  weights: { stability: 1.5, fit: 7 },
  stiff: true,
}

describe('the brief in the address', () => {
  test('comes back as it was written, and leaves other parameters alone', () => {
    const params = writeBrief(brief, new URLSearchParams('candidate=x/y'))
    expect(parseBrief(params)).toEqual({ ...brief, keepOut: ['AL', 'ERECTORS'] })
    expect(params.get('candidate')).toBe('x/y')
  })

  test('an old or mistyped address loses only what cannot be read', () => {
    expect(parseBrief(new URLSearchParams('aim=VL.3~RF.9~~X&out=')).aim).toEqual({ VL: 3 })
    expect(parseBrief(new URLSearchParams('')).school).toBe('stretch')
    expect(parseBrief(new URLSearchParams('w=time.0.5~x~spine.99')).weights).toEqual({ time: 0.5 })
  })

  test('painting moves a region between aim and keep out, never both', () => {
    expect(painted(brief, 'VL', -1)).toEqual({ aim: { RF: 1 }, keepOut: ['ERECTORS', 'AL', 'VL'] })
    expect(painted(brief, 'AL', 2)).toEqual({ aim: { VL: 3, RF: 1, AL: 2 }, keepOut: ['ERECTORS'] })
    expect(paintOf(brief, 'AL')).toBe(-1)
    expect(paintOf(brief, 'TA')).toBe(0)
  })

  test('no order is asked for while something is missing', () => {
    expect(orderInput({ ...brief, aim: {} })).toBeNull()
    expect(orderInput({ ...brief, gym: null })).toBeNull()
    expect(orderInput(brief)?.aim).toEqual(brief.aim)
  })
})

test('a whole group is said in one word', () => {
  const region = (id: string, group: string, coachName: string) =>
    ({ id, group, coachName }) as Region
  const regions = [
    region('A', 'quads', 'outer quad (sweep)'),
    region('B', 'quads', 'upper quad'),
    region('C', 'shin', 'shin'),
    region('ERECTORS', 'lower-back', 'lower back'),
  ]
  expect(regionWords(regions, ['A', 'B'])).toBe('all quads')
  expect(regionWords(regions, ['A', 'C', 'ERECTORS'])).toBe('outer quad, shin, lower back')
  expect(groupWord(regions, 'quads')).toBe('all quads')
  expect(groupWord(regions, 'lower-back')).toBe('lower back')
  expect(regionWords(regions, [])).toBe('nothing yet')
})
