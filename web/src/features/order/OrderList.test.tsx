import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, within } from '@testing-library/react'
import type { ReactNode } from 'react'
import { MemoryRouter } from 'react-router'
import { expect, test, vi } from 'vitest'
import type { Entry, Order } from '../../api/client'
import { keys } from '../../api/queries'
import { OrderList } from './OrderList'

/** An address, and pictures that have come already. */
function Around({ children }: { children: ReactNode }) {
  const queries = new QueryClient()
  queries.setQueryData(keys.pictures, [])
  return (
    <QueryClientProvider client={queries}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>
  )
}

const entry = (candidateId: string, name: string, band: number, utility: number): Entry => ({
  candidateId,
  exerciseId: candidateId,
  name,
  utility,
  low: utility - 0.1,
  high: utility + 0.1,
  rankLow: 1,
  rankHigh: 2,
  chanceOfBest: 0.5,
  band,
  contributions: [],
  why: [],
  raise: [],
  studies: [],
  mechanics: {},
  costs: 'back spared',
  limiter: 'quads',
  stimulus: {},
  setup: {},
  changes: [],
  variants: [],
})

const order: Order = {
  statements: ['Pregnancy: ask the clinician in charge first.'],
  entries: [
    entry('a', 'First', 1, 0.8),
    entry('b', 'Second', 1, 0.75),
    entry('c', 'Third', 2, 0.3),
  ],
  hardly: [],
  excluded: [
    {
      candidateId: 'd',
      name: 'Fourth',
      kind: 'PAIN',
      improvised: [],
      reason: { kind: 'SAID', values: {}, words: 'Sore knee: deep knee bend.' },
    },
  ],
  together: [
    {
      candidateIds: ['a', 'c'],
      coverage: 0.8,
      members: [
        { kind: 'SAID', values: {}, words: 'First: long.' },
        { kind: 'SAID', values: {}, words: 'Third: short.' },
      ],
    },
  ],
  learning: [],
  notes: [],
  firstPick: {
    candidateId: 'a',
    decidedBy: [
      {
        kind: 'SAID',
        values: {},
        words: 'The first 2 cannot be told apart by the model; decided by: stability.',
      },
    ],
  },
}

test('names a first pick, says what cannot be told apart, and drops nothing silently', () => {
  const onChoose = vi.fn()
  render(<OrderList order={order} regions={[]} chosen="a" onChoose={onChoose} stale={false} />, {
    wrapper: Around,
  })
  expect(screen.getByTestId('first-pick')).toHaveTextContent(
    'First pick: First. The first 2 cannot be told apart',
  )
  expect(screen.getByText('2 about equal')).toBeInTheDocument()
  expect(screen.getByTestId('cautions')).toHaveTextContent('ask the clinician in charge first')
  expect(screen.getByText('by itself')).toBeInTheDocument()
  expect(screen.getByText(/Sore knee: deep knee bend/)).toBeInTheDocument()
  const strips = screen.getAllByRole('button').filter((element) => element.dataset.candidate)
  expect(strips[0]).toHaveAttribute('aria-pressed', 'true')
  expect(within(strips[1]!).getByText('place 1–2')).toBeInTheDocument()
  fireEvent.click(strips[2]!)
  expect(onChoose).toHaveBeenCalledWith('c')
})

test('an empty order says so and opens the reasons', () => {
  const { container } = render(
    <OrderList
      order={{ ...order, entries: [], firstPick: undefined }}
      regions={[]}
      onChoose={() => {}}
      stale={false}
    />,
    { wrapper: Around },
  )
  expect(screen.getByText(/Nothing here is left for this target/)).toBeInTheDocument()
  expect(container.querySelector('details')).toHaveAttribute('open')
})

test('marks who moves when the school changes, keeps other set-ups of an exercise with its best, and compares what is ticked', () => {
  const other = { ...entry('a2', 'First, wide', 1, 0.7), exerciseId: 'a' }
  const first = { ...order.entries[0]!, variants: [other] }
  const places = { a: 1, b: 9, c: 3 }
  render(
    <OrderList
      order={{ ...order, entries: [first, ...order.entries.slice(1)] }}
      regions={[]}
      chosen="a"
      onChoose={() => {}}
      stale={false}
      bySchool={[
        { school: 'stretch', label: 'by stretch', places: { a: 1, b: 2, c: 4 } },
        { school: 'squeeze', label: 'by the squeeze', places },
      ]}
      school="stretch"
    />,
    { wrapper: Around },
  )
  expect(screen.getByTitle('by the squeeze 9')).toBeInTheDocument()
  expect(screen.getByRole('button', { name: 'or First, wide' })).toBeInTheDocument()
  fireEvent.click(screen.getByRole('checkbox', { name: 'compare First' }))
  expect(screen.getByText(/tick one to three more/)).toBeInTheDocument()
  fireEvent.click(screen.getByRole('checkbox', { name: 'compare Third' }))
  expect(screen.getByRole('link', { name: 'Compare these 2 point by point' })).toHaveAttribute(
    'href',
    '/compare?with=a%7Ec',
  )
})

test('where nothing here trains the aim it says so first, and what would', () => {
  const weak = entry('w', 'Weak', 1, 0.1)
  const onChoose = vi.fn()
  render(
    <OrderList
      order={{
        ...order,
        entries: [],
        firstPick: undefined,
        hardly: [weak],
        shortage: {
          fact: {
            kind: 'NOTHING_TRAINS_THIS',
            values: {},
            words: 'Nothing here trains this well. With kettlebells you could do: Shin raise.',
          },
          elsewhere: [
            { candidateId: 's', name: 'Shin raise', needs: ['kettlebells'] },
            { candidateId: 'd', name: 'Shin raise with a dumbbell', needs: ['dumbbells'] },
          ],
          improvised: [],
        },
      }}
      regions={[]}
      onChoose={onChoose}
      stale={false}
    />,
    { wrapper: Around },
  )
  expect(screen.getByTestId('shortage')).toHaveTextContent('Nothing here trains this well')
  expect(screen.getByTestId('shortage')).toHaveTextContent('Shin raise with a dumbbell (dumbbells)')
  expect(screen.queryByTestId('first-pick')).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'Weak' }))
  expect(onChoose).toHaveBeenCalledWith('w')
})

test('what is told of the chosen one opens under its strip, also of another set-up and of what hardly serves', () => {
  const withVariant: Order = {
    ...order,
    entries: [{ ...entry('a', 'First', 1, 0.8), variants: [entry('a2', 'First, wide', 1, 0.7)] }],
    hardly: [entry('h', 'Hardly', 3, 0.1)],
  }
  for (const chosen of ['a', 'a2', 'h']) {
    const { unmount } = render(
      <OrderList
        order={withVariant}
        regions={[]}
        chosen={chosen}
        onChoose={vi.fn()}
        stale={false}
        under={<p>why</p>}
      />,
      { wrapper: Around },
    )
    expect(screen.getByText('why')).toBeInTheDocument()
    unmount()
  }
})

test('the first strips come first, the others when they are asked for', () => {
  render(
    <OrderList order={order} regions={[]} chosen="a" onChoose={vi.fn()} stale={false} most={2} />,
    { wrapper: Around },
  )
  expect(screen.queryByText('Third')).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'Show all 3' }))
  expect(screen.getByText('Third')).toBeInTheDocument()
})

test('the chosen one stays in sight behind the first strips', () => {
  const third = order.entries[2]!.candidateId
  render(
    <OrderList
      order={order}
      regions={[]}
      chosen={third}
      onChoose={vi.fn()}
      stale={false}
      most={1}
      under={<p>why it is there</p>}
    />,
    { wrapper: Around },
  )
  expect(screen.getByText('Third')).toBeInTheDocument()
  expect(screen.getByText('why it is there')).toBeInTheDocument()
  expect(screen.queryByText('Second')).toBeNull()
})
