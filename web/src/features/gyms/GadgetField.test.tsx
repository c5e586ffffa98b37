import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { GadgetField } from './GadgetField'

const link = {
  code: 'abc',
  kind: 'FORCE',
  unit: 'N',
  standIns: false,
  lines: 3,
  dropouts: 1,
  refused: 0,
  last: 380,
}

afterEach(() => vi.unstubAllGlobals())

test('a gadget is listened to until its reading stands still, then it is taken in the coach’s unit', async () => {
  let stable = false
  vi.stubGlobal('fetch', (request: Request) =>
    Promise.resolve(
      request.method === 'DELETE'
        ? new Response(null, { status: 204 })
        : Response.json({
            ...link,
            ...(stable ? { stable: { value: 392.266, spread: 0.4 } } : {}),
          }),
    ),
  )
  const onText = vi.fn()
  render(
    <QueryClientProvider client={new QueryClient()}>
      <GadgetField
        kind="FORCE"
        label="Scale reads"
        unit="kg"
        perInside={1 / 9.80665}
        text=""
        onText={onText}
        standIn={{}}
      />
    </QueryClientProvider>,
  )
  fireEvent.click(screen.getByRole('button', { name: 'From a scale' }))
  expect(await screen.findByText('38.7 kg, not still yet')).toBeInTheDocument()
  expect(screen.getByText('dropped out once, listening on')).toBeInTheDocument()
  expect(screen.getByText('Code for a gadget: abc')).toBeInTheDocument()
  expect(screen.queryByRole('button', { name: /stand-in/ })).toBeNull()
  stable = true
  fireEvent.click(await screen.findByRole('button', { name: 'Take 40 kg' }, { timeout: 3000 }))
  expect(onText).toHaveBeenCalledWith('40')
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'From a scale' })).toBeInTheDocument(),
  )
})
