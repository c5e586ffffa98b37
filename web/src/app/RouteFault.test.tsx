import { render, screen } from '@testing-library/react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, expect, test, vi } from 'vitest'
import { RouteFault } from './RouteFault'

afterEach(() => vi.restoreAllMocks())

test('a screen that throws leaves the frame standing and says the ways on', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const Broken = () => {
    throw new Error('no')
  }
  const router = createMemoryRouter([
    { path: '/', element: <Broken />, errorElement: <RouteFault /> },
  ])
  render(<RouterProvider router={router} />)
  expect(await screen.findByRole('alert')).toHaveTextContent('This screen has failed.')
  expect(screen.getByRole('button', { name: 'Load again' })).toBeInTheDocument()
  expect(screen.getByRole('link', { name: 'To Today' })).toHaveAttribute('href', '/')
})
