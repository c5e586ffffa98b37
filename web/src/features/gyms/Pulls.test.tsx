import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import type { Machine } from '../../api/client'
import { Pulls } from './Pulls'

const machine: Machine = {
  item: 'leg-press',
  name: 'Leg press',
  travel: 'RAIL',
  details: [
    {
      id: 'sledMass',
      label: 'Empty sled',
      unit: 'kg',
      min: 0,
      max: 120,
      value: 45,
      generic: 45,
      measured: false,
      how: '',
    },
  ],
  pulls: [],
}
const fit = {
  values: { sledMass: 60 },
  points: [{ at: 0.2, measured: 416, fitted: 416, generic: 312 }],
  unit: 'N',
  repeatError: 0.01,
  genericError: 0.33,
  notes: ['Friction is not known.'],
}

afterEach(() => vi.unstubAllGlobals())

function panel(brief: object | null, sent: { url: string; body: unknown }[] = []) {
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url).pathname
    sent.push({ url, body: request.method === 'GET' ? null : await request.json() })
    return Response.json(
      url.endsWith('/with-machine')
        ? {
            moved: 2,
            moves: [{ kind: 'SAID', values: {}, words: 'Leg press, feet low from 1 to 3.' }],
          }
        : fit,
    )
  })
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Pulls gymId="g" version={1} machine={machine} brief={brief} onSaved={() => {}} />
    </QueryClientProvider>,
  )
}

function pull() {
  fireEvent.change(screen.getByLabelText('Travel from the bottom (cm)'), {
    target: { value: '20' },
  })
  fireEvent.change(screen.getByLabelText('Scale reads (kg)'), { target: { value: '42,4' } })
  fireEvent.change(screen.getByLabelText('Plates (kg)'), { target: { value: '0' } })
  fireEvent.click(screen.getByRole('button', { name: 'Add' }))
}

test('a pull is sent in newtons and metres, and its fit stands beside the generic type', async () => {
  const sent: { url: string; body: unknown }[] = []
  panel(null, sent)
  expect(screen.getByRole('button', { name: 'Keep this measurement' })).toBeDisabled()
  pull()
  expect(await screen.findByTestId('fit')).toHaveTextContent(
    'Pulls lie 1 % about the fit, 33 % about the generic type.',
  )
  expect(sent[0]!.url).toBe('/api/gyms/g/machines/leg-press/fit')
  const p = (sent[0]!.body as { pulls: { at: number; forceN: number; direction: string }[] })
    .pulls[0]!
  expect(p.at).toBeCloseTo(0.2)
  expect(p.forceN).toBeCloseTo(415.8, 1)
  expect(p.direction).toBe('UP')
  expect(screen.getByTestId('pull')).toHaveTextContent('+33 %')
  expect(screen.getByLabelText('While it goes')).toHaveValue('DOWN')
  expect(screen.queryByTestId('effect')).toBeNull()
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Keep this measurement' })).toBeEnabled(),
  )
})

test('with a brief at hand it says what the fit does to the order', async () => {
  panel({ clientId: 'c', gymId: 'g', aim: { VL: 3 } })
  pull()
  expect(await screen.findByTestId('effect')).toHaveTextContent('Leg press, feet low from 1 to 3.')
})
