import { render, screen } from '@testing-library/react'
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
    'For Oda Fenwick at Quayside Hall: bring up all quads; keep out lower back; judged by stretch under load; as usual today.',
  )
  expect(screen.getAllByRole('button').map((b) => b.getAttribute('aria-label'))).toEqual([
    'Client: Oda Fenwick',
    'Gym: Quayside Hall',
    'Bring up: all quads',
    'Keep out: lower back',
    'School: by stretch under load',
    'Today: as usual today',
  ])
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
    'For a client at a gym: bring up nothing yet; keep out nothing;',
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
    'For Oda Fenwick at Quayside Hall: bring up all quads; keep out lower back; judged by stretch under load.',
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
    'judged by stretch under load; stiff today.',
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
    'judged by stretch under load, weighed for a sore back, own weights; as usual today.',
  )
})
