import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, expect, test, vi } from 'vitest'
import type { MeasuredKind, Measurements } from '../../api/client'
import { MeasurePage } from './MeasurePage'

const kind = (partial: Partial<MeasuredKind>): MeasuredKind => ({
  kind: 'THIGH',
  label: 'thigh length',
  unit: 'm',
  twoSided: true,
  how: 'From the hip to the knee.',
  origin: 'ESTIMATED',
  readings: [],
  ranges: [],
  ...partial,
})

const measurements: Measurements = {
  clientId: 'c',
  clientName: 'Oda Fenwick',
  notes: ['The knee-to-wall reading would say 63°.'],
  dorsiflexionDeg: 36,
  kinds: [
    kind({ used: 0.4288 }),
    kind({
      kind: 'MASS',
      label: 'mass',
      unit: 'kg',
      twoSided: false,
      origin: 'MEASURED',
      used: 63.4,
      error: 0.2,
      readings: [{ id: 'r', side: 'NONE', value: 63.4, on: '2026-11-02' }],
    }),
  ],
}

const BY_PATH: Record<string, object> = {
  '/api/clients/c/lifts': { lifts: [], lumbarNm: 402 },
  '/api/catalogue': { exercises: [] },
  '/api/starts': [],
}

afterEach(() => vi.unstubAllGlobals())

function page(answers: (body: unknown) => Response) {
  vi.stubGlobal('fetch', async (request: Request) =>
    request.method === 'GET'
      ? Response.json(BY_PATH[new URL(request.url).pathname] ?? measurements)
      : answers(await request.json()),
  )
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={['/clients/c']}>
        <Routes>
          <Route path="/clients/:id" element={<MeasurePage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  )
}

test('marks what is estimated and what is measured, with its error', async () => {
  page(() => Response.json(measurements))
  const thigh = (await screen.findByRole('rowheader', { name: 'thigh length' })).closest('tr')!
  expect(within(thigh).getByText('43 cm')).toBeInTheDocument()
  expect(within(thigh).getByText('estimated')).toBeInTheDocument()
  const mass = screen.getByRole('rowheader', { name: 'mass' }).closest('tr')!
  expect(mass).toHaveTextContent('measured Mon 2 Nov ± 0.2 kg')
  expect(screen.getByRole('alert')).toHaveTextContent('63°')
  expect(await screen.findByTestId('strength')).toHaveTextContent(
    'no loads are shown, only shares and ranges. The lower back holds about 400 N m (estimated',
  )
})

test('centimetres are sent as metres, and a fault comes back in centimetres with nothing lost', async () => {
  const sent: unknown[] = []
  page((body) => {
    sent.push(body)
    return new Response(
      JSON.stringify({
        detail: 'no',
        faults: [{ field: 'value', message: '0.82 is not within 0.25 to 0.65 m' }],
      }),
      { status: 422, headers: { 'content-type': 'application/problem+json' } },
    )
  })
  fireEvent.click(await screen.findByLabelText('left'))
  fireEvent.change(screen.getByLabelText('Reading (cm)'), { target: { value: '82' } })
  fireEvent.click(screen.getByRole('button', { name: 'Add the reading' }))
  expect(await screen.findByText('82 is not within 25 to 65 cm')).toBeInTheDocument()
  expect(sent[0]).toMatchObject({ kind: 'THIGH', side: 'LEFT', value: 0.82 })
  await waitFor(() => expect(screen.getByLabelText('Reading (cm)')).toHaveValue('82'))
})
