import { render, screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { BenchSide } from '../../api/client'
import { StripsTable } from './StripsTable'

test('five places of the repetition, from the top to the bottom, with only the joints that carry', () => {
  const phases = Array.from({ length: 21 }, (_, k) => ({
    moments: { 'hip flexion': k / 20, 'knee flexion': -k / 40 },
  }))
  const now = {
    phases,
    strips: {
      VL: {
        tension: phases.map((_, k) => k / 25),
        length: phases.map((_, k) => 0.9 + k / 100),
        heaviest: 'LONG',
      },
    },
  } as unknown as BenchSide
  render(<StripsTable now={now} regions={[{ id: 'VL', name: 'outer quad' }]} />)
  expect(
    screen.getByRole('row', {
      name: 'Place in the repetition outer quad: tension, length % hip % knee %',
    }),
  ).toBeInTheDocument()
  expect(screen.getByRole('row', { name: 'top 0.00, 90 0 0' })).toBeInTheDocument()
  expect(screen.getByRole('row', { name: 'half way 0.40, 100 50 -25' })).toBeInTheDocument()
  expect(screen.getByRole('row', { name: 'bottom 0.80, 110 100 -50' })).toBeInTheDocument()
  expect(screen.getAllByRole('row')).toHaveLength(6)
})
