import { expect, test } from 'vitest'
import { STEP_S, chunks, enlarged, moments } from './moments'

test('a film is looked at from the marked frame to both ends', () => {
  const { on, back } = moments(1, 2)
  expect(on[0]).toBeCloseTo(1 + STEP_S)
  expect(on.at(-1)).toBeLessThanOrEqual(2)
  expect(back[0]).toBeCloseTo(1 - STEP_S)
  expect(back.at(-1)).toBeGreaterThanOrEqual(0)
  expect(on.length + back.length).toBe(30)
})

test('followed points are told in the pixels of the film, and lost ones are not', () => {
  expect(enlarged(['HIP', 'KNEE'], [[100, 50], null], 0.5)).toEqual([
    { landmark: 'HIP', xPx: 200, yPx: 100 },
  ])
})

test('a list is parted without losing its end', () => {
  expect(chunks([1, 2, 3, 4, 5], 2)).toEqual([[1, 2], [3, 4], [5]])
  expect(chunks([], 2)).toEqual([])
})
