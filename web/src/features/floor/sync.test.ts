import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import type { Change } from '../../api/client'
import {
  changeSet,
  closeDatabase,
  decide,
  deviceName,
  forgetEnded,
  forgetWalks,
  keepMessage,
  keepSet,
  keepWalk,
  messagesOf,
  pendingSets,
  setsOf,
  waiting,
  walkOf,
} from './store'
import type { KeptSet } from './store'
import { sendOnce } from './sync'
import { exercise, figures, step, walk } from './sample'
import { Server } from './testServer'

let server: Server

beforeEach(async () => {
  await closeDatabase()
  globalThis.indexedDB = new IDBFactory()
  server = new Server()
  vi.stubGlobal('fetch', (request: Request) => server.fetch(request))
})
afterEach(() => vi.unstubAllGlobals())

const progress = { sessionId: 's1', passed: [], ownEnd: {} }
const log = (id: string, repetitions = 10) =>
  keepSet(
    {
      id,
      coachId: 'k',
      sessionId: 's1',
      itemId: 'a',
      figures: figures(repetitions),
      performedAt: new Date(0).toISOString(),
    },
    progress,
  )
const find = async (id: string): Promise<KeptSet> =>
  (await setsOf('s1')).find((set) => set.id === id)!
const quietly = (promise: Promise<number>) => promise.catch(() => -1)

describe('a set that was logged', () => {
  test('is on the device before anything is sent, and after a crash', async () => {
    await log('1')
    await closeDatabase() // the tab is killed
    expect((await find('1')).figures.repetitions).toBe(10)
    expect(server.requests).toBe(0)
    expect(await sendOnce('k')).toBe(1)
    expect(server.stored('1').repetitions).toBe(10)
    expect(await pendingSets('k')).toHaveLength(0)
  })

  test('stays to be sent while the network is away, and is stored once when the answer was lost', async () => {
    await log('1')
    server.network = () => 'lost'
    await expect(sendOnce('k')).rejects.toThrow('does not answer')
    server.network = () => 'answer lost'
    await expect(sendOnce('k')).rejects.toThrow()
    expect((await waiting('k')).toSend).toBe(1)
    server.network = () => 'ok'
    await sendOnce('k')
    expect((await waiting('k')).toSend).toBe(0)
    expect(server.sets.get('1')!.taken).toBe(1)
  })

  test('corrected while it was under way is sent again with what is newest', async () => {
    const set = await log('1')
    const sending = sendOnce('k')
    await changeSet(set, figures(12), false)
    await sending
    await sendOnce('k')
    expect(server.stored('1')).toMatchObject({ repetitions: 12, revision: 2 })
  })

  test('of another coach is neither shown nor sent', async () => {
    await log('1')
    expect(await sendOnce('another')).toBe(0)
    expect(server.sets.size).toBe(0)
  })
})

test('exercises go before their sets, ends of sessions after them', async () => {
  await keepMessage({
    coachId: 'k',
    sessionId: 's1',
    message: { finish: { sessionId: 's1', at: '' } },
  })
  await log('1')
  await keepMessage({
    coachId: 'k',
    sessionId: 's1',
    message: { item: { sessionId: 's1', itemId: 'a', candidateId: 'x/y' } },
  })
  const order: string[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const body = (await request.clone().json()) as { changes: Change[] }
    order.push(...body.changes.map((change) => Object.keys(change)[0]!))
    return server.fetch(request)
  })
  await sendOnce('k')
  expect(order).toEqual(['item', 'set', 'finish'])
})

test('a conflict is shown with both, and the coach’s word is the record on both sides', async () => {
  for (const mine of [true, false]) {
    const id = `c${mine}`
    const set = await log(id)
    await sendOnce('k')
    server.elsewhere(id, 7)
    await changeSet((await find(id)) ?? set, figures(12), false)
    await sendOnce('k')
    const both = (await waiting('k')).conflicts.find((conflict) => conflict.id === id)!
    expect([both.figures.repetitions, both.conflict!.repetitions]).toEqual([12, 7])
    expect(server.stored(id).repetitions).toBe(7)
    await decide(id, mine)
    await sendOnce('k')
    expect(server.stored(id).repetitions).toBe(mine ? 12 : 7)
    expect((await find(id)).figures.repetitions).toBe(mine ? 12 : 7)
    expect((await waiting('k')).conflicts).toHaveLength(0)
  }
})

test('what the server cannot take is kept with its reason, and does not hold the rest up', async () => {
  await log('1')
  await log('2')
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      new Response(
        JSON.stringify({
          results: [
            { outcome: 'REFUSED', detail: 'repetitions: 500 is not within 1 to 200' },
            { outcome: 'STORED', detail: '' },
          ],
        }),
        { status: 200, headers: { 'content-type': 'application/json' } },
      ),
    ),
  )
  await sendOnce('k')
  const left = await waiting('k')
  expect(left.toSend).toBe(0)
  expect(left.refused).toHaveLength(1)
  expect((await find('1')).refused).toContain('500')
})

test('a swap changes the session on this device at once, and is a message', async () => {
  await keepWalk('k', walk([{ id: 'a', exercise: exercise('a', [step('1')]) }]), Date.now())
  await keepMessage(
    {
      coachId: 'k',
      sessionId: 's1',
      message: { item: { sessionId: 's1', itemId: 'n', candidateId: 'x/y', replaces: 'a' } },
    },
    (floor) => ({ ...floor, items: [] }),
  )
  expect((await walkOf('s1'))!.walk.items).toHaveLength(0)
  expect(await messagesOf('k')).toHaveLength(1)
})

test('taking the session along again does not bring back a set that was taken out meanwhile', async () => {
  const set = await log('1')
  await sendOnce('k')
  const floor = walk([{ id: 'a', exercise: exercise('a', [step('1')]) }])
  const asked = Date.now() - 1
  floor.items[0]!.sets = [server.stored('1')]
  await changeSet(set, figures(10), true)
  await sendOnce('k')
  await keepWalk('k', floor, asked)
  expect((await find('1')).removed).toBe(true)
})

test('a walk that was asked for before a swap arrived does not undo it', async () => {
  const before = walk([{ id: 'a', exercise: exercise('a', [step('1')]) }])
  await keepWalk('k', before, Date.now())
  await keepMessage(
    {
      coachId: 'k',
      sessionId: 's1',
      message: { item: { sessionId: 's1', itemId: 'n', candidateId: 'x/y', replaces: 'a' } },
    },
    (floor) => ({ ...floor, items: [] }),
  )
  const asked = Date.now() - 1
  expect(await keepWalk('k', before, asked)).toBe(false)
  await sendOnce('k')
  expect(await keepWalk('k', before, asked)).toBe(false)
  expect((await walkOf('s1'))!.walk.items).toHaveLength(0)
  expect(await keepWalk('k', before, Date.now() + 5)).toBe(true)
})

test('signing out takes what is sent off the device and leaves what is not', async () => {
  await log('1')
  await sendOnce('k')
  await log('2')
  await forgetWalks()
  expect((await setsOf('s1')).map((set) => set.id)).toEqual(['2'])
})

test('the device keeps its name', async () => {
  const name = await deviceName()
  await closeDatabase()
  expect(await deviceName()).toBe(name)
})

/** Logs, corrections, removals, tabs that die, requests and answers that are lost, a server that dies half-way: whatever comes between, the record is what the screen showed, each set once. */
test.each([1, 2, 3, 4, 5, 6])('any interleaving gives the same record (%i)', async (seed) => {
  let x = seed * 2654435761
  const random = (n: number) => {
    x = (Math.imul(x ^ (x >>> 15), 2246822519) + 3266489917) >>> 0
    return x % n
  }
  server.network = () => (['ok', 'lost', 'answer lost', 'half'] as const)[random(4)]!
  const shownNow = new Map<string, { repetitions: number; removed: boolean }>()
  let underWay: Promise<number>[] = []
  for (let act = 0; act < 60; act++) {
    const what = random(6)
    if (what <= 1) {
      const id = `set${act}`
      await log(id, 1 + random(20))
      shownNow.set(id, { repetitions: (await find(id)).figures.repetitions, removed: false })
    } else if (what === 2 && shownNow.size > 0) {
      const id = [...shownNow.keys()][random(shownNow.size)]!
      const now = await find(id)
      const next = { repetitions: 1 + random(20), removed: random(3) === 0 }
      await changeSet(now, figures(next.repetitions), next.removed)
      shownNow.set(id, next)
    } else if (what === 3) {
      await Promise.all(underWay)
      underWay = []
      await closeDatabase()
    } else {
      underWay.push(quietly(sendOnce('k')))
      if (random(2) === 0) await Promise.all(underWay.splice(0))
    }
  }
  await Promise.all(underWay)
  server.network = () => 'ok'
  for (let k = 0; k < 3; k++) await sendOnce('k')
  expect((await waiting('k')).conflicts).toHaveLength(0)
  expect((await waiting('k')).toSend).toBe(0)
  expect(
    new Map(
      [...server.sets.keys()].map((id) => [
        id,
        { repetitions: server.stored(id).repetitions, removed: server.sets.get(id)!.removed },
      ]),
    ),
  ).toEqual(shownNow)
})

test('a session that ended a day ago leaves the device, but not before all of it was sent', async () => {
  const ended = {
    ...walk([{ id: 'a', exercise: exercise('x', [step('a')]) }]),
    finishedAt: '2026-11-26T11:00:00Z',
  }
  const later = new Date('2026-11-27T12:00:00Z').getTime()
  await keepWalk('k', ended, Date.now())
  await log('one')
  await forgetEnded('k', later)
  expect(await walkOf('s1'), 'a set waits').toBeDefined()
  await sendOnce('k')
  await forgetEnded('k', new Date('2026-11-26T20:00:00Z').getTime())
  expect(await walkOf('s1'), 'the same day').toBeDefined()
  await forgetEnded('other', later)
  expect(await walkOf('s1'), 'of another coach').toBeDefined()
  await forgetEnded('k', later)
  expect(await walkOf('s1')).toBeUndefined()
  expect(await setsOf('s1')).toEqual([])
  expect([...server.sets.keys()], 'the server has it').toEqual(['one'])
})
