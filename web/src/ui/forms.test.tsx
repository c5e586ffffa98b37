import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { z } from 'zod/mini'
import { chosen, typedNumber } from '../quantity/typed'
import { Choice, Field } from './Field'
import { useSavedForm } from './forms'

const LOAD = z.object({ loadKg: typedNumber, note: chosen<'kept' | 'gone'>() })

function Form({ save }: { save: (read: z.output<typeof LOAD>) => Promise<void> }) {
  const form = useSavedForm({ reads: LOAD, begins: { loadKg: '', note: 'kept' as const }, save })
  return (
    <form onSubmit={form.submit} noValidate>
      <Field label="Load" {...form.box('loadKg')} />
      <Choice
        label="Note"
        options={[
          { value: 'kept', label: 'keep' },
          { value: 'gone', label: 'drop' },
        ]}
        {...form.choice('note')}
      />
      {form.trouble && <p>{form.trouble.message}</p>}
      <button type="submit">Save</button>
    </form>
  )
}

function show(save: (read: z.output<typeof LOAD>) => Promise<void>) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Form save={save} />
    </QueryClientProvider>,
  )
  return (text: string) => {
    fireEvent.change(screen.getByLabelText('Load'), { target: { value: text } })
    fireEvent.click(screen.getByRole('button', { name: 'Save' }))
  }
}

test('what is no number is marked at its box and never sent', async () => {
  const save = vi.fn(() => Promise.resolve())
  const send = show(save)
  send('sixty')
  expect(await screen.findByText('“sixty” is not a number')).toBeVisible()
  expect(screen.getByLabelText('Load')).toHaveAttribute('aria-invalid', 'true')
  expect(save).not.toHaveBeenCalled()
  send('62,5')
  await waitFor(() => expect(save.mock.calls).toEqual([[{ loadKg: 62.5, note: 'kept' }]]))
  send('')
  await waitFor(() => expect(save).toHaveBeenLastCalledWith({ loadKg: undefined, note: 'kept' }))
})

test('what the server finds wrong stands at its box until that is changed, and nothing typed is lost', async () => {
  const wrong = Object.assign(new Error('2 values are not right.'), {
    faults: [
      { field: 'loadKg', message: '900 is not within 0 to 600' },
      { field: 'note', message: 'is needed' },
    ],
  })
  const send = show(() => Promise.reject(wrong))
  send('900')
  expect(await screen.findByText('900 is not within 0 to 600')).toBeVisible()
  expect(screen.queryByText('2 values are not right.')).toBeNull()
  expect(screen.getByLabelText('Load')).toHaveValue('900')
  fireEvent.change(screen.getByLabelText('Load'), { target: { value: '90' } })
  await waitFor(() => expect(screen.queryByText('900 is not within 0 to 600')).toBeNull())
  expect(screen.getByText('is needed')).toBeVisible()
  fireEvent.click(screen.getByLabelText('drop'))
  await waitFor(() => expect(screen.queryByText('is needed')).toBeNull())
})

test('what is wrong with no single box is said as it is', async () => {
  const send = show(() => Promise.reject(new Error('The server does not answer.')))
  send('90')
  expect(await screen.findByText('The server does not answer.')).toBeVisible()
})
