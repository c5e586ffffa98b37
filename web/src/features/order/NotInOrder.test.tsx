import { render, screen } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { expect, test } from 'vitest'
import type { Order } from '../../api/client'
import { Excluded } from './NotInOrder'

const out = (name: string, more: Partial<Order['excluded'][number]>) => ({
  candidateId: name,
  name,
  kind: 'GYM' as const,
  reason: { kind: 'SAID', values: {}, words: 'Not here: hack squat.' },
  improvised: [],
  ...more,
})

test('set-ups that are out for the same reason are told in one line, others in their own', () => {
  const excluded = [
    out('Hack squat', {}),
    out('Hack squat, feet low', {}),
    out('Leg press', {
      kind: 'PAIN',
      reason: { kind: 'SAID', values: {}, words: 'Sore knee: it bends deep.' },
    }),
    out('Band walk', {
      kind: 'BY_WORD',
      reason: { kind: 'SAID', values: {}, words: 'Nobody measures the bands.' },
    }),
  ]
  const order = { excluded, entries: [{}] } as unknown as Order
  render(
    <MemoryRouter>
      <Excluded order={order} />
    </MemoryRouter>,
  )
  expect(screen.getByText('4 not in the order, and why')).toBeInTheDocument()
  expect(
    screen.getAllByRole('listitem', { hidden: true }).map((element) => element.textContent),
  ).toEqual([
    'Hack squat; Hack squat, feet low — Not here: hack squat.',
    'Leg press — left out: Sore knee: it bends deep.',
    'Band walk — by word, not computed: Nobody measures the bands. Use it by word',
  ])
})
