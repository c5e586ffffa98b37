import { createContext, useContext, useEffect } from 'react'

const KEYS = ['client', 'gym', 'aim', 'out', 'school', 'for', 'w', 'stiff', 'candidate']

/** What is a client's own: it stays behind when the client changes. */
const OF_THE_CLIENT = ['aim', 'out', 'stiff']

/** Screens whose address says a whole brief; others say at most whom they are about. */
const BRIEF_SCREENS = ['/exercises', '/bench', '/compare', '/side-by-side', '/claims', '/schools']

const CLIENT_IN_PATH = /^\/(?:clients|record)\/([0-9a-f]{8}-[0-9a-f-]{27})/

/** The brief to keep when an address is shown: the client stays the client in every room. */
export function keep(kept: string, pathname: string, search: string): string {
  const said = new URLSearchParams(search)
  if (BRIEF_SCREENS.includes(pathname) || pathname === '/weeks') {
    const whole = new URLSearchParams()
    for (const key of KEYS) {
      const value = said.get(key)
      if (value) whole.set(key, value)
    }
    if (whole.has('client') || whole.has('gym')) return whole.toString()
    return kept
  }
  return about(kept, CLIENT_IN_PATH.exec(pathname)?.[1] ?? said.get('client'))
}

/** The same brief for a client; another client's aim is not theirs. */
export function about(kept: string, client: string | null): string {
  const params = new URLSearchParams(kept)
  if (!client || params.get('client') === client) return kept
  for (const key of OF_THE_CLIENT) params.delete(key)
  params.set('client', client)
  return params.toString()
}

/** An address with the brief that is kept, where it says none of its own. */
export function withBrief(to: string, kept: string): string {
  const [path, own] = to.split('?') as [string, string?]
  const all = new URLSearchParams(kept)
  new URLSearchParams(own ?? '').forEach((value, key) => all.set(key, value))
  const takes = BRIEF_SCREENS.includes(path) || path === '/weeks' || path === '/gyms'
  if (!takes) return to
  return all.size > 0 ? `${path}?${all.toString()}` : path
}

/** What the frame keeps from room to room. */
export const Kept = createContext<{ brief: string; isAbout: (client: string) => void }>({
  brief: '',
  isAbout: () => {},
})

export const useKeptBrief = () => useContext(Kept).brief

/** Says whom a screen is about whose address does not say it. */
export function useIsAbout(client: string | undefined): void {
  const { isAbout } = useContext(Kept)
  useEffect(() => {
    if (client) isAbout(client)
  }, [client, isAbout])
}
