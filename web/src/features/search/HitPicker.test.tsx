import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { HitPicker } from './HitPicker'
import { placeOf } from './hits'

const hit = (id: string, name: string) => ({ kind: 'EXERCISE', id, name, by: name, note: '' })

const answers: Record<string, unknown[]> = {
  squat: [hit('back-squat/high-bar', 'Back squat'), hit('front-squat/front', 'Front squat')],
  oda: [{ kind: 'CLIENT', id: 'c', name: 'Oda Fenwick', by: 'Oda Fenwick', note: '' }],
  nothing: [],
}

function opened(onPick: (hit: { id: string }) => void) {
  let slow: Promise<void> = Promise.resolve()
  vi.spyOn(globalThis, 'fetch').mockImplementation(async (request) => {
    const text = new URL((request as Request).url).searchParams.get('text')!
    await slow
    return new Response(JSON.stringify(answers[text] ?? []), {
      headers: { 'Content-Type': 'application/json' },
    })
  })
  render(
    <QueryClientProvider client={new QueryClient()}>
      <HitPicker
        label="Name"
        onPick={onPick}
        known={(text) =>
          text === 'gyms'
            ? [{ kind: 'SCREEN', id: '/gyms', name: 'Gyms', by: 'Gyms', note: '' }]
            : []
        }
        nothing={(text) => <p>no {text}</p>}
      />
    </QueryClientProvider>,
  )
  return {
    holdBack: () => {
      let go = () => {}
      slow = new Promise((done) => (go = done))
      return () => go()
    },
  }
}

const types = (text: string) =>
  fireEvent.change(screen.getByRole('combobox'), { target: { value: text } })
const presses = (key: string) => fireEvent.keyDown(screen.getByRole('combobox'), { key })

afterEach(() => vi.restoreAllMocks())

test('arrows choose, Enter picks', async () => {
  const onPick = vi.fn()
  opened(onPick)
  types('squat')
  await screen.findByText('Front squat')
  presses('ArrowDown')
  presses('Enter')
  expect(onPick).toHaveBeenCalledWith(expect.objectContaining({ id: 'front-squat/front' }))
})

test('Enter before the answer picks of the answer, never of the one before', async () => {
  const onPick = vi.fn()
  const server = opened(onPick)
  types('squat')
  await screen.findByText('Back squat')
  const go = server.holdBack()
  types('oda')
  presses('Enter')
  expect(onPick).not.toHaveBeenCalled()
  go()
  await waitFor(() => expect(onPick).toHaveBeenCalledTimes(1))
  expect(onPick).toHaveBeenCalledWith(expect.objectContaining({ id: 'c' }))
})

test('what the screen knows comes with the rest, and nothing is said to be nothing', async () => {
  opened(vi.fn())
  types('gyms')
  await screen.findByText('Gyms')
  types('nothing')
  await screen.findByText('no nothing')
})

test('a hit leads to its screen and takes the brief along', () => {
  const brief = 'client=c&gym=g'
  expect(placeOf({ kind: 'EXERCISE', id: 'leg-press/low', name: 'Leg press' }, brief)).toBe(
    '/bench?client=c&gym=g&candidate=leg-press%2Flow',
  )
  expect(placeOf({ kind: 'BY_WORD', id: 'clam/by-word', name: 'Clam' }, brief)).toBe(
    '/exercises/by-word?client=c&gym=g&show=clam%2Fby-word',
  )
  expect(placeOf({ kind: 'CLIENT', id: 'x', name: 'Oda' }, brief)).toBe('/clients/x')
  expect(placeOf({ kind: 'GYM', id: 'y', name: 'Hall' }, brief)).toBe('/gyms/y')
})
