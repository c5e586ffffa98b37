import { act, renderHook, waitFor } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { parseSetup, writeSetup } from './address'
import { useLatest } from './useLatest'

test('one request in flight; questions overtaken while waiting are dropped; the newest comes last', async () => {
  const release: ((v: string) => void)[] = []
  const ask = vi.fn(
    (question: number) =>
      new Promise<string>((resolve) => release.push(() => resolve(`answer ${question}`))),
  )
  const { result, rerender } = renderHook(({ question }) => useLatest(question, ask), {
    initialProps: { question: 1 },
  })
  rerender({ question: 2 })
  rerender({ question: 3 })
  rerender({ question: 4 })
  expect(ask).toHaveBeenCalledTimes(1)
  await act(() => Promise.resolve(release[0]!('')))
  expect(ask.mock.calls.map((call) => call[0])).toEqual([1, 4])
  expect(result.current.data).toBe('answer 1')
  await act(() => Promise.resolve(release[1]!('')))
  await waitFor(() =>
    expect(result.current).toEqual({ data: 'answer 4', error: null, pending: false }),
  )
})

test('an error is told, and the next question is asked all the same', async () => {
  const ask = vi.fn((question: number) =>
    question === 1 ? Promise.reject(new Error('no')) : Promise.resolve(question),
  )
  const { result, rerender } = renderHook(
    ({ question }) => useLatest<number, number>(question, ask),
    {
      initialProps: { question: 1 },
    },
  )
  await waitFor(() => expect(result.current.error).toBeInstanceOf(Error))
  rerender({ question: 2 })
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
