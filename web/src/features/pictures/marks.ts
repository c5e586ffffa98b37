import type { Landmark, Schemas } from '../../api/client'

/** A place on a picture, pixels from its upper left corner. */
export type Place = { x: number; y: number }
export type Marks = Partial<Record<Landmark, Place>>
export type LandmarkInfo = Schemas['LandmarkView']

/** From where a picture is taken. */
export type From = 'SIDE' | 'FRONT'

/** The body's marks in the order in which they are joined. */
export const BONES: Landmark[][] = [
  ['HEEL', 'TOE'],
  ['ANKLE', 'KNEE', 'HIP', 'SHOULDER'],
  ['TOE_LEFT', 'ANKLE_LEFT', 'KNEE_LEFT', 'HIP_LEFT', 'HIP_RIGHT'],
  ['HIP_RIGHT', 'KNEE_RIGHT', 'ANKLE_RIGHT', 'TOE_RIGHT'],
]

/** What can be marked on a picture from there. */
export const seenFrom = (landmarks: LandmarkInfo[], from: From) =>
  landmarks.filter((info) => info.seen === from || info.seen === 'BOTH')

/** Landmarks of which the second is of no use without the first. */
export const PAIRS: [Landmark, Landmark][] = [
  ['UPRIGHT_FOOT', 'UPRIGHT_TOP'],
  ['PLATE_TOP', 'PLATE_BOTTOM'],
]

/** The landmark to mark next: the first that is needed and not there. */
export const nextNeeded = (landmarks: LandmarkInfo[], marks: Marks): Landmark | undefined =>
  landmarks.find((info) => info.needed && !marks[info.landmark])?.landmark

/** The other one of a pair, where it is not there yet. */
export const otherOfPair = (landmark: Landmark, marks: Marks): Landmark | undefined =>
  PAIRS.filter((pair) => pair.includes(landmark))
    .flat()
    .find((other) => other !== landmark && !marks[other])

/** Whether a posture can be told. */
export const isComplete = (landmarks: LandmarkInfo[], marks: Marks) =>
  landmarks.every((info) => !info.needed || marks[info.landmark])

/** A place kept within the picture. */
export const within = (place: Place, size: { width: number; height: number }): Place => ({
  x: Math.max(0, Math.min(size.width, place.x)),
  y: Math.max(0, Math.min(size.height, place.y)),
})

/** The mark within reach of a finger, nearest first. */
export function markAt(marks: Marks, at: Place, reach: number): Landmark | undefined {
  let best: Landmark | undefined
  let least = reach
  for (const [landmark, place] of Object.entries(marks) as [Landmark, Place][]) {
    const distance = Math.hypot(place.x - at.x, place.y - at.y)
    if (distance <= least) {
      least = distance
      best = landmark
    }
  }
  return best
}

/** The marks as the interface takes them; half a pair is left out. */
export function asInput(marks: Marks): Schemas['MarkInput'][] {
  const lone = PAIRS.flatMap(([one, other]) =>
    marks[one] && marks[other] ? [] : [one as string, other as string],
  )
  return (Object.entries(marks) as [Landmark, Place][])
    .filter(([landmark]) => !lone.includes(landmark))
    .map(([landmark, place]) => ({ landmark, xPx: round(place.x), yPx: round(place.y) }))
}

const round = (px: number) => Math.round(10 * px) / 10
