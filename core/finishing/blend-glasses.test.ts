import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blendOf } from '../must'
import { type GlassSteps, blendGlasses, stepsFor } from '.'

const red = { volumeL: 30, abv: 13.6, ph: 3.72, taGPerL: 5.4, freeSo2MgPerL: 26 }
const sharp = { volumeL: 12, abv: 12.1, ph: 3.31, taGPerL: 7.6, freeSo2MgPerL: 30 }
const deep = { volumeL: 8, abv: 14.2, ph: 3.6, taGPerL: 6.1, freeSo2MgPerL: 22 }
const WINES = [red, sharp, deep, { ...red, ph: 3.5 }, { ...sharp, abv: 11 }]
const each = [2, 3, 4, 5].flatMap((n) => stepsFor(n).map((steps) => [n, steps] as const))

describe('glasses of two to five wines', () => {
  // Lattices of a simplex: (n + m − 1 over m) mixtures of n wines in m parts, counted by hand.
  it.each<[number, Partial<Record<GlassSteps, number>>]>([
    [2, { halves: 3, thirds: 4, quarters: 5, tenths: 6 }],
    [3, { halves: 6, thirds: 10, quarters: 15, tenths: 6 }],
    [4, { halves: 10, tenths: 10 }],
    [5, { halves: 15, tenths: 15 }]
  ])('%d wines: as many glasses as there are mixtures, and no more than one can taste', (n, wanted) => {
    const made = Object.fromEntries(stepsFor(n).map((steps) => [steps, blendGlasses(WINES.slice(0, n), steps, 100).length]))
    expect(made).toEqual(wanted)
  })
  it.each(each)('%d wines in %s: each glass measures what such a blend in the vessel would, and none stands twice', (n, steps) => {
    const wines = WINES.slice(0, n)
    const glasses = blendGlasses(wines, steps, 100)
    expect(new Set(glasses.map((g) => g.shares.join())).size).toBe(glasses.length)
    for (const { shares, ml, blend } of glasses) {
      expect(ml.reduce((a, b) => a + b)).toBeCloseTo(100, 9)
      const inIt = wines.map((w, i) => ({ ...w, volumeL: 20 * shares[i]! })).filter((w) => w.volumeL > 0)
      if (inIt.length === 1) expect(blend.ph).toBeCloseTo(inIt[0]!.ph, 2)
      else expect(blend.ph).toBeCloseTo(blendOf(inIt, false).ph!, 6)
      expect(blend.abv).toBeCloseTo(wines.reduce((sum, w, i) => sum + w.abv * shares[i]!, 0), 9)
    }
  })
  it('the most that can be made uses one of them up, and no more than there is of any', () => {
    const litres = fc.double({ min: 0.5, max: 200, noNaN: true })
    fc.assert(
      fc.property(litres, litres, litres, (...there) => {
        for (const { shares, mostL } of blendGlasses(there.map((volumeL) => ({ volumeL })), 'thirds', 80)) {
          const left = there.map((l, i) => l - mostL * shares[i]!)
          expect(Math.min(...left)).toBeGreaterThan(-1e-6)
          expect(left.some((l, i) => shares[i]! > 0 && l < 1e-6)).toBe(true)
        }
      }),
      { numRuns: 40 }
    )
  })
  it('figures that nobody gave are not told', () => {
    expect(blendGlasses([{ volumeL: 5 }, sharp], 'thirds', 100)[1]!.blend.ph).toBeUndefined()
  })
})
