import type { School } from '../../api/client'

/** What a way of ranking can set, how far, and what its ends are called. */
export const DIALS = [
  {
    id: 'lengthBias',
    label: 'Long lengths count more',
    low: 'short more',
    high: 'long more',
    min: -1.5,
    max: 1.5,
    step: 0.1,
  },
  {
    id: 'passiveWeight',
    label: 'Stretch tension counts',
    low: 'not at all',
    high: 'as much as active',
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    id: 'activityTrust',
    label: 'Studies of muscle activity count',
    low: 'not at all',
    high: 'like growth',
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    id: 'practiceTrust',
    label: 'What coaches agree on counts',
    low: 'not at all',
    high: 'like growth',
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    id: 'basics',
    label: 'Heavy basics count more',
    low: 'no',
    high: 'much',
    min: 0,
    max: 3,
    step: 0.1,
  },
] as const

export type Draft = Pick<School, 'label' | 'reason' | (typeof DIALS)[number]['id']>

export function draftOf(settings: School): Draft {
  return {
    label: settings.label,
    reason: settings.reason,
    lengthBias: settings.lengthBias,
    passiveWeight: settings.passiveWeight,
    activityTrust: settings.activityTrust,
    practiceTrust: settings.practiceTrust,
    basics: settings.basics,
  }
}
