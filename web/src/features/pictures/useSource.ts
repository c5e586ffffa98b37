import { useEffect, useState } from 'react'
import { dayOf } from '../../quantity/day'
import type { Day } from '../../quantity/day'

/** A picture or film that was chosen. It stays on this device. */
export type Source = { url: string; film: boolean; name: string; day: Day }

/** What was chosen, as long as it is looked at; the browser forgets it afterwards. */
export function useSource(): [Source | null, (file: File) => void] {
  const [source, setSource] = useState<Source | null>(null)
  useEffect(
    () => () => {
      if (source) URL.revokeObjectURL(source.url)
    },
    [source],
  )
  const choose = (file: File) =>
    setSource({
      url: URL.createObjectURL(file),
      film: file.type.startsWith('video/'),
      name: file.name,
      day: dayOf(new Date(file.lastModified)),
    })
  return [source, choose]
}
