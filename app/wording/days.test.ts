import { describe, expect, it } from 'vitest'
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
  it('by itself has no year', () => expect(sayDay('2026-10-03')).toBe('Sat 3 Oct'))
})
