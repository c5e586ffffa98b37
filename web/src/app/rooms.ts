/** Where the kept brief goes along in the address. */
export type Screen = { to: string; label: string }

export type Room = {
  to: string
  label: string
  /** paths that begin with one of these are in this room */
  paths: string[]
  /** the screens of the room; those of a client follow the client who is kept */
  screens: (client: string | undefined) => Screen[]
}

const none = () => []

/** The six rooms of the house. */
export const ROOMS: Room[] = [
  { to: '/', label: 'Today', paths: [], screens: none },
  {
    to: '/clients',
    label: 'Clients',
    paths: ['/clients', '/record', '/sessions', '/side-by-side'],
    screens: (client) => [
      { to: '/clients', label: 'All clients' },
      ...(client
        ? [
            { to: `/clients/${client}`, label: 'Overview' },
            { to: `/clients/${client}/body`, label: 'Body' },
            { to: `/record/${client}`, label: 'Record' },
            { to: `/sessions?client=${client}`, label: 'Sessions' },
          ]
        : [{ to: '/sessions', label: 'Sessions' }]),
      { to: '/side-by-side', label: 'Two side by side' },
    ],
  },
  {
    to: '/exercises',
    label: 'Exercises',
    paths: ['/exercises', '/bench', '/compare'],
    screens: () => [
      { to: '/exercises', label: 'Ranking' },
      { to: '/bench', label: 'Set-up' },
      { to: '/compare', label: 'Compare' },
      { to: '/exercises/by-word', label: 'Not computed' },
    ],
  },
  { to: '/weeks', label: 'Plan', paths: ['/weeks'], screens: none },
  { to: '/floor', label: 'Train', paths: ['/floor'], screens: none },
  { to: '/gyms', label: 'Gyms', paths: ['/gyms'], screens: none },
]

/** One step behind: what the orders rest on. */
export const EVIDENCE: Screen[] = [
  { to: '/claims', label: 'Gym sayings, tested' },
  { to: '/schools', label: 'Ways of ranking' },
]

/** The room that a path is in; none for what lies behind. */
export const roomOf = (pathname: string): Room | undefined =>
  pathname === '/'
    ? ROOMS[0]
    : ROOMS.find((r) => r.paths.some((p) => pathname === p || pathname.startsWith(`${p}/`)))

/** The screen of a room, or of what lies behind, that a path shows: the longest that fits. */
export function screenOf(pathname: string, client: string | undefined): Screen | undefined {
  const all = [...(roomOf(pathname)?.screens(client) ?? []), ...EVIDENCE]
  return all
    .filter((s) => {
      const path = s.to.split('?')[0]!
      return pathname === path || pathname.startsWith(`${path}/`)
    })
    .sort((a, b) => b.to.length - a.to.length)[0]
}
