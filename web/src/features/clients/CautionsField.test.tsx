import { fireEvent, render, screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { Catalogue, Client } from '../../api/client'
import { CautionsField } from './CautionsField'

const known: Catalogue['cautions'] = [
  {
    id: 'KNEE_REPLACEMENT',
    label: 'knee replacement',
    asksClearance: true,
    reason: 'Deep knee bend waits.',
    advice: 'Controlled range.',
  },
  {
    id: 'LAY_OFF',
    label: 'back after a lay-off',
    asksClearance: false,
    reason: '',
    advice: 'Begin at about half.',
  },
]

function field(
  cautions: Client['cautions'],
  restrictions: Client['restrictions'] = [],
  fault: (f: string) => string | undefined = () => undefined,
) {
  const onCautions = vi.fn()
  const onRestrictions = vi.fn()
  render(
    <CautionsField
      known={known}
      redFlags={['a joint that swells']}
      cautions={cautions}
      restrictions={restrictions}
      onCautions={onCautions}
      onRestrictions={onRestrictions}
      fault={fault}
    />,
  )
  return { onCautions, onRestrictions }
}

test('only a caution that waits for a clinician asks who cleared it', () => {
  field([{ caution: 'KNEE_REPLACEMENT' }, { caution: 'LAY_OFF' }])
  expect(screen.getAllByLabelText('Cleared by')).toHaveLength(1)
  expect(screen.getByText('Cautions and restrictions (2)')).toBeInTheDocument()
})

test('ticking adds a caution, unticking takes it with its clearance', () => {
  const { onCautions } = field([
    { caution: 'KNEE_REPLACEMENT', clearedBy: 'Dr Amsel', clearedOn: '2026-11-01' },
  ])
  fireEvent.click(screen.getByRole('checkbox', { name: /lay-off/ }))
  expect(onCautions).toHaveBeenLastCalledWith([
    { caution: 'KNEE_REPLACEMENT', clearedBy: 'Dr Amsel', clearedOn: '2026-11-01' },
    { caution: 'LAY_OFF' },
  ])
  fireEvent.click(screen.getByRole('checkbox', { name: /knee replacement/ }))
  expect(onCautions).toHaveBeenLastCalledWith([])
})

test('a restriction carries its words, its angle and its faults', () => {
  const restriction = { by: 'Dr Amsel', on: '2026-11-01', text: '', noLoadedBack: false }
  const { onRestrictions } = field([], [restriction], (field) =>
    field === 'restrictions.text' ? 'needs what it says' : undefined,
  )
  expect(screen.getByText('needs what it says')).toBeInTheDocument()
  fireEvent.change(screen.getByLabelText('Most knee bend (°)'), { target: { value: '80' } })
  expect(onRestrictions).toHaveBeenLastCalledWith([{ ...restriction, kneeMaxDeg: 80 }])
  fireEvent.click(screen.getByRole('checkbox', { name: 'no load on the back' }))
  expect(onRestrictions).toHaveBeenLastCalledWith([{ ...restriction, noLoadedBack: true }])
  fireEvent.click(screen.getByRole('button', { name: 'Remove this restriction' }))
  expect(onRestrictions).toHaveBeenLastCalledWith([])
})
