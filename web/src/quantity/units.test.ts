import { afterEach, expect, test } from 'vitest'
import { coachUnit, faultIn, massRange, readingValue, setupValue, typedOf } from './format'
import { plateWords, readPlates } from './plates'
import { typedIn } from './typed'
import { allInUnits, inUnits } from './units'

afterEach(() => localStorage.clear())

const american = () => {
  localStorage.setItem('istmo.mass-unit', 'lb')
  localStorage.setItem('istmo.length-unit', 'in')
}

test('a sentence of the core is told in the units of the device', () => {
  const told = 'Hooks at about 138\u00a0cm; from 60\u00a0to\u00a070\u00a0kg.'
  expect(inUnits(told)).toBe(told)
  american()
  // 138 / 2.54 and 60 / 0.45359237, to the tenth of an inch and the half pound
  expect(inUnits(told)).toBe('Hooks at about 54.3\u00a0in; from 132.5\u00a0to\u00a0154.5\u00a0lb.')
})

test('what a coach has typed stays as it was', () => {
  american()
  const answer = { note: 'Did 60 kg, box of 40 cm', found: [{ words: '60\u00a0kg', kg: 60 }] }
  expect(allInUnits(answer)).toEqual({
    note: 'Did 60 kg, box of 40 cm',
    found: [{ words: '132.5\u00a0lb', kg: 60 }],
  })
})

test('figures follow the units', () => {
  const height = { label: 'Height', unit: 'm', choices: [] }
  expect(setupValue(height, 0.4)).toBe('40 cm')
  american()
  expect(setupValue(height, 0.4)).toBe('15.7 in')
  expect(readingValue('kg', 63)).toBe('139 lb')
  expect(massRange(20, 25)).toBe('44 to 55 lb')
  expect(faultIn(coachUnit('m'), '0.82 is not within 0.25 to 0.65 m')).toBe(
    '32.3 is not within 9.8 to 25.6 in',
  )
})

test('a box that was not touched keeps what is stored to the last digit', () => {
  american()
  const before = 1.755
  const shown = typedOf(before, coachUnit('m'))
  expect(shown).toBe('69.09')
  expect(typedIn('m', before).parse(shown)).toBe(before)
  expect(typedIn('m', before).parse('70')).toBeCloseTo(1.778, 9)
  expect(typedIn('kg').parse('100')).toBeCloseTo(45.359237, 9)
  expect(typedIn('kg').parse(' ')).toBeUndefined()
  expect(typedIn('kg').safeParse('heavy').error?.issues[0]?.message).toBe('“heavy” is not a number')
})

test('plates are named in the unit that they were made in', () => {
  const mixed = [
    { kg: 20, pairs: 2 },
    { kg: 20.4117, pairs: 1 },
  ]
  expect(plateWords(mixed)).toBe('45 lb x 1, 20 x 2')
  expect(readPlates(plateWords(mixed))).toEqual([mixed[1], mixed[0]])
  american()
  expect(plateWords(mixed)).toBe('45 x 1, 20 kg x 2')
  expect(readPlates(plateWords(mixed))).toEqual([mixed[1], mixed[0]])
})
