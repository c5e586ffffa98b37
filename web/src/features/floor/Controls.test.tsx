import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { LoadStepper, Stepper, repetitionsTyped } from './Controls'

afterEach(cleanup)

function type(label: string, text: string) {
  const field = screen.getByLabelText(label, { selector: 'input' })
  fireEvent.change(field, { target: { value: text } })
  fireEvent.blur(field)
}

test('repetitions that no set can have are said, not clipped', () => {
  const taken = vi.fn()
  render(
    <Stepper
      label="Repetitions"
      value="8"
      onLess={vi.fn()}
      onMore={vi.fn()}
      onType={(text) => repetitionsTyped(text, taken)}
    />,
  )
  for (const text of ['500', '0', '7.5', 'many']) {
    type('Repetitions', text)
    expect(screen.getByRole('alert')).toHaveTextContent('1 to 200')
  }
  expect(taken).not.toHaveBeenCalled()
  expect(screen.getByLabelText('Repetitions', { selector: 'input' })).toHaveValue('8')
  type('Repetitions', '12')
  expect(taken).toHaveBeenCalledWith(12)
  expect(screen.queryByRole('alert')).toBeNull()
})

test('a load that is no number changes nothing and says so; pounds are taken as pounds', () => {
  const onKg = vi.fn()
  render(<LoadStepper kg={50} loads={[]} unit="lb" onKg={onKg} />)
  type('Load', 'heavy')
  expect(screen.getByRole('alert')).toHaveTextContent('a number from 0')
  expect(onKg).not.toHaveBeenCalled()
  type('Load', '100')
  expect(onKg).toHaveBeenCalledWith(45.359)
})

test('a load that nobody has said is empty, and steps from the lightest', () => {
  const onKg = vi.fn()
  const loads = [0, 20, 25].map((kg) => ({
    kg,
    kind: 'STEPS' as const,
    emptyKg: 0,
    perSide: [],
    plates: 'NONE' as const,
  }))
  render(<LoadStepper kg={undefined} loads={loads} unit="kg" onKg={onKg} />)
  expect(screen.getByLabelText('Load', { selector: 'input' })).toHaveValue('')
  expect(screen.getByText('not known yet')).toBeInTheDocument()
  fireEvent.click(screen.getByRole('button', { name: 'More Load' }))
  expect(onKg).toHaveBeenCalledWith(20)
})
