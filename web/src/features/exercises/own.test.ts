import { expect, test } from 'vitest'
import { NEXT, NOTHING_SAID, linesOf, shareOf, toggled, withShare } from './own'

test('a region goes from nothing to a whole set to half a one and back', () => {
  let said = NOTHING_SAID
  const tap = () => (said = withShare(said, 'VL', NEXT[shareOf(said, 'VL')]))
  expect(shareOf(tap(), 'VL')).toBe('mainly')
  expect(shareOf(tap(), 'VL')).toBe('partly')
  expect(said.mainly).toEqual([])
  expect(shareOf(tap(), 'VL')).toBe('none')
  expect(said.partly).toEqual([])
})

test('lines are trimmed, blank ones go, and a tick comes and goes', () => {
  expect(linesOf(' Stay low. \n\n  \nBreathe.')).toEqual(['Stay low.', 'Breathe.'])
  expect(toggled(toggled(undefined, 'bench'), 'bench')).toEqual([])
})

test('what is not said is on the side of caution', () => {
  expect(NOTHING_SAID).toMatchObject({ knee: 'DEEP', hip: 'DEEP', back: 'SOME' })
})
