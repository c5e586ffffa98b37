import { act, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { expect, test } from 'vitest'
import { useFocusStays } from './useFocusStays'

function Rows() {
  useFocusStays()
  const [rows, setRows] = useState(['first', 'second'])
  return (
    <section aria-label="Rows">
      {rows.map((row) => (
        <div key={row}>
          <button onClick={() => setRows(rows.filter((text) => text !== row))}>Remove {row}</button>
        </div>
      ))}
    </section>
  )
}

function Sent() {
  useFocusStays()
  const [state, setState] = useState<'open' | 'sending' | 'back'>('open')
  const send = () => {
    setState('sending')
    setTimeout(() => setState('back'), 20)
  }
  return (
    <form aria-label="Intake" onSubmit={(event) => event.preventDefault()}>
      <input aria-label="Name" />
      <input aria-label="Weight" aria-invalid={state === 'back' ? true : undefined} />
      <button disabled={state === 'sending'} onClick={send}>
        Save
      </button>
    </form>
  )
}

function press(name: string) {
  const button = screen.getByRole('button', { name })
  act(() => button.focus())
  fireEvent.click(button)
}

test('the focus stays with the list when its row is removed', async () => {
  render(<Rows />)
  press('Remove first')
  await waitFor(() => expect(screen.getByRole('region', { name: 'Rows' })).toHaveFocus())
})

test('a form that comes back with faults has the focus on the first of them', async () => {
  render(<Sent />)
  press('Save')
  await waitFor(() => expect(screen.getByLabelText('Weight')).toHaveFocus())
})
