import { useSyncExternalStore } from 'react'

/**
 * What this device was answered last, so that plan and record can be read without a network. It
 * holds nothing for longer than two weeks, and nothing once its coach has signed out, another one
 * has signed in or a client was erased.
 */
const STORE = 'istmo-last-seen'
const KEPT_MS = 14 * 24 * 3600 * 1000
const SEEN_AT = 'x-istmo-seen-at'
const ACCOUNT = '/api/account'
const CLIENT = /^\/api\/clients\/[^/]+$/
const KEPT = [
  /^\/api\/(account|catalogue|clients|gyms|schools|weeks)$/,
  /^\/api\/(clients|weeks)\/[^/]+$/,
  /^\/api\/clients\/[^/]+\/record(\/.*)?$/,
]

let shownAt: number | undefined
const told = new Set<() => void>()

/** Since when what is on the screen may have changed, ms; undefined while the server answers. */
function shows(at: number | undefined) {
  if (at === shownAt) return
  shownAt = at
  told.forEach((tell) => tell())
}

export const useShownAsOf = () =>
  useSyncExternalStore(
    (tell) => {
      told.add(tell)
      return () => told.delete(tell)
    },
    () => shownAt,
  )

const isKept = (request: Request) =>
  request.method === 'GET' && KEPT.some((path) => path.test(new URL(request.url).pathname))

/** Asks who is signed in, or signs in to the demo, which answers the same. */
const isAboutAccount = (request: Request) => {
  const path = new URL(request.url).pathname
  return request.method === 'GET' ? path === ACCOUNT : path === `${ACCOUNT}/demo`
}

/** Forgets all of it. */
export async function forgetSeen(): Promise<void> {
  if ('caches' in globalThis) await caches.delete(STORE)
}

/** Keeps an answer where it is one that is kept; whose it is decides about those before. */
export async function keepSeen(request: Request, response: Response): Promise<void> {
  if (!('caches' in globalThis)) return
  if (!response.ok) return
  // pictures come from the device itself, and say nothing of the server
  if (isKept(request) || request.method !== 'GET') shows(undefined)
  if (request.method === 'DELETE' && CLIENT.test(new URL(request.url).pathname)) return forgetSeen()
  if (isAboutAccount(request)) {
    if (!(await sameCoach(response.clone()))) await forgetSeen()
    if (!((await response.clone().json()) as Who).signedIn) return
    return put(accountUrl(), response)
  }
  if (isKept(request)) await put(request.url, response)
}

const accountUrl = () => window.location.origin + ACCOUNT

async function put(url: string, response: Response): Promise<void> {
  const headers = new Headers(response.headers)
  headers.set(SEEN_AT, String(Date.now()))
  const body = await response.blob()
  await (await caches.open(STORE)).put(url, new Response(body, { headers }))
}

type Who = { id?: string; signedIn?: boolean }

async function sameCoach(response: Response): Promise<boolean> {
  const before = await (await caches.open(STORE)).match(accountUrl())
  if (!before) return false
  const was = (await before.json()) as Who
  const is = (await response.json()) as Who
  return is.signedIn === true && was.id === is.id
}

/**
 * The answer of before to a request that nobody answers now, if there is one. On the floor there is
 * none: it has its own store, in which something is written.
 */
export async function lastSeen(request: Request): Promise<Response | undefined> {
  if (!('caches' in globalThis) || !isKept(request) || request.signal.aborted) return undefined
  if (window.location.pathname.startsWith('/floor')) return undefined
  const found = await (await caches.open(STORE)).match(request.url)
  const at = Number(found?.headers.get(SEEN_AT))
  if (!found || !(Date.now() - at < KEPT_MS)) return undefined
  shows(Math.min(at, shownAt ?? at))
  return found
}
