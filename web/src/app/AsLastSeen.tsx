import { useShownAsOf } from '../api/lastSeen'
import { moment } from '../quantity/format'

/** Says that nobody answers, and how old what is on the screen is. */
export function AsLastSeen() {
  const at = useShownAsOf()
  return (
    <p
      role="status"
      className={
        at === undefined ? 'sr-only' : 'border-l-2 border-warn bg-paper-2 px-3 py-1.5 text-sm'
      }
    >
      {at !== undefined &&
        `The server does not answer. This device shows what it saw last, ${moment(at)}: it can be read, not changed.`}
    </p>
  )
}
