import { expect, test } from 'vitest'
import type { Loading, Prescription } from '../../api/client'
import { KG_PER_LB } from '../../quantity/units'
import {
  loadsWords,
  platesWords,
  prescriptionWords,
  range,
  tempoWords,
  weekdayShort,
} from './words'
import { mass } from '../../quantity/units'

const prescriptionDocument: Prescription = {
  sets: 4,
  repetitionsLow: 8,
  repetitionsHigh: 12,
  reserve: 1.5,
  tempo: { loweringS: 2, lowS: 2, liftingS: 1, topS: 0 },
  restS: 90,
  scheme: 'STRAIGHT',
}

test('a prescription in words', () => {
  expect(prescriptionWords(prescriptionDocument)).toBe('4 × 8–12, 1.5 in reserve')
  const drops = { number: 2, less: 0.2, everySet: false }
  expect(prescriptionWords({ ...prescriptionDocument, drops })).toBe(
    '4 × 8–12, 1.5 in reserve, drops',
  )
  expect(range(10, 10)).toBe('10')
  expect(tempoWords(prescriptionDocument)).toBe('2-2-1-0')
  expect(weekdayShort(3)).toBe('Wed')
})

test('loads in both units, with the plates of one side', () => {
  const bar: Loading = { kg: 62.5, kind: 'PLATES', emptyKg: 20, perSide: [20, 1.25], plates: 'OWN' }
  expect(mass(62.5, 'kg')).toBe('62.5')
  expect(mass(225 * KG_PER_LB, 'lb')).toBe('225')
  expect(platesWords(bar, 'kg')).toBe('20 + 1.25 a side')
  expect(platesWords({ ...bar, perSide: [] }, 'kg')).toBe('the empty bar')
  expect(platesWords({ ...bar, kind: 'STEPS', perSide: [] }, 'kg')).toBe('')
})

test('sets at the same load are told together', () => {
  const at = (kg: number): Loading => ({
    kg,
    kind: 'STEPS',
    emptyKg: 0,
    perSide: [],
    plates: 'NONE',
  })
  expect(loadsWords([at(60), at(60), at(60)], 'kg')).toBe('60 kg')
  expect(loadsWords([at(60), at(62.5), at(62.5)], 'kg')).toBe('1 at 60, 2 at 62.5 kg')
  expect(loadsWords([undefined], 'kg')).toBe('')
})
