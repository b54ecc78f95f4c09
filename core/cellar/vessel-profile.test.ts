import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import { PROFILES, type VesselKind, levelFor, vesselHeightDm } from '.'

const kinds = Object.keys(PROFILES) as VesselKind[]

describe('vessels drawn to scale', () => {
  it('the drawn outline holds the capacity: volume of revolution by Simpson’s rule, as an independent check', () => {
    for (const kind of kinds) {
      const height = vesselHeightDm(kind, 25)
      const radius = (h: number): number => {
        const i = PROFILES[kind].findIndex((p) => p[0] >= h) || 1
        const [[h0, r0], [h1, r1]] = [PROFILES[kind][i - 1]!, PROFILES[kind][i]!]
        return (r0 + ((r1 - r0) * (h - h0)) / (h1 - h0)) * height
      }
      let litres = 0
      const n = 4000
      for (let i = 0; i < n; i++) litres += (Math.PI * radius((i + 0.5) / n) ** 2 * height) / n
      expect(litres, kind).toBeCloseTo(25, 1)
    }
  })
  it('eight times the capacity is twice the height', () =>
    expect(vesselHeightDm('pail', 80)).toBeCloseTo(2 * vesselHeightDm('pail', 10), 9))
  it('more wine stands higher; empty is the bottom and full the brim', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.double({ min: 0, max: 0.98, noNaN: true }),
        (kind, share) => levelFor(kind, share + 0.02) > levelFor(kind, share)
      )
    )
    for (const kind of kinds) expect([levelFor(kind, 0), levelFor(kind, 1)].map((x) => Math.round(x * 1e6) / 1e6)).toEqual([0, 1])
  })
  it('a demijohn filled to nine tenths stands below its neck', () => expect(levelFor('demijohn', 0.9)).toBeLessThan(0.75))
  it('a vessel of nothing is refused', () => expect(() => vesselHeightDm('pail', 0)).toThrow(LimitError))
})
