import { expect, test } from 'vitest'
import { asInput, isComplete, markAt, nextNeeded, otherOfPair, seenFrom, within } from './marks'
import type { LandmarkInfo, Marks } from './marks'

const LANDMARKS: LandmarkInfo[] = [
  { landmark: 'HEEL', seen: 'SIDE', label: 'heel', where: '', needed: true },
  { landmark: 'TOE', seen: 'SIDE', label: 'toe', where: '', needed: true },
  { landmark: 'UPRIGHT_FOOT', seen: 'BOTH', label: 'foot of a post', where: '', needed: false },
  { landmark: 'UPRIGHT_TOP', seen: 'BOTH', label: 'top of a post', where: '', needed: false },
]

test('what is needed comes first, and then it is complete', () => {
  const heel: Marks = { HEEL: { x: 1, y: 2 } }
  expect(nextNeeded(LANDMARKS, heel)).toBe('TOE')
  expect(isComplete(LANDMARKS, heel)).toBe(false)
  const both: Marks = { ...heel, TOE: { x: 5, y: 2 } }
  expect(isComplete(LANDMARKS, both)).toBe(true)
  expect(nextNeeded(LANDMARKS, both)).toBeUndefined()
})

test('half a pair is not sent, and the other half is asked for', () => {
  const marks: Marks = { HEEL: { x: 1.26, y: 2 }, UPRIGHT_FOOT: { x: 3, y: 4 } }
  expect(asInput(marks)).toEqual([{ landmark: 'HEEL', xPx: 1.3, yPx: 2 }])
  expect(otherOfPair('UPRIGHT_FOOT', marks)).toBe('UPRIGHT_TOP')
  expect(otherOfPair('HEEL', marks)).toBeUndefined()
  expect(asInput({ ...marks, UPRIGHT_TOP: { x: 3, y: 0 } })).toHaveLength(3)
})

test('a finger takes hold of the nearest mark within reach', () => {
  const marks: Marks = { HEEL: { x: 10, y: 10 }, TOE: { x: 30, y: 10 } }
  expect(markAt(marks, { x: 24, y: 10 }, 20)).toBe('TOE')
  expect(markAt(marks, { x: 90, y: 10 }, 20)).toBeUndefined()
})

test('a mark stays on the picture', () => {
  expect(within({ x: -4, y: 700 }, { width: 400, height: 600 })).toEqual({ x: 0, y: 600 })
})

test('from the front other places are marked than from the side', () => {
  const all: LandmarkInfo[] = [
    ...LANDMARKS,
    { landmark: 'KNEE_LEFT', seen: 'FRONT', label: 'left knee', where: '', needed: true },
  ]
  expect(seenFrom(all, 'FRONT').map((info) => info.landmark)).toEqual([
    'UPRIGHT_FOOT',
    'UPRIGHT_TOP',
    'KNEE_LEFT',
  ])
  expect(seenFrom(all, 'SIDE')).toHaveLength(4)
})
