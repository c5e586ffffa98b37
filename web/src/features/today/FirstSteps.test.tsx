import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter, useLocation } from 'react-router'
import { afterEach, expect, test, vi } from 'vitest'
import { keys } from '../../api/queries'
import { FirstSteps } from './FirstSteps'

function Where() {
  const at = useLocation()
  return <p data-testid="where">{at.pathname + at.search}</p>
}

function shown(clients: number, gyms: number) {
  const queries = new QueryClient()
  queries.setQueryData(keys.catalogue, { equipment: [{ id: 'barbell' }, { id: 'leg-press' }] })
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <FirstSteps clients={clients} gyms={gyms} />
        <Where />
      </MemoryRouter>
    </QueryClientProvider>,
  )
}

afterEach(() => vi.unstubAllGlobals())

test('a sample client and a gym that has everything lead to a ranking', async () => {
  const sent: Record<string, unknown>[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    sent.push((await request.clone().json()) as Record<string, unknown>)
    return Response.json({ id: request.url.endsWith('/gyms') ? 'g' : 'c' })
  })
  shown(0, 0)
  fireEvent.click(screen.getByRole('button', { name: 'Look around with a sample client' }))
  await waitFor(() =>
    expect(screen.getByTestId('where')).toHaveTextContent('/exercises?client=c&gym=g&aim=GMAXM.3'),
  )
  expect(sent[1]).toMatchObject({ equipment: ['barbell', 'leg-press'] })
})

test('whoever has a client of their own is not offered a sample', () => {
  shown(1, 0)
  expect(screen.queryByRole('button')).toBeNull()
})
