import { fireEvent, render, screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Catalogue, Client, Gym, Region } from '../../api/client'
import { BriefLine, BriefWords } from './BriefLine'

const region = (id: string, group: string, coachName: string) =>
  ({ id, group, coachName }) as Region
const catalogue = {
  regions: [
    region('VL', 'quads', 'outer quad (sweep)'),
    region('RF', 'quads', 'upper quad'),
    region('SOL', 'calves', 'lower calf'),
    region('ERECTORS', 'lower-back', 'lower back'),
  ],
  schools: [{ id: 'stretch', label: 'by stretch under load', reason: '', retired: false }],
  presets: [
    { id: 'growth', label: 'muscle growth', reason: '', weights: {} },
    { id: 'sore-back', label: 'a sore back', reason: '', weights: {} },
  ],
} as unknown as Catalogue
const brief = {
  client: 'c',
  gym: 'g',
  aim: { VL: 3, RF: 2 },
  keepOut: ['ERECTORS'],
  school: 'stretch',
  preset: 'growth',
  weights: {},
  stiff: false,
  stiffToday: false,
}

test('is one sentence that reads aloud, with its words as controls', () => {
  render(
    <BriefLine
      brief={brief}
      change={() => {}}
      catalogue={catalogue}
      clients={[{ id: 'c', name: 'Oda Fenwick' } as Client]}
      gyms={[{ id: 'g', name: 'Quayside Hall' } as Gym]}
    />,
  )
  expect(screen.getByTestId('brief')).toHaveTextContent(
    'For Oda Fenwick at Quayside Hall: target all quads; avoid lower back; moving normally. more',
  )
  expect(
    screen
      .getAllByRole('button')
      .map((element) => element.getAttribute('aria-label') ?? element.textContent),
  ).toEqual([
    'Client: Oda Fenwick',
    'Gym: Quayside Hall',
    'Target: all quads',
    'Avoid: lower back',
    'Today: moving normally',
    'more',
  ])
  fireEvent.click(screen.getByText('more'))
  expect(screen.getByTestId('brief')).toHaveTextContent('ranked by stretch under load.')
  expect(screen.getByRole('button', { name: /^Way of ranking/ })).toBeInTheDocument()
})

test('an unknown client or gym is asked for, not shown as an id', () => {
  render(
    <BriefLine
      brief={{ ...brief, aim: {}, keepOut: [] }}
      change={() => {}}
      catalogue={catalogue}
      clients={[]}
      gyms={[]}
    />,
  )
  expect(screen.getByTestId('brief')).toHaveTextContent(
    'For a client at a gym: target nothing yet; avoid nothing;',
  )
})

test('prints as the same sentence without controls', () => {
  render(
    <BriefWords
      catalogue={catalogue}
      clientName="Oda Fenwick"
      gymName="Quayside Hall"
      brief={brief}
    />,
  )
  expect(screen.getByText(/^For/).textContent).toBe(
    'For Oda Fenwick at Quayside Hall: target all quads; avoid lower back; ranked by stretch under load.',
  )
  expect(screen.queryByRole('button')).toBeNull()
})

test('a stiff day is part of the sentence', () => {
  render(
    <BriefWords
      catalogue={catalogue}
      clientName="Oda Fenwick"
      gymName="Quayside Hall"
      brief={{ ...brief, stiffToday: true }}
    />,
  )
  expect(screen.getByText(/^For/).textContent).toContain(
    'ranked by stretch under load; stiff today.',
  )
})

test('where something is ordered, what it is weighed for is a word too', () => {
  render(
    <BriefLine
      weighed
      brief={{ ...brief, preset: 'sore-back', weights: { time: 2 } }}
      change={() => {}}
      catalogue={catalogue}
      clients={[{ id: 'c', name: 'Oda Fenwick' } as Client]}
      gyms={[{ id: 'g', name: 'Quayside Hall' } as Gym]}
    />,
  )
  expect(screen.getByTestId('brief')).toHaveTextContent(
    'moving normally; ranked by stretch under load for a sore back, own weights.',
  )
})
