import { fireEvent, render, screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { Catalogue, Client } from '../../api/client'
import { PainField } from './PainField'

const catalogue = {
  painFlags: [
    { id: 'KNEE', label: 'sore knee', movements: [{ id: 'DEEP_KNEE', label: 'bending it deep' }] },
    { id: 'LOWER_BACK', label: 'sore lower back', movements: [] },
  ],
  approaches: [
    { id: 'LEAVE_OUT', label: 'leave out what troubles it' },
    { id: 'LESS_RANGE', label: 'less range first' },
  ],
} as unknown as Catalogue

function field(pain: Client['pain']) {
  const onPain = vi.fn()
  render(<PainField catalogue={catalogue} pain={pain} onPain={onPain} fault={() => undefined} />)
  return onPain
}

test('a sore joint asks what makes it hurt and which school to begin with', () => {
  const onPain = field([{ joint: 'KNEE', movements: [], approach: 'LEAVE_OUT' }])
  fireEvent.click(screen.getByRole('checkbox', { name: 'bending it deep' }))
  expect(onPain).toHaveBeenLastCalledWith([
    { joint: 'KNEE', movements: ['DEEP_KNEE'], approach: 'LEAVE_OUT' },
  ])
  fireEvent.change(screen.getByLabelText('Begin with: sore knee'), {
    target: { value: 'LESS_RANGE' },
  })
  expect(onPain).toHaveBeenLastCalledWith([
    { joint: 'KNEE', movements: [], approach: 'LESS_RANGE' },
  ])
  expect(screen.getByText(/Pain decides/)).toBeInTheDocument()
})

test('a back has no range to lessen, and unticking forgets the joint', () => {
  const onPain = field([{ joint: 'LOWER_BACK', movements: [], approach: 'LEAVE_OUT' }])
  expect(screen.queryByRole('option', { name: 'less range first' })).toBeNull()
  fireEvent.click(screen.getByRole('checkbox', { name: 'sore lower back' }))
  expect(onPain).toHaveBeenLastCalledWith([])
})
