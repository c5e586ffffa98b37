import { expect, test } from 'vitest'
import { plateWords, readPlates } from './plates'

test('plates are read as they are written, and written as they are read', () => {
  const plates = [
    { kg: 20, pairs: 4 },
    { kg: 2.5, pairs: 2 },
    { kg: 1.25, pairs: 1 },
  ]
  expect(readPlates('20 x 4, 2.5×2; 1,25 kg x 1')).toEqual(plates)
  expect(plateWords([...plates].reverse())).toBe('20 x 4, 2.5 x 2, 1.25 x 1')
  expect(readPlates(plateWords(plates))).toEqual(plates)
})

test('plates in pounds become kilograms', () => {
  expect(readPlates('45 lb x 4, 2.5lb x 1')).toEqual([
    { kg: 20.4117, pairs: 4 },
    { kg: 1.134, pairs: 1 },
  ])
})

test('what cannot be read is not guessed at', () => {
  expect(readPlates('twenty x 4')).toBeNull()
  expect(readPlates('20 x 4, 10')).toBeNull()
  expect(readPlates('  ')).toEqual([])
})
