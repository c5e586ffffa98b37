import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ImportArchivePage } from './ImportArchivePage'

type Input = { text: string; gyms: Record<string, string>; names: Record<string, string> }

let previews: Input[] = []
let brought: Input[] = []

/** Two clients and two gyms in the file, one of each is here already. */
function preview(input: Input) {
  const line = (name: string) => {
    const as = input.names[name] ?? name
    const taken = as === 'Here Already'
    return { name, sessions: 3, sets: 40, weeks: 1, ...(as ? { as } : {}), taken }
  }
  const clients = [line('Here Already'), line('Quite New')]
  const gym = (name: string, own?: string) => ({
    name,
    items: 7,
    ...((input.gyms[name] ?? own) ? { gymId: input.gyms[name] ?? own } : {}),
  })
  const faults = clients
    .filter((client) => client.taken)
    .map((client) => ({ field: `names.${client.name}`, message: 'another client is called that' }))
  if (input.text.includes('broken'))
    faults.push({
      field: 'clients[1].sessions[0].items[0].sets[0].loadKg',
      message: '-5 is not within 0 to 1000 kg',
    })
  return {
    clients,
    gyms: [gym('Hall', 'g1'), gym('Shed')],
    variants: 1,
    schools: 0,
    faults,
    faultCount: faults.length,
    ready: faults.length === 0,
  }
}

beforeEach(() => {
  previews = []
  brought = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname
    if (path === '/api/gyms')
      return Response.json([
        { id: 'g1', version: 0, name: 'Hall', equipment: [] },
        { id: 'g2', version: 0, name: 'Barn', equipment: [] },
      ])
    const input = (await request.json()) as Input
    if (path === '/api/archives/preview') {
      previews.push(input)
      return Response.json(preview(input))
    }
    brought.push(input)
    return Response.json(
      { clients: { 'Quite New': 'c9' }, sessions: 3, sets: 40, weeks: 1 },
      { status: 201 },
    )
  })
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

async function chosen(text = '{}') {
  render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <ImportArchivePage />
      </QueryClientProvider>
    </MemoryRouter>,
  )
  const input = await screen.findByLabelText(/^File of a client/)
  fireEvent.change(input, { target: { files: [new File([text], 'account.json')] } })
  await screen.findByTestId('archive-clients')
}

test('a name that is taken stops it, until another is given', async () => {
  await chosen()
  expect(screen.getByText('you have a client of that name')).toBeInTheDocument()
  expect(screen.queryByText('names.Here Already')).toBeNull()
  expect(screen.getByRole('button', { name: 'Bring in 2 clients' })).toBeDisabled()
  const name = screen.getByLabelText('Here Already is called here')
  fireEvent.change(name, { target: { value: 'Here Twice' } })
  expect(previews, 'not with every letter').toHaveLength(1)
  fireEvent.blur(name)
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Bring in 2 clients' })).toBeEnabled(),
  )
  expect(previews.at(-1)!.names).toEqual({ 'Here Already': 'Here Twice' })
})

test('one is left out, a gym is another one here, and the rest comes in', async () => {
  await chosen()
  fireEvent.click(screen.getByLabelText('Here Already comes in'))
  await waitFor(() => expect(screen.getByLabelText('Here Already is called here')).toBeDisabled())
  expect(screen.getByLabelText('Hall is here')).not.toHaveTextContent('a new gym')
  expect(screen.getByLabelText('Shed is here')).toHaveTextContent('a new gym with its 7 things')
  fireEvent.change(screen.getByLabelText('Shed is here'), { target: { value: 'g2' } })
  await waitFor(() => expect(previews.at(-1)!.gyms).toEqual({ Shed: 'g2' }))
  fireEvent.click(await screen.findByRole('button', { name: 'Bring in Quite New' }))
  expect(
    await screen.findByText('1 client, 3 sessions with 40 sets, 1 planned week.'),
  ).toBeInTheDocument()
  expect(screen.getByRole('link', { name: 'The record of Quite New' })).toHaveAttribute(
    'href',
    '/record/c9',
  )
  expect(brought[0]).toMatchObject({ gyms: { Shed: 'g2' }, names: { 'Here Already': '' } })
})

test('what cannot be used has its place', async () => {
  await chosen('broken')
  expect(screen.getByText('clients[1].sessions[0].items[0].sets[0].loadKg')).toBeInTheDocument()
  expect(screen.getByText(/^1 place cannot be used/)).toBeInTheDocument()
})
