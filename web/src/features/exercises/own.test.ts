import { expect, test } from 'vitest'
import { toggled } from '../../ui/toggled'
import { NEXT, NOTHING_SAID, linesOf, shareOf, withShare } from './own'
import type { Shares } from './own'

test('a region goes from nothing to a whole set to half a one and back', () => {
  let shares: Shares = NOTHING_SAID
  const tap = () => (shares = withShare(shares, 'VL', NEXT[shareOf(shares, 'VL')]))
  expect(shareOf(tap(), 'VL')).toBe('mainly')
  expect(shareOf(tap(), 'VL')).toBe('partly')
  expect(shares.mainly).toEqual([])
  expect(shareOf(tap(), 'VL')).toBe('none')
  expect(shares.partly).toEqual([])
})

test('lines are trimmed, blank ones go, and a tick comes and goes', () => {
  expect(linesOf(' Stay low. \n\n  \nBreathe.')).toEqual(['Stay low.', 'Breathe.'])
  expect(toggled(toggled(undefined, 'bench'), 'bench')).toEqual([])
})

test('what is not said is on the side of caution', () => {
  expect(NOTHING_SAID).toMatchObject({ knee: 'DEEP', hip: 'DEEP', back: 'SOME' })
})
