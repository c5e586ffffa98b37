import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Schemas } from '../../api/client'
import { keys } from '../../api/queries'
import { Thumb } from './Thumb'

const picture = (candidateId: string): Schemas['PictureView'] => ({
  candidateId,
  machine: [],
  rounds: [{ role: 'head', centre: { x: 0, y: 1.6 }, radius: 0.1 }],
  body: [
    {
      role: 'trunk',
      points: [
        { x: 0, y: 0.9 },
        { x: 0.1, y: 1.4 },
        { x: -0.1, y: 1.4 },
      ],
      closed: true,
    },
  ],
})

const shown = (candidateId: string) => {
  const queries = new QueryClient()
  queries.setQueryData(keys.pictures, [picture('back-squat/high-bar')])
  return render(
    <QueryClientProvider client={queries}>
      <Thumb candidateId={candidateId} className="" />
    </QueryClientProvider>,
  ).container.querySelector('svg')
}

test('the frame holds head and trunk', () => {
  const [, y, , size] = shown('back-squat/high-bar')!
    .getAttribute('viewBox')!
    .split(' ')
    .map(Number)
  expect(-y!).toBeGreaterThan(1.7)
  expect(size! + y!).toBeGreaterThan(-0.9)
})

test('an own set-up has the picture of its exercise, an exercise by word has none', () => {
  expect(shown('back-squat/own-1')).not.toBeNull()
  expect(shown('clam/by-word')).toBeNull()
})
