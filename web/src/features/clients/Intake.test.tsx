import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { afterEach, expect, test, vi } from 'vitest'
import type { Catalogue, Client } from '../../api/client'
import { Intake } from './Intake'
import { UNKNOWN } from './ProfileField'

const client = {
  id: 'c',
  name: 'Oda Fenwick',
  statureM: 1.755,
  massKg: 68.4,
  sex: 'FEMALE',
  thigh: 'USUAL',
  ankle: 'USUAL',
  pain: [],
  profile: UNKNOWN,
  cautions: [],
  restrictions: [],
  version: 3,
} as unknown as Client

const catalogue = {
  painFlags: [],
  redFlags: [],
  cautions: [],
  approaches: [],
  habits: [],
  exercises: [],
  byWord: [],
} as unknown as Catalogue

afterEach(() => vi.unstubAllGlobals())

test('a new name leaves height and weight as they were', async () => {
  const sent: Record<string, unknown>[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    sent.push((await request.clone().json()) as Record<string, unknown>)
    return Response.json(client)
  })
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <Intake client={client} catalogue={catalogue} onDone={() => {}} onTakenIn={() => {}} />
      </MemoryRouter>
    </QueryClientProvider>,
  )
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Oda Marsh' } })
  fireEvent.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({ name: 'Oda Marsh', statureM: 1.755, massKg: 68.4, version: 3 })
})
