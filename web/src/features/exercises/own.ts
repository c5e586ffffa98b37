import type { ByWord, Schemas } from '../../api/client'

export type Said = Schemas['OwnExerciseDocument']

/** How much of a hard set a region gets. */
export type Share = 'none' | 'partly' | 'mainly'

/** From nothing to the whole set to half of it, and back. */
export const NEXT: Record<Share, Share> = { none: 'mainly', mainly: 'partly', partly: 'none' }

/** A new exercise: where nothing is said yet, on the side of caution. */
export const NOTHING_SAID: Said = {
  does: [],
  mainly: [],
  partly: [],
  needs: [],
  troubles: [],
  knee: 'DEEP',
  hip: 'DEEP',
  back: 'SOME',
  onBelly: false,
  oneLeg: false,
  repetitions: '8-12',
  setUpMinutes: 1,
  alsoCalled: [],
  cues: [],
  stopSigns: [],
  cautions: [],
}

export const saidOf = (x: ByWord): Said => ({
  does: x.does,
  mainly: x.mainly,
  partly: x.partly,
  needs: x.needs,
  troubles: x.troubles,
  knee: x.knee,
  hip: x.hip,
  back: x.back,
  onBelly: x.onBelly,
  oneLeg: x.oneLeg,
  repetitions: x.repetitions,
  setUpMinutes: x.setUpMinutes,
  alsoCalled: x.alsoCalled,
  cues: x.cues,
  stopSigns: x.stopSigns,
  cautions: x.cautions,
})

export function shareOf(said: Said, region: string): Share {
  if (said.mainly?.includes(region)) return 'mainly'
  return said.partly?.includes(region) ? 'partly' : 'none'
}

export function withShare(said: Said, region: string, share: Share): Said {
  const without = (ids?: string[]) => (ids ?? []).filter((id) => id !== region)
  return {
    ...said,
    mainly: share === 'mainly' ? [...without(said.mainly), region] : without(said.mainly),
    partly: share === 'partly' ? [...without(said.partly), region] : without(said.partly),
  }
}

export const toggled = <T>(list: T[] | undefined, value: T): T[] =>
  list?.includes(value) ? list.filter((x) => x !== value) : [...(list ?? []), value]

/** One line of text each, without blank ones. */
export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean)
