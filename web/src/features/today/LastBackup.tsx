import type { Today } from '../../api/client'
import { day } from '../../quantity/format'

/** How old the newest backup is, for whoever sees to the machine; a missed night stands out. */
export function LastBackup({ backup }: { backup: Today['backup'] }) {
  if (!backup) return null
  const last = backup.last
    ? `Last backup: ${day(backup.last)}.`
    : 'No backup yet. The first is written some minutes after the start.'
  const tried = backup.tried ? ` Last restored for a try: ${day(backup.tried)}.` : ''
  return backup.late ? (
    <p role="alert" className="border-l-2 border-warn bg-paper-2 px-3 py-2">
      A night’s backup is missing. {backup.last ? last : 'There is none yet.'} Look at the log of
      the machine that Istmo runs on.
    </p>
  ) : (
    <p className="text-sm text-ink-2">
      {last}
      {tried}
    </p>
  )
}
