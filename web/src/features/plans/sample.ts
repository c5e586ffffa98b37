import type {
  Catalogue,
  Coverage,
  Prescription,
  Region,
  Week,
  WeekDay,
  WeekItem,
} from '../../api/client'

/** A small week for tests: two sessions, made up. */

export const usual: Prescription = {
  sets: 3,
  repetitionsLow: 8,
  repetitionsHigh: 12,
  reserve: 2,
  tempo: { loweringS: 2, lowS: 0, liftingS: 1, topS: 0 },
  restS: 120,
  scheme: 'STRAIGHT',
}

const region = (id: string, coachName: string, group: string): Region => ({
  id,
  coachName,
  anatomicalName: id,
  group,
  steer: 'A',
  column: '',
  row: '',
})

export const regions: Region[] = [
  region('VL', 'outer quad', 'quads'),
  region('BFL', 'outer hamstring', 'hamstrings'),
  region('SOL', 'lower calf', 'calves'),
]

export const catalogue = {
  regions,
  exercises: [
    { id: 'press', needs: ['leg-press'], parameters: [] },
    { id: 'curl', needs: ['seated-curl'], parameters: [] },
  ],
  byWord: [],
  equipment: [{ id: 'leg-press', name: 'Leg press' }],
  schools: [{ id: 'stretch', label: 'by stretch' }],
} as unknown as Catalogue

export const item = (
  id: string,
  name: string,
  shares: Record<string, number>,
  more: Partial<WeekItem> = {},
): WeekItem => ({
  id,
  candidateId: `${id}/usual`,
  exerciseId: id,
  name,
  byWord: false,
  pinned: false,
  prescription: usual,
  oneLeg: false,
  easier: [],
  setup: {},
  shares,
  remarks: [],
  cues: ['Slowly.'],
  stopSigns: ['Heels lift.'],
  load: {
    bodyWeight: false,
    lowKg: 60,
    highKg: 60,
    basis: 'from 60 kg for 10, 2 in reserve, on 19 Nov 2026',
    warmUps: [
      {
        repetitions: 8,
        load: { kg: 30, kind: 'PLATES', emptyKg: 20, perSide: [5], plates: 'OWN' },
      },
    ],
    sets: [1, 2, 3].map(() => ({
      drop: 0,
      repetitionsLow: 8,
      repetitionsHigh: 12,
      load: { kg: 60, kind: 'PLATES', emptyKg: 20, perSide: [20], plates: 'OWN' },
      putOn: [],
      note: '',
    })),
  },
  ...more,
})

export const day = (weekday: number, items: WeekItem[], more: Partial<WeekDay> = {}): WeekDay => ({
  weekday,
  minutes: 60,
  oneStation: false,
  usedMinutes: 10 * items.length,
  remarks: [],
  sets: 3 * items.length,
  thighSets: 3,
  calfSets: 0,
  back: 0.5,
  effective: {},
  segments: items.flatMap((plannedItem, k) => [
    {
      kind: 'SET_UP' as const,
      startS: 600 * k,
      seconds: 180,
      bout: k,
      itemId: plannedItem.id,
      set: -1,
    },
    {
      kind: 'WORK' as const,
      startS: 600 * k + 180,
      seconds: 420,
      bout: k,
      itemId: plannedItem.id,
      set: 0,
    },
  ]),
  bouts: items.map((plannedItem) => ({
    reason: 'heavy, with the whole leg',
    trouble: [],
    seconds: 600,
    items: [plannedItem],
  })),
  ...more,
})

export const coverage: Coverage = {
  sets: { VL: 6.2, BFL: 1.5, SOL: 3 },
  filled: { VL: 1, BFL: 0.21, SOL: 0.5 },
  targets: { VL: 6, BFL: 7, SOL: 3 },
  held: ['SOL'],
  functions: [{ label: 'hamstrings at the knee', examples: 'curls', has: 0, asked: 2 }],
  front: 6.2,
  back: 1.5,
  balance: true,
  most: 16,
  findings: [
    {
      kind: 'REGION_SHORT',
      values: { region: 'BFL', has: 1.5, asked: 7 },
      words: 'Outer hamstring: 1.5 of 7 sets.',
    },
  ],
}

export const week: Week = {
  id: 'w',
  version: 4,
  changedAt: '2026-11-26T10:00:00Z',
  clientId: 'c',
  clientName: 'Oda Fenwick',
  gymId: 'g',
  gymName: 'Quayside Hall',
  brief: { aim: { VL: 2, BFL: 2 }, keepOut: [], school: 'stretch', preset: 'growth', weights: {} },
  statements: [],
  block: [],
  easierWeekSigns: [],
  coverage,
  days: [
    day(1, [item('press', 'Leg press', { VL: 0.9 }), item('curl', 'Leg curl', { BFL: 1 })]),
    day(4, []),
  ],
  plan: {
    name: 'Winter',
    pairing: 'NONE',
    varied: true,
    hold: true,
    targets: {},
    days: [
      {
        weekday: 1,
        minutes: 60,
        oneStation: false,
        bouts: [
          [{ id: 'press', candidateId: 'press/usual', pinned: false, prescription: usual }],
          [{ id: 'curl', candidateId: 'curl/usual', pinned: false, prescription: usual }],
        ],
      },
      { weekday: 4, minutes: 60, oneStation: false, bouts: [] },
    ],
  },
}
