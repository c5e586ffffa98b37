/** Where the kept brief goes along in the address; also: other words that find it. */
export type Screen = { to: string; label: string; also?: string }

export type Room = {
  to: string
  label: string
  also?: string
  /** paths that begin with one of these are in this room */
  paths: string[]
  /** the screens of the room; those of a client follow the client who is kept */
  screens: (client: string | undefined) => Screen[]
}

const none = () => []

/** The six rooms of the house. */
export const ROOMS: Room[] = [
  { to: '/', label: 'Today', also: 'home open advice', paths: [], screens: none },
  {
    to: '/clients',
    label: 'Clients',
    paths: ['/clients', '/record', '/sessions', '/side-by-side'],
    screens: (client) => [
      { to: '/clients', label: 'All clients' },
      ...(client
        ? [
            { to: `/clients/${client}`, label: 'Overview' },
            { to: `/clients/${client}/body`, label: 'Body', also: 'measurements tape known lifts' },
            {
              to: `/clients/${client}/picture`,
              label: 'Technique',
              also: 'picture photo film video camera',
            },
            { to: `/record/${client}`, label: 'Record', also: 'history progress lessons' },
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
      { to: '/exercises', label: 'Ranking', also: 'order best exercises' },
      { to: '/bench', label: 'Set-up', also: 'stance foot position' },
      { to: '/compare', label: 'Compare', also: 'point by point difference' },
      { to: '/exercises/by-word', label: 'Not computed', also: 'exercises by word own' },
    ],
  },
  { to: '/weeks', label: 'Plan', also: 'weeks block program', paths: ['/weeks'], screens: none },
  { to: '/floor', label: 'Train', also: 'floor log sets', paths: ['/floor'], screens: none },
  { to: '/gyms', label: 'Gyms', also: 'machines equipment', paths: ['/gyms'], screens: none },
]

/** One step behind: what the orders rest on. */
export const EVIDENCE: Screen[] = [
  { to: '/claims', label: 'Gym sayings, tested', also: 'claims myths studies evidence' },
  { to: '/schools', label: 'Ways of ranking', also: 'schools weights' },
]

/** Whether every word of a text begins a word by which a screen is known. */
export function isCalled(screen: Screen, text: string): boolean {
  const known = `${screen.label} ${screen.also ?? ''}`.toLowerCase().split(/[^a-z]+/)
  const asked = text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter(Boolean)
  return asked.length > 0 && asked.every((word) => known.some((key) => key.startsWith(word)))
}

/** The room that a path is in; none for what lies behind. */
export const roomOf = (pathname: string): Room | undefined =>
  pathname === '/'
    ? ROOMS[0]
    : ROOMS.find((room) =>
        room.paths.some((path) => pathname === path || pathname.startsWith(`${path}/`)),
      )

/** The screen of a room, or of what lies behind, that a path shows: the longest that fits. */
export function screenOf(pathname: string, client: string | undefined): Screen | undefined {
  const all = [...(roomOf(pathname)?.screens(client) ?? []), ...EVIDENCE]
  return all
    .filter((screen) => {
      const path = screen.to.split('?')[0]!
      return pathname === path || pathname.startsWith(`${path}/`)
    })
    .sort((first, second) => second.to.length - first.to.length)[0]
}
