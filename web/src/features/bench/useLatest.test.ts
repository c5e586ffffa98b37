import { act, renderHook, waitFor } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { parseSetup, writeSetup } from './address'
import { useLatest } from './useLatest'

test('one request in flight; wishes overtaken while waiting are dropped; the newest comes last', async () => {
  const release: ((v: string) => void)[] = []
  const ask = vi.fn(
    (wish: number) =>
      new Promise<string>((resolve) => release.push(() => resolve(`answer ${wish}`))),
  )
  const { result, rerender } = renderHook(({ wish }) => useLatest(wish, ask), {
    initialProps: { wish: 1 },
  })
  rerender({ wish: 2 })
  rerender({ wish: 3 })
  rerender({ wish: 4 })
  expect(ask).toHaveBeenCalledTimes(1)
  await act(() => Promise.resolve(release[0]!('')))
  expect(ask.mock.calls.map((c) => c[0])).toEqual([1, 4])
  expect(result.current.data).toBe('answer 1')
  await act(() => Promise.resolve(release[1]!('')))
  await waitFor(() =>
    expect(result.current).toEqual({ data: 'answer 4', error: null, pending: false }),
  )
})

test('an error is told, and the next wish is asked all the same', async () => {
  const ask = vi.fn((wish: number) =>
    wish === 1 ? Promise.reject(new Error('no')) : Promise.resolve(wish),
  )
  const { result, rerender } = renderHook(({ wish }) => useLatest<number, number>(wish, ask), {
    initialProps: { wish: 1 },
  })
  await waitFor(() => expect(result.current.error).toBeInstanceOf(Error))
  rerender({ wish: 2 })
  await waitFor(() => expect(result.current).toEqual({ data: 2, error: null, pending: false }))
})

test('a set-up comes back from the address as it was written', () => {
  expect(parseSetup(writeSetup({ depth: 92.5, stance: 0.4, pressure: -0.02 }))).toEqual({
    depth: 92.5,
    stance: 0.4,
    pressure: -0.02,
  })
  expect(parseSetup('depth.x~nonsense')).toBeNull()
  expect(parseSetup(null)).toBeNull()
})
