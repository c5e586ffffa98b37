import type { FloorExercise, FloorStep, Walk } from '../../api/client'
import type { Figures } from './store'

/** A step for tests; the rest of it is plain. */
export function step(key: string, more: Partial<FloorStep> = {}): FloorStep {
  return {
    key,
    kind: 'WORK',
    number: 1,
    side: 'NONE',
    repetitionsLow: 8,
    repetitionsHigh: 12,
    asBefore: false,
    load: { kg: 50, kind: 'STEPS', emptyKg: 0, perSide: [], plates: 'NONE' },
    putOn: [],
    waitS: 0,
    ownRestS: 0,
    note: '',
    ...more,
  }
}

export function exercise(
  id: string,
  steps: FloorStep[],
  more: Partial<FloorExercise> = {},
): FloorExercise {
  return {
    candidateId: `${id}/usual`,
    exerciseId: id,
    name: id,
    oneLeg: false,
    refusal: '',
    setup: [],
    mark: '',
    agreed: [],
    prescription: {
      sets: 2,
      repetitionsLow: 8,
      repetitionsHigh: 12,
      reserve: 2,
      tempo: { loweringS: 2, lowS: 0, liftingS: 1, topS: 0 },
      restS: 90,
      scheme: 'STRAIGHT',
    },
    rule: 'BEGIN',
    reserve: 2,
    lowKg: 50,
    highKg: 50,
    basis: '',
    loads: [45, 50, 55].map((kg) => ({
      kg,
      kind: 'STEPS' as const,
      emptyKg: 0,
      perSide: [],
      plates: 'NONE' as const,
    })),
    cues: [],
    stopSigns: [],
    cautions: [],
    steps,
    swaps: [],
    ...more,
  }
}

export function walk(items: { id: string; exercise: FloorExercise }[]): Walk {
  return {
    sessionId: 's1',
    clientId: 'c1',
    clientName: 'Somebody Invented',
    gymId: 'g1',
    gymName: 'Hall',
    createdAt: '2026-11-26T10:00:00Z',
    statements: [],
    weaker: 'NONE',
    weakerWhy: '',
    items: items.map((item) => ({ ...item, ended: false, sets: [] })),
    pain: [
      {
        joint: 'KNEE',
        label: 'knee',
        byLevel: Array.from({ length: 11 }, (_, l) => (l > 5 ? ['End this exercise.'] : [])),
      },
    ],
    regions: [
      { id: 'VL', coachName: 'outer quad (sweep)', group: 'quads' },
      { id: 'BFL', coachName: 'outer hamstring', group: 'hamstrings' },
    ],
    takenAt: '2026-11-26T10:00:00Z',
  }
}

/** A work set. */
export const figures = (repetitions: number): Figures => ({
  kind: 'WORK',
  number: 1,
  side: 'NONE',
  loadKg: 50,
  repetitions,
  reserve: 2,
  felt: [],
})
