import { fireEvent, render, screen, within } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { Entry, Order } from '../../api/client'
import { OrderList } from './OrderList'

const entry = (candidateId: string, name: string, band: number, utility: number): Entry => ({
  candidateId, exerciseId: 'x', name, utility, low: utility - 0.1, high: utility + 0.1, rankLow: 1, rankHigh: 2, chanceOfBest: 0.5, band, contributions: [], why: [], costs: 'back spared', limiter: 'quads', stimulus: {}, setup: {}, changes: [],
})

const order: Order = {
  statements: ['Pregnancy: ask the clinician in charge first.'],
  entries: [entry('a', 'First', 1, 0.8), entry('b', 'Second', 1, 0.75), entry('c', 'Third', 2, 0.3)],
  excluded: [{ candidateId: 'd', name: 'Fourth', kind: 'PAIN', improvised: [], reason: 'Sore knee: deep knee bend.' }],
  firstPick: { candidateId: 'a', decidedBy: 'The first 2 cannot be told apart by the model; decided by: stability.' },
}

test('names a first pick, says what cannot be told apart, and drops nothing silently', () => {
  const onChoose = vi.fn()
  render(<OrderList order={order} regions={[]} chosen="a" onChoose={onChoose} stale={false} />)
  expect(screen.getByTestId('first-pick')).toHaveTextContent('First pick: First. The first 2 cannot be told apart')
  expect(screen.getByText('2 that cannot be told apart')).toBeInTheDocument()
  expect(screen.getByTestId('cautions')).toHaveTextContent('ask the clinician in charge first')
  expect(screen.getByText('stands alone')).toBeInTheDocument()
  expect(screen.getByText(/Sore knee: deep knee bend/)).toBeInTheDocument()
  const strips = screen.getAllByRole('button')
  expect(strips[0]).toHaveAttribute('aria-pressed', 'true')
  expect(within(strips[1]!).getByText('rank 1–2')).toBeInTheDocument()
  fireEvent.click(strips[2]!)
  expect(onChoose).toHaveBeenCalledWith('c')
})

test('an empty order says so and opens the reasons', () => {
  const { container } = render(<OrderList order={{ ...order, entries: [], firstPick: undefined }} regions={[]} onChoose={() => {}} stale={false} />)
  expect(screen.getByText(/Nothing here is left for this aim/)).toBeInTheDocument()
  expect(container.querySelector('details')).toHaveAttribute('open')
})
