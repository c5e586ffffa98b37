import { afterEach, expect, test, vi } from 'vitest'
import { dayOf, momentOf, today } from './day'

const zone = process.env.TZ

afterEach(() => {
  process.env.TZ = zone
  vi.useRealTimers()
})

test.each(['Pacific/Honolulu', 'UTC', 'Pacific/Auckland'])(
  'a day of the calendar is the same day in %s',
  async (place) => {
    process.env.TZ = place
    vi.resetModules() // a format keeps the zone that it was made in
    const { day } = await import('./format')
    expect(dayOf(momentOf('2026-03-01'))).toBe('2026-03-01')
    expect(day('2026-03-01')).toBe('Sun 1 Mar')
  },
)

test('today is the day here, not that of Greenwich', () => {
  vi.useFakeTimers({ now: new Date('2026-11-30T03:00:00Z') })
  process.env.TZ = 'America/Los_Angeles'
  expect(today()).toBe('2026-11-29')
  process.env.TZ = 'Asia/Tokyo'
  expect(today()).toBe('2026-11-30')
})
