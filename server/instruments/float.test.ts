import { describe, expect, it } from 'vitest'
import { floatReadings } from './float'

const startAt = '2026-10-01T08:00:00.000Z'
const on = (day: number) => new Date(Date.parse(startAt) + day * 86_400_000).toISOString()
const asked = (wine?: number, to = 20) => ({ seed: 3, startAt, from: startAt, to: on(to), originalSg: 1.09, celsius: 21, wine })
const sgs = (wine?: number, to?: number) => floatReadings(asked(wine, to)).flatMap((r) => (r.sg !== null && r.sg < 1.2 ? r.sg : []))

describe('a float in a simulated wine', () => {
  it('follows the wine from its must to its end, the same each time, and another wine otherwise', () => {
    const all = sgs(7)
    expect(all[0]).toBeGreaterThan(1.08)
    expect(all.at(-1)).toBeLessThan(1.01)
    expect(sgs(7)).toEqual(all)
    expect(sgs(8)).not.toEqual(all)
  })
  it('what it sent stays what it sent, however long one waits', () => expect(sgs(7, 20).slice(0, 50)).toEqual(sgs(7, 12).slice(0, 50)))
})
