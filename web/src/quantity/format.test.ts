import { expect, test } from 'vitest'
import { setWords, setupValue } from './format'

const p = (unit: string, choices: string[] = []) => ({ label: '', unit, choices })

test('set-up values are shown in the coach’s units, with no more digits than are known', () => {
  expect(setupValue(p('m'), 0.4)).toBe('40 cm')
  expect(setupValue(p('m'), 0.2249)).toBe('22.5 cm')
  expect(setupValue(p('deg'), 94.6)).toBe('95°')
  expect(setupValue(p('kg'), 45)).toBe('45 kg')
  expect(setupValue(p(''), 0.95)).toBe('95 %')
  expect(setupValue(p('', ['high on the back', 'low on the back']), 1)).toBe('low on the back')
})

test('a set in words', () => {
  expect(setWords({ loadKg: 32.5, repetitions: 10, reserve: 1.5 })).toBe(
    '32.5 kg × 10, 1.5 in reserve',
  )
  expect(setWords({ loadKg: 0, repetitions: 12, reserve: 0 })).toBe(
    'body weight × 12, 0 in reserve',
  )
})
