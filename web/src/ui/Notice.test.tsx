import { render, screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import { Trouble } from './Notice'

test('only what went wrong at the server has a number in its log', () => {
  const failed = Object.assign(new Error('Something went wrong here.'), {
    status: 500,
    requestId: '7d1e',
  })
  const { rerender } = render(<Trouble error={failed} />)
  expect(screen.getByText(/in the server’s log: 7d1e/)).toBeVisible()
  rerender(<Trouble error={Object.assign(failed, { status: 409 })} />)
  expect(screen.queryByText(/7d1e/)).toBeNull()
  rerender(<Trouble error={undefined} />)
  expect(screen.getByText('Something went wrong.')).toBeVisible()
})
