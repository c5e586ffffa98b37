import { renderHook, waitFor } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { Client, Gym } from '../../api/client'
import { parseBrief } from './brief'
import { useBeginning } from './useBeginning'

vi.mock('../../api/queries', () => ({
  fetchSessions: () => Promise.resolve([{ id: 's' }]),
  fetchSession: () =>
    Promise.resolve({
      clientId: 'newest',
      gymId: 'hall',
      brief: { aim: { GMED: 3 }, keepOut: ['GAST'], school: 'load' },
    }),
}))

const clients = [{ id: 'first' }] as Client[]
const gyms = [{ id: 'shed' }, { id: 'hall' }] as Gym[]

function begun(address: string, here = gyms) {
  const change = vi.fn()
  renderHook(() => useBeginning(parseBrief(new URLSearchParams(address)), change, clients, here))
  return change
}

test('a bare address begins as the newest session did', async () => {
  const change = begun('')
  await waitFor(() =>
    expect(change).toHaveBeenCalledWith(
      { client: 'newest', gym: 'hall', aim: { GMED: 3 }, keepOut: ['GAST'], school: 'load' },
      true,
    ),
  )
})

test('where the newest session was in a gym that was taken out, the first gym stands', async () => {
  const change = begun('', [{ id: 'shed' }] as Gym[])
  await waitFor(() =>
    expect(change).toHaveBeenCalledWith(
      expect.objectContaining({ client: 'newest', gym: 'shed' }),
      true,
    ),
  )
})

test('an aim that the address says is not overwritten', async () => {
  const change = begun('aim=VL.3')
  await waitFor(() => expect(change).toHaveBeenCalledWith({ client: 'newest', gym: 'hall' }, true))
})

test('a client who is chosen while the session is fetched stays, and only the gym is added', async () => {
  const change = vi.fn()
  const { rerender } = renderHook(
    ({ address }) => useBeginning(parseBrief(new URLSearchParams(address)), change, clients, gyms),
    { initialProps: { address: '' } },
  )
  rerender({ address: 'client=chosen' })
  await waitFor(() => expect(change).toHaveBeenCalled())
  expect(change.mock.calls).toEqual([[{ client: 'chosen', gym: 'hall' }, true]])
})

test('a client without a gym stands where they trained last, aiming at what they aimed at', async () => {
  const change = begun('client=newest')
  await waitFor(() =>
    expect(change).toHaveBeenCalledWith(
      { client: 'newest', gym: 'hall', aim: { GMED: 3 }, keepOut: ['GAST'], school: 'load' },
      true,
    ),
  )
})

test('a client who has not trained yet gets a gym, and nobody else’s aim', async () => {
  const change = begun('client=x')
  await waitFor(() => expect(change).toHaveBeenCalledWith({ client: 'x', gym: 'hall' }, true))
})

test('an address with a client and a gym is left alone', async () => {
  const change = begun('client=x&gym=shed')
  await new Promise((r) => setTimeout(r, 20))
  expect(change).not.toHaveBeenCalled()
})
