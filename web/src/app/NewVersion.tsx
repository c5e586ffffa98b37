import { useEffect, useState } from 'react'
import { Button } from '../ui/Button'
import { NEW_VERSION, newVersionWaits, takeNewVersion } from './keepScreens'

/** Says that a newer version waits; nothing is loaded anew under somebody's hands. */
export function NewVersion() {
  const [waits, setWaits] = useState(newVersionWaits)
  useEffect(() => {
    const on = () => setWaits(true)
    window.addEventListener(NEW_VERSION, on)
    return () => window.removeEventListener(NEW_VERSION, on)
  }, [])
  if (!waits) return null
  return (
    <p role="status" className="no-print flex items-baseline gap-2 text-sm">
      A newer version is here.
      <Button look="bare" className="!min-h-6 !p-0" onClick={takeNewVersion}>
        Load it
      </Button>
    </p>
  )
}
