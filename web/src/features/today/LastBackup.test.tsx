import { render, screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Today } from '../../api/client'
import { LastBackup, MissedBackup } from './LastBackup'

test('a backup of last night is told quietly, with its last try', () => {
  render(
    <LastBackup
      backup={{ last: '2026-03-02T12:31:00Z', tried: '2026-02-27T12:31:00Z', late: false }}
    />,
  )
  expect(
    screen.getByText('Last backup: Mon 2 Mar. Last restored for a try: Fri 27 Feb.'),
  ).toBeVisible()
})

test('a missed night stands out, and a coach who does not see to the machine is told nothing', () => {
  const late = { last: '2026-03-02T12:31:00Z', late: true }
  const both = (backup: Today['backup']) => (
    <>
      <MissedBackup backup={backup} />
      <LastBackup backup={backup} />
    </>
  )
  const { rerender } = render(both(late))
  expect(screen.getByRole('alert')).toHaveTextContent('backup is missing. Last backup: Mon 2 Mar.')
  expect(screen.getAllByText(/Last backup/)).toHaveLength(1)
  rerender(both(undefined))
  expect(screen.queryByText(/backup/)).toBeNull()
})
