import { expect, test } from 'vitest'
import type { Figures, KeptSet, Progress } from './store'
import { beginning, isDone, open, nextStep, restUntil, shown, swapped, toShow } from './walk'
import { exercise, step, walk } from './sample'

const figures = (more: Partial<Figures> = {}): Figures => ({
  kind: 'WORK',
  number: 1,
  side: 'NONE',
  loadKg: 50,
  repetitions: 10,
  reserve: 2,
  felt: [],
  ...more,
})
const kept = (id: string, itemId: string, more: Partial<KeptSet> = {}): KeptSet => ({
  id,
  coachId: 'k',
  sessionId: 's1',
  itemId,
  figures: figures(),
  removed: false,
  performedAt: '2026-11-26T10:05:00Z',
  revision: 1,
  acked: 0,
  made: 1,
  ...more,
})
const begun: Progress = { sessionId: 's1', passed: [], ownEnd: {} }

const two = walk([
  {
    id: 'a',
    exercise: exercise('a', [
      step('00.0.00.00.00', { kind: 'WARM_UP' }),
      step('00.1.00.00.00'),
      step('00.1.01.00.00', { number: 2, ownRestS: 90 }),
    ]),
  },
  {
    id: 'b',
    exercise: exercise('b', [
      step('00.1.00.01.00', { waitS: 30 }),
      step('00.1.01.01.00', { number: 2, waitS: 30, ownRestS: 60 }),
    ]),
  },
])

test('steps come in the order of their keys, whatever exercise they belong to', () => {
  const keys = open(shown(two, [], 'k'), begun).map(
    (s) => `${s.item.item.id} ${s.step.kind} ${s.step.number}`,
  )
  expect(keys).toEqual(['a WARM_UP 1', 'a WORK 1', 'b WORK 1', 'a WORK 2', 'b WORK 2'])
})

test('a set puts its step behind, and lighter sets with it', () => {
  const items = shown(two, [kept('1', 'a')], 'k')
  expect(open(items, begun).map((s) => s.step.key)).toEqual([
    '00.1.00.01.00',
    '00.1.01.00.00',
    '00.1.01.01.00',
  ])
})

test('sets that the desk logged without a number stand for the next ones', () => {
  const items = shown(
    two,
    [
      kept('1', 'a', { figures: { ...figures(), number: undefined as never } }),
      kept('2', 'a', { figures: { ...figures(), number: undefined as never } }),
    ],
    'k',
  )
  expect(items[0]!.steps.filter((step) => !isDone(items[0]!, step, begun))).toHaveLength(0)
})

test('what is taken out opens its step again, and a passed step stays passed', () => {
  const items = shown(two, [kept('1', 'a', { removed: true, revision: 2 })], 'k')
  expect(nextStep(items, { ...begun, passed: ['a 00.0.00.00.00'] })?.step.key).toBe('00.1.00.00.00')
})

test('a chosen exercise goes first while it has steps', () => {
  const items = shown(two, [], 'k')
  expect(nextStep(items, { ...begun, chosen: 'b' })?.item.item.id).toBe('b')
  expect(
    nextStep(
      shown(two, [kept('1', 'b'), kept('2', 'b', { figures: figures({ number: 2 }) })], 'k'),
      {
        ...begun,
        chosen: 'b',
      },
    )?.item.item.id,
  ).toBe('a')
})

test('rest is the longer of the way to the next step and the exercise’s own', () => {
  const items = shown(two, [], 'k')
  const next = open(items, begun)
  const a2 = next.find((s) => s.step.key === '00.1.01.00.00')!
  const b1 = next.find((s) => s.step.key === '00.1.00.01.00')!
  expect(restUntil(b1, { ...begun, ownEnd: { a: 1_000_000 } }, 1_000_000)).toBe(1_030_000)
  expect(restUntil(a2, { ...begun, ownEnd: { a: 1_000_000, b: 1_040_000 } }, 1_040_000)).toBe(
    1_090_000,
  )
  expect(restUntil(a2, { ...begun, ownEnd: { a: 900_000 } }, 1_040_000)).toBeUndefined()
  expect(restUntil(null, begun, 0)).toBeUndefined()
})

test('the other side begins with the weaker one’s count', () => {
  const sides = walk([
    {
      id: 'a',
      exercise: exercise(
        'a',
        [step('1', { side: 'LEFT' }), step('2', { side: 'RIGHT', asBefore: true })],
        { oneLeg: true },
      ),
    },
  ])
  const items = shown(
    sides,
    [kept('1', 'a', { figures: figures({ side: 'LEFT', repetitions: 7 }) })],
    'k',
  )
  expect(beginning(nextStep(items, begun)!).repetitions).toBe(7)
})

test('a load that was changed on the floor goes on, unless the plan asks another for the next set', () => {
  const same = shown(
    two,
    [kept('1', 'a', { figures: figures({ loadKg: 45, repetitions: 9 }) })],
    'k',
  )
  expect(beginning(nextStep(same, { ...begun, chosen: 'a' })!)).toEqual({
    loadKg: 45,
    repetitions: 9,
    reserve: 2,
  })
  const rising = walk([
    {
      id: 'a',
      exercise: exercise('a', [
        step('1'),
        step('2', {
          number: 2,
          load: { kg: 55, kind: 'STEPS', emptyKg: 0, perSide: [], plates: 'NONE' },
        }),
      ]),
    },
  ])
  expect(
    beginning(
      nextStep(shown(rising, [kept('1', 'a', { figures: figures({ loadKg: 45 }) })], 'k'), begun)!,
    ).loadKg,
  ).toBe(55)
})

test('the server’s word shows until this device has a newer one', () => {
  const server = {
    ...two,
    items: two.items.map((item) =>
      item.id === 'a'
        ? {
            ...item,
            sets: [
              {
                id: '1',
                revision: 2,
                removed: false,
                performedAt: '2026-11-26T10:05:00Z',
                ...figures({ repetitions: 11 }),
              },
            ],
          }
        : item,
    ),
  }
  expect(
    shown(server, [kept('1', 'a', { revision: 1, acked: 1 })], 'k')[0]!.sets[0]!.figures
      .repetitions,
  ).toBe(11)
  expect(
    shown(server, [kept('1', 'a', { revision: 3, acked: 2 })], 'k')[0]!.sets[0]!,
  ).toMatchObject({ kept: 'here', figures: { repetitions: 10 } })
})

test('a swap takes the place and the sets of before stay', () => {
  const swap = {
    candidateId: 'x/usual',
    name: 'x',
    setup: {},
    exercise: exercise('x', [step('00.1.00.00.00'), step('00.1.01.00.00', { number: 2 })]),
  }
  const floor = swapped(two, 'a', 'new', swap)
  const items = shown(floor, [kept('1', 'a')], 'k')
  expect(items.map((item) => [item.item.id, toShow(item)])).toEqual([
    ['a', true],
    ['new', true],
    ['b', true],
  ])
  expect(open(items, begun).map((s) => s.item.item.id)).toEqual(['new', 'b', 'new', 'b'])
  expect(
    shown(floor, [], 'k')
      .filter(toShow)
      .map((item) => item.item.id),
  ).toEqual(['new', 'b'])
})

test('one set more than asked is the last one again, on each side', () => {
  const sides = walk([
    {
      id: 'a',
      exercise: exercise(
        'a',
        [step('1', { side: 'LEFT' }), step('2', { side: 'RIGHT', asBefore: true })],
        { oneLeg: true },
      ),
    },
  ])
  const done = [
    kept('1', 'a', { figures: figures({ side: 'LEFT' }) }),
    kept('2', 'a', { figures: figures({ side: 'RIGHT' }) }),
  ]
  expect(nextStep(shown(sides, done, 'k'), begun)).toBeNull()
  const more = shown(sides, done, 'k', { a: 1 })
  expect(open(more, begun).map((s) => [s.step.number, s.step.side])).toEqual([
    [2, 'LEFT'],
    [2, 'RIGHT'],
  ])
})

test('a load that nothing tells stays unknown where one can be put on', () => {
  const of = (loads: number[]) => {
    const floorExercise = exercise('a', [step('1', { load: undefined })])
    return beginning(
      nextStep(
        shown(
          walk([
            {
              id: 'a',
              exercise: {
                ...floorExercise,
                reserve: 2,
                lowKg: 0,
                loads: loads.map((kg) => ({
                  kg,
                  kind: 'STEPS' as const,
                  emptyKg: 0,
                  perSide: [],
                  plates: 'NONE' as const,
                })),
              },
            },
          ]),
          [],
          'k',
        ),
        begun,
      )!,
    ).loadKg
  }
  expect(of([0, 20, 25])).toBeUndefined()
  expect(of([0])).toBe(0)
})
