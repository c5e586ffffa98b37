import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import type { Session, SessionItem } from '../../api/client'
import { LogSet } from './LogSet'

const item: SessionItem = {
  id: 'i',
  position: 1,
  candidateId: 'x/y',
  exerciseId: 'x',
  name: 'Seated leg curl',
  byWord: false,
  repetitions: '10-18',
  reserve: 2,
  setup: {},
  prescribed: [],
  cues: [],
  stopSigns: [],
  cautions: [],
  sets: [],
  lastTime: {
    performedAt: '2026-11-01T10:00:00Z',
    sameSetup: true,
    setup: {},
    sets: [
      { id: 's', loadKg: 32.5, repetitions: 12, reserve: 1, performedAt: '2026-11-01T10:00:00Z' },
    ],
  },
}

function form(onLogged: (s: Session) => void = () => {}, shown: SessionItem = item) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <LogSet sessionId="s" item={shown} onLogged={onLogged} />
    </QueryClientProvider>,
  )
}

const json = (status: number, body: object, type = 'application/json') =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': type } })

afterEach(() => vi.unstubAllGlobals())

test('starts from last time', () => {
  form()
  expect(screen.getByLabelText('Load (kg)')).toHaveValue('32.5')
  expect(screen.getByLabelText('Repetitions')).toHaveValue('12')
})

test('does not start from last time where today asks for less, or leaves it out', () => {
  form(undefined, { ...item, load: { lowKg: 12.5, highKg: 17.5, repetitions: '10-18', basis: '' } })
  expect(screen.getByLabelText('Load (kg)')).toHaveValue('12.5')
  cleanup()
  form(undefined, { ...item, refusal: 'Sore knee: …' })
  expect(screen.getByLabelText('Load (kg)')).toHaveValue('')
})

test('a set that the server did not answer is sent again under the same id, and a new set gets a new one', async () => {
  const sent: string[] = []
  const answers = [
    () => Promise.reject(new TypeError('no network')),
    () => Promise.resolve(json(200, { items: [] })),
    () => Promise.resolve(json(200, { items: [] })),
  ]
  vi.stubGlobal('fetch', (request: Request) => {
    sent.push(request.url)
    return answers[sent.length - 1]!()
  })
  const onLogged = vi.fn()
  form(onLogged)
  const button = screen.getByRole('button', { name: 'Log set 1' })
  fireEvent.click(button)
  expect(await screen.findByRole('alert')).toHaveTextContent('Nothing was lost here')
  expect(screen.getByLabelText('Load (kg)')).toHaveValue('32.5')
  fireEvent.click(button)
  await waitFor(() => expect(onLogged).toHaveBeenCalledTimes(1))
  fireEvent.click(button)
  await waitFor(() => expect(onLogged).toHaveBeenCalledTimes(2))
  expect(sent[0]).toBe(sent[1])
  expect(sent[2]).not.toBe(sent[1])
})

test('faults stand beside their controls', async () => {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      json(
        422,
        {
          detail: 'Check the marked fields.',
          faults: [{ field: 'repetitions', message: '0 is not within 1 to 200 repetitions' }],
        },
        'application/problem+json',
      ),
    ),
  )
  form()
  fireEvent.click(screen.getByRole('button', { name: 'Log set 1' }))
  await waitFor(() =>
    expect(screen.getByLabelText('Repetitions')).toHaveAttribute('aria-invalid', 'true'),
  )
  expect(screen.getByText('0 is not within 1 to 200 repetitions')).toBeInTheDocument()
  expect(screen.getByLabelText('Load (kg)')).not.toHaveAttribute('aria-invalid')
})
