import type { ByWord, Schemas } from '../../api/client'

/** What a coach says of an exercise. */
export type Said = Required<Schemas['OwnExerciseDocument']>

/** The regions for which a hard set counts whole and half. */
export type Shares = Pick<Said, 'mainly' | 'partly'>

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

export function shareOf({ mainly, partly }: Shares, region: string): Share {
  if (mainly.includes(region)) return 'mainly'
  return partly.includes(region) ? 'partly' : 'none'
}

export function withShare({ mainly, partly }: Shares, region: string, share: Share): Shares {
  const without = (ids: string[]) => ids.filter((id) => id !== region)
  return {
    mainly: share === 'mainly' ? [...without(mainly), region] : without(mainly),
    partly: share === 'partly' ? [...without(partly), region] : without(partly),
  }
}

/** One line of text each, without blank ones. */
export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
