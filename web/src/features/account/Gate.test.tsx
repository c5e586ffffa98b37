import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { SIGNED_OUT } from '../../api/client'
import { Gate } from './Gate'
import { stayOut } from './signOut'

afterEach(() => {
  vi.unstubAllGlobals()
  stayOut(false)
})

function gate(account: () => object, posts: string[] = []) {
  vi.stubGlobal('fetch', (request: Request) => {
    const path = new URL(request.url).pathname
    if (request.method === 'POST') posts.push(path)
    if (path === '/api/account/sign-in')
      return Promise.resolve(
        new Response(JSON.stringify({ detail: 'Name or password is not right.' }), { status: 401 }),
      )
    return Promise.resolve(Response.json(account()))
  })
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Gate>
        <input aria-label="typed" />
      </Gate>
    </QueryClientProvider>,
  )
}

test('the demo signs in by itself, but not after somebody signed out', async () => {
  const posts: string[] = []
  let signedIn = false
  gate(() => {
    if (posts.length > 0) signedIn = true
    return { signedIn, demo: true, firstRun: false }
  }, posts)
  expect(await screen.findByLabelText('typed')).toBeInTheDocument()
  expect(posts).toEqual(['/api/account/demo'])
})

test('a demo whose session ends enters again by itself, under a screen that keeps what was typed', async () => {
  const posts: string[] = []
  let lost = false
  gate(() => ({ signedIn: posts.length > (lost ? 1 : 0), demo: true, firstRun: false }), posts)
  fireEvent.change(await screen.findByLabelText('typed'), { target: { value: 'half a note' } })
  lost = true
  act(() => void window.dispatchEvent(new Event(SIGNED_OUT)))
  await waitFor(() => expect(posts).toEqual(['/api/account/demo', '/api/account/demo']))
  expect(screen.getByLabelText('typed')).toHaveValue('half a note')
})

test('who signed out of the demo stays out until asked in', async () => {
  stayOut(true)
  const posts: string[] = []
  gate(() => ({ signedIn: posts.length > 0, demo: true, firstRun: false }), posts)
  fireEvent.click(await screen.findByRole('button', { name: 'Enter the demo' }))
  expect(await screen.findByLabelText('typed')).toBeInTheDocument()
})

test('a wrong password is said, and a first run asks for the first account', async () => {
  gate(() => ({ signedIn: false, demo: false, firstRun: false }))
  fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'me' } })
  fireEvent.click(screen.getByRole('button', { name: 'Sign in' }))
  expect(await screen.findByRole('alert')).toHaveTextContent('Name or password is not right.')
  expect(screen.getByLabelText('Name')).toHaveValue('me')
})

test('a first run asks for the first account', async () => {
  gate(() => ({ signedIn: false, demo: false, firstRun: true }))
  expect(await screen.findByText('The first coach on this machine')).toBeInTheDocument()
})

test('a session that ends asks on top of the screen, which keeps what was typed', async () => {
  let signedIn = true
  gate(() => ({ signedIn, demo: false, firstRun: false }))
  fireEvent.change(await screen.findByLabelText('typed'), { target: { value: 'half a note' } })
  signedIn = false
  act(() => void window.dispatchEvent(new Event(SIGNED_OUT)))
  expect(
    await screen.findByText('You were signed out. What you typed is kept.'),
  ).toBeInTheDocument()
  await waitFor(() =>
    expect(document.querySelector<HTMLInputElement>('input[aria-label="typed"]')!.value).toBe(
      'half a note',
    ),
  )
})

test('another coach who signs in sees nothing of what the one before typed or asked for', async () => {
  let account: object = { signedIn: true, id: 'first', demo: false, firstRun: false }
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(
      request.method === 'POST' ? new Response(null, { status: 204 }) : Response.json(account),
    ),
  )
  const queries = new QueryClient()
  render(
    <QueryClientProvider client={queries}>
      <Gate>
        <input aria-label="typed" />
      </Gate>
    </QueryClientProvider>,
  )
  fireEvent.change(await screen.findByLabelText('typed'), { target: { value: 'half a note' } })
  queries.setQueryData(['clients'], [{ name: 'of the first coach' }])
  account = { signedIn: false, demo: false, firstRun: false }
  act(() => void window.dispatchEvent(new Event(SIGNED_OUT)))
  fireEvent.change(await screen.findByLabelText('Name'), { target: { value: 'second' } })
  account = { signedIn: true, id: 'second', demo: false, firstRun: false }
  fireEvent.click(screen.getByRole('button', { name: 'Sign in' }))
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Sign in' })).toBeNull())
  expect(screen.getByLabelText('typed')).toHaveValue('')
  expect(queries.getQueryData(['clients'])).toBeUndefined()
})
