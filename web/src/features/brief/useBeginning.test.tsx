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
const gyms = [{ id: 'shed' }] as Gym[]

function begun(address: string) {
  const change = vi.fn()
  renderHook(() => useBeginning(parseBrief(new URLSearchParams(address)), change, clients, gyms))
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

test('an address with a client is left alone', async () => {
  const change = begun('client=x')
  await new Promise((r) => setTimeout(r, 20))
  expect(change).not.toHaveBeenCalled()
})
