import { expect, test } from 'vitest'
import { between, smoothLoop, spindle } from './smooth'

const numbers = (path: string) => (path.match(/-?\d+\.\d+/g) ?? []).map(Number)

test('a smooth loop goes through every point and closes', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 2, y: 0 },
    { x: 2, y: 2 },
    { x: 0, y: 2 },
  ]
  const text = smoothLoop(square)
  for (const { x, y } of square) expect(text).toContain(`${x.toFixed(3)} ${y.toFixed(3)}`)
  expect(text.endsWith('Z')).toBe(true)
})

test('on a straight line the curve between two points is that line', () => {
  const half = between(
    [
      { x: 0, y: 0 },
      { x: 1, y: 2 },
      { x: 2, y: 4 },
      { x: 3, y: 6 },
    ],
    0.5,
  )
  expect(half.x).toBeCloseTo(1.5, 9)
  expect(half.y).toBeCloseTo(3, 9)
})

test('a muscle is as wide as it is told in its middle, and a quarter of that at its ends', () => {
  const text = spindle(
    [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 2, y: 0 },
    ],
    0.4,
  )
  const heights = numbers(text).filter((_, k) => k % 2 === 1)
  expect(Math.max(...heights)).toBeCloseTo(0.2, 3)
  expect(Math.min(...heights)).toBeCloseTo(-0.2, 3)
  expect(Math.abs(heights[0]!)).toBeCloseTo(0.05, 3)
})
