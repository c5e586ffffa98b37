import { render, screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Bench, Region } from '../../api/client'
import { Changes } from './Changes'

const regions = [
  { id: 'VL', coachName: 'outer quad' },
  { id: 'RF', coachName: 'upper quad' },
  { id: 'SOL', coachName: 'lower calf' },
  { id: 'AL', coachName: 'inner thigh front' },
] as Region[]

test('aimed regions are always shown, others only when they can be told apart; noise is never a percentage', () => {
  const bench = {
    sides: [],
    differences: [],
    changes: [
      { regionId: 'VL', from: 0.8, to: 0.82, toldApart: false },
      { regionId: 'RF', from: 0.4, to: 0.6, toldApart: true },
      { regionId: 'SOL', from: 0.5, to: 0.51, toldApart: false },
      { regionId: 'AL', from: 0.02, to: 0.2, toldApart: true },
    ],
  } as Bench
  render(<Changes bench={bench} regions={regions} aimed={['VL']} from="start" to="now" />)
  expect(
    screen.getByRole('row', { name: 'outer quad 0.80 0.82 cannot be told' }),
  ).toBeInTheDocument()
  expect(screen.getByRole('row', { name: 'upper quad 0.40 0.60 +50 %' })).toBeInTheDocument()
  expect(screen.getByRole('row', { name: 'inner thigh front 0.02 0.20 new' })).toBeInTheDocument()
  expect(screen.queryByText('lower calf')).not.toBeInTheDocument()
})
