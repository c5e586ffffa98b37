import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { Link, Outlet, RouterProvider, createMemoryRouter } from 'react-router'
import { expect, test, vi } from 'vitest'
import { FormEnd } from '../ui/FormEnd'
import { Leaving } from './Leaving'

function Form({ onLeave }: { onLeave: () => void }) {
  const [typed, type] = useState('')
  return (
    <form>
      <input aria-label="Name" value={typed} onChange={(event) => type(event.target.value)} />
      <FormEnd unsaved={typed !== ''} saving={false} onLeave={onLeave} />
    </form>
  )
}

function show() {
  const left = vi.fn()
  const router = createMemoryRouter(
    [
      {
        element: (
          <>
            <Link to="/clients">Clients</Link>
            <Outlet />
            <Leaving />
          </>
        ),
        children: [
          {
            path: '/',
            element: <Form onLeave={() => (left(), void router.navigate('/clients'))} />,
          },
          { path: '/clients', element: <p>All clients</p> },
        ],
      },
    ],
    { initialEntries: ['/'] },
  )
  render(<RouterProvider router={router} />)
  return left
}

const types = () =>
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Isla Northgate' } })

test('what is typed and not saved is left only after a question', async () => {
  show()
  types()
  fireEvent.click(screen.getByText('Clients'))
  fireEvent.click(await screen.findByRole('button', { name: 'Stay here' }))
  await waitFor(() => expect(screen.queryByRole('alertdialog')).toBeNull())
  expect(screen.getByLabelText('Name')).toHaveValue('Isla Northgate')
  fireEvent.click(screen.getByText('Clients'))
  fireEvent.click(await screen.findByRole('button', { name: 'Leave' }))
  expect(await screen.findByText('All clients')).toBeInTheDocument()
})

test('nothing asks where nothing is typed, or where the coach cancels', async () => {
  const left = show()
  types()
  fireEvent.click(screen.getByRole('button', { name: 'Cancel' }))
  expect(await screen.findByText('All clients')).toBeInTheDocument()
  expect(left).toHaveBeenCalled()
  expect(screen.queryByRole('alertdialog')).toBeNull()
})

test('a closed tab is asked about too, as long as something is typed', () => {
  show()
  const closes = () => {
    const event = new Event('beforeunload', { cancelable: true })
    window.dispatchEvent(event)
    return event.defaultPrevented
  }
  expect(closes()).toBe(false)
  types()
  expect(closes()).toBe(true)
})
