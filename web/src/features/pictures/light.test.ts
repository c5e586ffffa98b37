import { expect, test } from 'vitest'
import { middleBrightness } from './light'

test('the middle brightness is that of the middle pixel, as an eye weighs colours', () => {
  const black = [0, 0, 0, 255]
  const green = [0, 255, 0, 255]
  const white = [255, 255, 255, 255]
  expect(middleBrightness(new Uint8ClampedArray([...white, ...black, ...green]))).toBeCloseTo(
    149.7,
    1,
  )
  expect(middleBrightness(new Uint8ClampedArray([...black, ...black, ...white]))).toBe(0)
})
