import { momentOf } from '../../quantity/day'

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })

/** Monday 30 November */
export const dayWords = (day: string): string => DAY.format(momentOf(day))
