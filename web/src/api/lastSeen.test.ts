import { beforeEach, expect, test, vi } from 'vitest'
import { forgetSeen, keepSeen, lastSeen } from './lastSeen'

const BASE = window.location.origin
const DAY_MS = 24 * 3600 * 1000
let stores: Map<string, Map<string, Response>>

beforeEach(() => {
  stores = new Map()
  vi.stubGlobal('caches', {
    delete: (name: string) => Promise.resolve(stores.delete(name)),
    open: (name: string) => {
      const store = stores.get(name) ?? new Map<string, Response>()
      stores.set(name, store)
      return Promise.resolve({
        match: (url: string) => Promise.resolve(store.get(url)?.clone()),
        put: (url: string, response: Response) => Promise.resolve(store.set(url, response)),
      })
    },
  })
  vi.useRealTimers()
})

const get = (path: string) => new Request(BASE + path)
const keep = (path: string, body: unknown, init?: ResponseInit) =>
  keepSeen(get(path), new Response(JSON.stringify(body), init))
const seen = async (path: string): Promise<unknown> => (await lastSeen(get(path)))?.json()

test('plan and record are answered as they were seen last', async () => {
  await keep('/api/weeks/1', { name: 'Block one' })
  await keep('/api/clients/7/record', { sets: 12 })
  await keep('/api/clients/7/record/series/3', { sets: 4 })
  expect(await seen('/api/weeks/1')).toEqual({ name: 'Block one' })
  expect(await seen('/api/clients/7/record')).toEqual({ sets: 12 })
  expect(await seen('/api/clients/7/record/series/3')).toEqual({ sets: 4 })
  await keep('/api/weeks/1', { name: 'Block two' })
  expect(await seen('/api/weeks/1')).toEqual({ name: 'Block two' })
})

test('what is refused, changed or asked for the moment is not kept', async () => {
  await keep('/api/weeks/1', { detail: 'gone' }, { status: 404 })
  await keep('/api/search?text=oda', ['Oda'])
  await keepSeen(
    new Request(`${BASE}/api/weeks`, { method: 'POST', body: '{}' }),
    new Response('{}'),
  )
  expect(await seen('/api/weeks/1')).toBeUndefined()
  expect(await seen('/api/search?text=oda')).toBeUndefined()
  expect(await seen('/api/weeks')).toBeUndefined()
})

test('another coach, a sign-out and an erased client leave nothing behind', async () => {
  const ana = { id: 'a', signedIn: true }
  for (const end of [
    () => keep('/api/account', { id: 'b', signedIn: true }),
    () => keep('/api/account', { signedIn: false }),
    () => keepSeen(new Request(`${BASE}/api/clients/7`, { method: 'DELETE' }), new Response('')),
    () => forgetSeen(),
  ]) {
    await keep('/api/account', ana)
    await keep('/api/clients/7', { name: 'Oda' })
    await keep('/api/account', ana)
    expect(await seen('/api/clients/7')).toEqual({ name: 'Oda' })
    await end()
    expect(await seen('/api/clients/7')).toBeUndefined()
  }
})

test('who enters the demo is who is signed in, and a stranger is nobody', async () => {
  await keep('/api/account', { demo: true, signedIn: false })
  expect(await seen('/api/account')).toBeUndefined()
  const entered = { id: 'd', demo: true, signedIn: true }
  await keepSeen(
    new Request(`${BASE}/api/account/demo`, { method: 'POST' }),
    new Response(JSON.stringify(entered)),
  )
  expect(await seen('/api/account')).toEqual(entered)
})

test('the floor has its own store', async () => {
  await keep('/api/clients', ['Oda'])
  window.history.pushState(null, '', '/floor/7')
  expect(await seen('/api/clients')).toBeUndefined()
  window.history.pushState(null, '', '/')
  expect(await seen('/api/clients')).toEqual(['Oda'])
})

test('after two weeks it is not shown any more', async () => {
  vi.useFakeTimers({ now: 1_000_000 * DAY_MS, toFake: ['Date'] })
  await keep('/api/weeks/1', { name: 'Old' })
  vi.setSystemTime((1_000_000 + 13) * DAY_MS)
  expect(await seen('/api/weeks/1')).toEqual({ name: 'Old' })
  vi.setSystemTime((1_000_000 + 15) * DAY_MS)
  expect(await seen('/api/weeks/1')).toBeUndefined()
})
