import type { Today } from '../../api/client'
import { day } from '../../quantity/format'

type Props = { backup: Today['backup'] }

/** That a night's backup is missing, for whoever sees to the machine, and what to do. */
export function MissedBackup({ backup }: Props) {
  if (!backup?.late) return null
  return (
    <p role="alert" className="border-l-2 border-warn bg-paper-2 px-3 py-2">
      A night’s backup is missing.{' '}
      {backup.last ? `Last backup: ${day(backup.last)}.` : 'There is none yet.'} On the machine that
      Istmo runs on, <code>istmo backup</code> makes one now, or says what is in its way.
    </p>
  )
}

/** How old the newest backup is, where none is missing. */
export function LastBackup({ backup }: Props) {
  if (!backup || backup.late) return null
  const last = backup.last
    ? `Last backup: ${day(backup.last)}.`
    : 'No backup yet. The first is written some minutes after the start.'
  const tried = backup.tried ? ` Last restored for a try: ${day(backup.tried)}.` : ''
  return <p className="text-sm text-ink-2">{last + tried}</p>
}
