import { render, screen, within } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Schemas } from '../../api/client'
import { Told } from './Told'

const finding = (findingId: string, betweenThem: boolean) => ({
  findingId,
  citation: findingId,
  conditions: 'hip thrust against back squat',
  region: 'middle glute',
  found: 'no difference',
  betweenThem,
})

function show(studies: Schemas['InfluenceView'][], members: number) {
  render(
    <Told
      comparison={{
        studies,
        members: Array.from({ length: members }, () => ({}) as Schemas['SideView']),
      }}
    />,
  )
}

test('what sets two of them side by side stands apart from what is about one of them', () => {
  show([finding('A 2020', true), finding('B 2021', false)], 2)
  const [between, other] = screen.getAllByRole('list')
  expect(within(between!).getByText('A 2020')).toBeInTheDocument()
  expect(within(other!).getByText('B 2021')).toBeInTheDocument()
  expect(screen.queryByText(/None sets/)).not.toBeInTheDocument()
})

test('where nothing sets them side by side, that is said', () => {
  show([finding('B 2021', false)], 3)
  expect(screen.getByText('None sets two of these side by side.')).toBeInTheDocument()
})

test('where no study speaks at all, the figures are mechanics only', () => {
  show([], 2)
  expect(screen.getByText('None sets these two side by side: mechanics only.')).toBeInTheDocument()
  expect(screen.queryByText(/About one of them/)).not.toBeInTheDocument()
})
