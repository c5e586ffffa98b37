import { useEffect } from 'react'

/** The title of the page in the browser's tab. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = title
  }, [title])
}
