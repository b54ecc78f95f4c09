import { describe, expect, it } from 'vitest'
import { floatReadings } from './float'
import { phReadings } from './ph-meter'
import { courseOf } from './simulated-wine'

const startAt = '2026-10-01T08:00:00.000Z'
const on = (day: number) => new Date(Date.parse(startAt) + day * 86_400_000).toISOString()
const asked = (wine?: number, to = 20) => ({ seed: 3, startAt, from: startAt, to: on(to), originalSg: 1.09, celsius: 21, wine })
const sgs = (wine?: number, to?: number) => floatReadings(asked(wine, to)).flatMap((r) => (r.sg !== null && r.sg < 1.2 ? r.sg : []))

describe('a pH meter in a simulated wine', () => {
  const asked = (seed: number, to = 20) => ({ seed, startAt, from: startAt, to: on(to), originalSg: 1.09, celsius: 21, wine: 7 })
  it('shows the wine’s pH to within its error, the same each time, and drifts in its own way', () => {
    const course = courseOf(7, 1.09, 21, 480)
    for (const seed of [1, 2, 3, 4, 5]) {
      const all = phReadings(asked(seed))
      expect(all).toEqual(phReadings(asked(seed)))
      expect(all.length).toBeGreaterThan(70)
      for (const r of all) {
        const is = course[Math.min(480, Math.floor((Date.parse(r.at) - Date.parse(startAt)) / 3_600_000))]!
        // Four standard deviations of calibration, drift and noise.
        expect(Math.abs(r.ph - is.ph)).toBeLessThan(4 * Math.hypot(0.03, 0.004 * 20, 0.015))
      }
    }
    expect(phReadings(asked(1))).not.toEqual(phReadings(asked(2)))
  })
  it('what it showed stays what it showed', () =>
    expect(phReadings(asked(3, 20)).slice(0, 20)).toEqual(phReadings(asked(3, 9)).slice(0, 20)))
})

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
