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

export const saidOf = (word: ByWord): Said => ({
  does: word.does,
  mainly: word.mainly,
  partly: word.partly,
  needs: word.needs,
  troubles: word.troubles,
  knee: word.knee,
  hip: word.hip,
  back: word.back,
  onBelly: word.onBelly,
  oneLeg: word.oneLeg,
  repetitions: word.repetitions,
  setUpMinutes: word.setUpMinutes,
  alsoCalled: word.alsoCalled,
  cues: word.cues,
  stopSigns: word.stopSigns,
  cautions: word.cautions,
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
  list?.includes(value) ? list.filter((nullable) => nullable !== value) : [...(list ?? []), value]

/** One line of text each, without blank ones. */
export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
