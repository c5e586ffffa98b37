import { act, render, screen } from '@testing-library/react'
import { flushSync } from 'react-dom'
import { createMemoryRouter, Link, Outlet, RouterProvider, useLocation } from 'react-router'
import { afterEach, expect, test } from 'vitest'
import { useBrief } from './brief'

const reactTests = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }

afterEach(() => {
  reactTests.IS_REACT_ACT_ENVIRONMENT = true
})

function Frame() {
  const { search } = useLocation()
  return (
    <>
      <Link to={`/claims${search}`}>Claims</Link>
      <Outlet />
    </>
  )
}

function ChooseClient() {
  const [brief, change] = useBrief()
  return (
    <>
      <button type="button" onClick={() => change({ client: 'oda' })}>
        {brief.client ?? 'nobody'}
      </button>
      <button type="button" onClick={() => change({ stiff: !brief.stiff })}>
        stiff
      </button>
    </>
  )
}

test('a link that is pressed in the moment after a choice takes the choice along', async () => {
  const router = createMemoryRouter(
    [{ element: <Frame />, children: [{ path: '*', element: <ChooseClient /> }] }],
    { initialEntries: ['/?aim=VL.2'] },
  )
  await act(async () => {
    render(<RouterProvider router={router} flushSync={(work) => void flushSync(work)} />)
    await Promise.resolve()
  })
  reactTests.IS_REACT_ACT_ENVIRONMENT = false // as in a browser: nothing waits for React
  screen.getByRole('button', { name: 'nobody' }).click()
  for (let k = 0; k < 20; k++) await Promise.resolve() // what runs before the browser hears the next click
  screen.getByRole('button', { name: 'stiff' }).click()
  for (let k = 0; k < 20; k++) await Promise.resolve()
  screen.getByRole('link', { name: 'Claims' }).click()
  for (let k = 0; k < 20; k++) await Promise.resolve()
  expect(router.state.location.pathname).toBe('/claims')
  const search = new URLSearchParams(router.state.location.search)
  expect(Object.fromEntries(search)).toEqual({ aim: 'VL.2', client: 'oda', stiff: '1' })
})
