import { expect, test } from 'vitest'
import { keep, withBrief } from '../features/brief/keptBrief'
import { EVIDENCE, ROOMS, isCalled, roomOf, screenOf } from './rooms'

const ODA = '11111111-1111-4111-8111-111111111111'
const TARN = '22222222-2222-4222-8222-222222222222'
const KEPT = `client=${ODA}&gym=g&aim=VL.2&school=stretch`

test.each([
  ['ranking', ['Ranking', 'Ways of ranking']],
  ['ways rank', ['Ways of ranking']],
  ['sayings', ['Gym sayings, tested']],
  ['machines', ['Gyms']],
  ['tape', ['Body']],
  ['floor', ['Train']],
  ['point by point', ['Compare']],
  ['xylophone', []],
])('a screen is found by any of its words: %s', (text, labels) => {
  const all = [...ROOMS, ...ROOMS.flatMap((room) => room.screens(ODA)), ...EVIDENCE]
  expect(all.filter((screen) => isCalled(screen, text)).map((screen) => screen.label)).toEqual(
    labels,
  )
})

test('a screen with a brief of its own is what is kept, whatever it leaves out', () => {
  expect(keep(KEPT, '/exercises', `?client=${ODA}&gym=g`)).toBe(`client=${ODA}&gym=g`)
})

test('the client stays the client where the address names nobody', () => {
  expect(keep(KEPT, '/gyms', '')).toBe(KEPT)
  expect(keep(KEPT, '/exercises', '')).toBe(KEPT)
  expect(keep(KEPT, `/record/${ODA}`, '?series=s')).toBe(KEPT)
})

test('another client takes the gym along and leaves the aim behind', () => {
  for (const [path, search] of [
    [`/clients/${TARN}/body`, ''],
    [`/record/${TARN}`, ''],
    ['/sessions', `?client=${TARN}`],
  ] as const) {
    const now = new URLSearchParams(keep(KEPT, path, search))
    expect(now.get('client')).toBe(TARN)
    expect(now.get('gym')).toBe('g')
    expect(now.get('school')).toBe('stretch')
    expect(now.has('aim')).toBe(false)
  }
})

test('what a link says goes before what is kept, and a path with an id stays as it is', () => {
  expect(withBrief('/bench?client=other', KEPT)).toContain('client=other')
  expect(withBrief('/exercises', KEPT)).toBe(`/exercises?${KEPT}`)
  expect(withBrief(`/record/${ODA}`, KEPT)).toBe(`/record/${ODA}`)
  expect(withBrief('/exercises', '')).toBe('/exercises')
})

test('every path is in one room, and its screen is the nearest', () => {
  expect(roomOf('/')?.label).toBe('Today')
  expect(roomOf('/bench')?.label).toBe('Exercises')
  expect(roomOf(`/record/${ODA}`)?.label).toBe('Clients')
  expect(roomOf('/claims')).toBeUndefined()
  expect(screenOf(`/clients/${ODA}/body`, ODA)?.label).toBe('Body')
  expect(screenOf(`/clients/${ODA}`, ODA)?.label).toBe('Overview')
  expect(screenOf('/clients/bring', ODA)?.label).toBe('All clients')
  expect(screenOf('/exercises/by-word', ODA)?.label).toBe('Not computed')
  expect(screenOf('/claims', ODA)?.label).toBe('Gym sayings, tested')
})
