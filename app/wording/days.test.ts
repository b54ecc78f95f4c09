import { afterAll, describe, expect, it, vi } from 'vitest'
import { sayDay, sayFarDay } from './days'

describe('days', () => {
  const now = '2026-11-26T08:00:00.000Z'
  it.each([
    ['2026-12-20', 'Sun 20 Dec'],
    ['2027-01-06', 'Wed 6 Jan'],
    ['2026-01-06', 'Tue 6 Jan'],
    ['2028-02-18', 'Fri 18 Feb 2028'],
    ['2025-10-01', 'Wed 1 Oct 2025']
  ])('%s is %s: the year where it could be taken for another', (day, said) => expect(sayFarDay(day, now)).toBe(said))
  describe('is the day where the person is', () => {
    const zone = process.env.TZ
    afterAll(() => { process.env.TZ = zone })
    // Half past three in the morning in Greenwich.
    it.each([
      ['America/Los_Angeles', '2026-11-25', 'Wed 25 Nov', 'yesterday 19:30'],
      ['Europe/London', '2026-11-26', 'Thu 26 Nov', 'today 03:30'],
      ['Pacific/Auckland', '2026-11-26', 'Thu 26 Nov', 'today 16:30'],
      ['America/St_Johns', '2026-11-26', 'Thu 26 Nov', 'today 00:00']
    ])('%s', async (tz, day, said, when) => {
      process.env.TZ = tz
      vi.resetModules()
      const days = await import('./days')
      const at = '2026-11-26T03:30:00.000Z'
      expect([days.dayHere(at), days.sayDayOf(at), days.sayWhen(at, '2026-11-26T08:00:00.000Z')]).toEqual([day, said, when])
      expect(days.dayHereAfter('2026-10-30T10:00:00.000Z', 7)).toBe('2026-11-06')
    })
  })
  it('by itself has no year', () => expect(sayDay('2026-10-03')).toBe('Sat 3 Oct'))
})
