import { expect, test } from 'vitest'
import type { Plan, PlanItem, Prescription } from '../../api/client'
import {
  add,
  joinWithNext,
  moveBout,
  pin,
  positionOf,
  prescribe,
  setTimes,
  setWeekday,
  swap,
  takeApart,
  takeOut,
} from './edits'

const usual: Prescription = {
  sets: 3,
  repetitionsLow: 8,
  repetitionsHigh: 12,
  reserve: 2,
  tempo: { loweringS: 2, lowS: 0, liftingS: 1, topS: 0 },
  restS: 120,
  scheme: 'STRAIGHT',
}
const item = (id: string): PlanItem => ({
  id,
  candidateId: `x/${id}`,
  pinned: false,
  prescription: usual,
})
const plan = (...days: string[][]): Plan => ({
  name: 'p',
  pairing: 'NONE',
  varied: false,
  hold: true,
  targets: {},
  days: days.map((ids, k) => ({
    weekday: 1 + 3 * k,
    minutes: 60,
    oneStation: false,
    bouts: ids.map((id) => [item(id)]),
  })),
})
const shape = (planDocument: Plan) =>
  planDocument.days.map((day) =>
    day.bouts.map((bout) => bout.map((itemDocument) => itemDocument.id).join('+')).join(' '),
  )

test('a bout moves within its session and to another', () => {
  const planDocument = plan(['a', 'b', 'c'], ['d'])
  expect(shape(moveBout(planDocument, { day: 0, bout: 0 }, { day: 0, bout: 2 }))).toEqual([
    'b a c',
    'd',
  ])
  expect(shape(moveBout(planDocument, { day: 0, bout: 2 }, { day: 0, bout: 0 }))).toEqual([
    'c a b',
    'd',
  ])
  expect(shape(moveBout(planDocument, { day: 0, bout: 1 }, { day: 1, bout: 0 }))).toEqual([
    'a c',
    'b d',
  ])
  expect(shape(moveBout(planDocument, { day: 0, bout: 1 }, { day: 1, bout: 9 }))).toEqual([
    'a c',
    'd b',
  ])
  expect(moveBout(planDocument, { day: 0, bout: 1 }, { day: 7, bout: 0 })).toBe(planDocument)
})

test('taking turns and apart again is the same week', () => {
  const planDocument = plan(['a', 'b', 'c'])
  const joined = joinWithNext(planDocument, { day: 0, bout: 0 })
  expect(shape(joined)).toEqual(['a+b c'])
  expect(takeApart(joined, { day: 0, bout: 0 })).toEqual(planDocument)
  expect(joinWithNext(planDocument, { day: 0, bout: 2 })).toBe(planDocument)
})

test('what is touched is pinned, what is taken out leaves no empty bout', () => {
  const planDocument = plan(['a'], ['b'])
  const touched = prescribe(planDocument, 'a', { sets: 5 })
  expect(touched.days[0]!.bouts[0]![0]).toMatchObject({
    pinned: true,
    prescription: { sets: 5, repetitionsLow: 8 },
  })
  expect(pin(touched, 'a', false).days[0]!.bouts[0]![0]!.pinned).toBe(false)
  expect(shape(takeOut(planDocument, 'a'))).toEqual(['', 'b'])
  expect(positionOf(planDocument, 'b')).toEqual({ day: 1, bout: 0 })
  expect(positionOf(planDocument, 'z')).toBeNull()
})

test('a swap keeps the sets and its place', () => {
  const swapped = swap(prescribe(plan(['a', 'b']), 'a', { sets: 5 }), 'a', 'y/other', {
    ...usual,
    sets: 3,
    restS: 60,
  })
  expect(swapped.days[0]!.bouts[0]![0]).toMatchObject({
    id: 'a',
    candidateId: 'y/other',
    pinned: true,
    prescription: { sets: 5, restS: 60 },
  })
})

test('sessions come on free weekdays and stay in order', () => {
  const planDocument = plan(['a'], ['b'])
  const spread = [[3], [1, 4], [1, 3, 5], [1, 2, 4, 5], [1, 2, 3, 4, 5], [], [1, 2, 3, 4, 5, 6, 7]]
  const weekdays = (otherDocument: Plan) => otherDocument.days.map((day) => day.weekday)
  const four = setTimes(planDocument, 4, spread)
  expect(weekdays(four)).toEqual([1, 2, 4, 5])
  expect(shape(four)).toEqual(['a', 'b', '', ''])
  expect(weekdays(setTimes(four, 1, spread))).toEqual([3])
  const byHand = setWeekday(planDocument, 0, 6)
  expect(weekdays(setTimes(byHand, 3, spread))).toEqual([1, 4, 6])
  expect(setWeekday(planDocument, 0, 6).days.map((day) => day.weekday)).toEqual([4, 6])
  expect(setWeekday(planDocument, 0, 4)).toBe(planDocument)
  expect(shape(add(planDocument, 1, item('n')))).toEqual(['a', 'b n'])
})
