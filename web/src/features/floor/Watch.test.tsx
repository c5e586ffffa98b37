import { MemoryRouter } from 'react-router'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { exercise, step } from './sample'
import { Watch } from './Watch'

const link = {
  code: 'abc',
  kind: 'LENGTH',
  unit: 'm',
  standIns: false,
  lines: 9,
  dropouts: 0,
  refused: 0,
}
const repetition = {
  range: 0.52,
  loweringS: 1.9,
  lowS: 0.2,
  liftingS: 1,
  topS: 0.3,
  meanSpeed: 0.5,
  dropout: false,
}
const trace = [0, 0.1, 0.2].map((timeS) => ({ timeS, position: 1 + timeS }))
let seen: Record<string, unknown>
let asked: URL[] = []
let closed = 0

beforeEach(() => {
  seen = {
    link,
    seconds: 9,
    repetitions: [repetition, repetition],
    speedLossPercent: 12.4,
    findings: [],
    rangeKept: true,
    tempoKept: true,
    trace,
  }
  asked = []
  closed = 0
  vi.stubGlobal('fetch', (request: Request) => {
    const url = new URL(request.url)
    if (request.method === 'DELETE') {
      closed++
      return Promise.resolve(new Response(null, { status: 204 }))
    }
    if (request.method === 'POST') return Promise.resolve(Response.json(link, { status: 201 }))
    asked.push(url)
    return Promise.resolve(Response.json(seen))
  })
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

function watching(onTake = vi.fn(), onClose = vi.fn()) {
  const floorExercise = exercise('squat', [step('a')], {
    prescription: {
      sets: 2,
      repetitionsLow: 8,
      repetitionsHigh: 12,
      reserve: 2,
      tempo: { loweringS: 3, lowS: 1, liftingS: 1, topS: 0 },
      restS: 90,
      scheme: 'LOW_PARTIALS',
    },
  })
  render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <Watch clientId="c1" exercise={floorExercise} onTake={onTake} onClose={onClose} />
      </QueryClientProvider>
    </MemoryRouter>,
  )
  fireEvent.click(screen.getByRole('button', { name: /^Cord on the bar/ }))
  return { onTake, onClose }
}

test('repetitions are shown in the coach’s unit, beside what is asked', async () => {
  watching()
  expect(await screen.findByTestId('watched-table')).toHaveTextContent('range, cm')
  expect(screen.getByTestId('watched-count')).toHaveTextContent('2')
  expect(screen.getAllByRole('row')[1]).toHaveTextContent('2521.90.21')
  expect(screen.getByText(/12 % slower than the fastest/)).toBeInTheDocument()
  expect(Object.fromEntries(asked[0]!.searchParams)).toEqual({
    loweringS: '3',
    lowS: '1',
    turned: 'false',
    scheme: 'LOW_PARTIALS',
  })
})

test('what was not as asked is taken along with the count, and the link is closed behind it', async () => {
  seen = {
    ...seen,
    rangeKept: false,
    tempoKept: undefined,
    findings: [{ kind: 'SHORT_RANGE', repetitions: [2], words: 'Short in repetition 2.' }],
  }
  const { onTake, onClose } = watching()
  fireEvent.click(await screen.findByRole('button', { name: 'Take 2 repetitions' }))
  expect(onTake).toHaveBeenCalledWith({
    repetitions: 2,
    figures: { range: 'SHORT' },
    words: ['Short in repetition 2.'],
  })
  expect(onClose).toHaveBeenCalled()
  cleanup()
  await waitFor(() => expect(closed).toBe(1))
})

test('a sensor that tells it the other way round is turned', async () => {
  watching()
  fireEvent.click(await screen.findByRole('button', { name: /turn it/ }))
  await waitFor(() => expect(asked.at(-1)!.searchParams.get('turned')).toBe('true'))
  expect(await screen.findByRole('button', { name: /^Turned/, pressed: true })).toBeInTheDocument()
})

test('without readings the code is told, and nothing can be taken', async () => {
  seen = { ...seen, repetitions: [], trace: [], speedLossPercent: 0 }
  watching()
  expect(await screen.findByText('abc')).toBeInTheDocument()
  await waitFor(() => expect(screen.getByTestId('watched-count')).toHaveTextContent('0'))
  expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull()
  expect(screen.queryByRole('button', { name: /stand-in/ })).toBeNull()
})

test('without a network it says so, and that nothing is lost', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')))
  watching()
  expect(await screen.findByRole('alert')).toHaveTextContent('Count by hand; nothing is lost.')
})
