import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blendOf } from '../must'
import { GLASS_STEPS, type GlassSteps, blendGlasses } from '.'

const red = { volumeL: 30, abv: 13.6, ph: 3.72, taGPerL: 5.4, freeSo2MgPerL: 26 }
const sharp = { volumeL: 12, abv: 12.1, ph: 3.31, taGPerL: 7.6, freeSo2MgPerL: 30 }

describe('glasses of two wines', () => {
  it.each(Object.keys(GLASS_STEPS) as GlassSteps[])('%s: each measures what such a blend in the vessel would', (steps) => {
    for (const { share, ml, blend } of blendGlasses([red, sharp], steps, 100)) {
      expect(ml[0] + ml[1]).toBeCloseTo(100, 9)
      expect(ml[1]).toBeCloseTo(100 * share, 9)
      if (share === 0 || share === 1) {
        const pure = share === 0 ? red : sharp
        expect([blend.abv, blend.freeSo2MgPerL]).toEqual([pure.abv, pure.freeSo2MgPerL])
        expect(blend.ph).toBeCloseTo(pure.ph, 2)
        expect(blend.taGPerL).toBeCloseTo(pure.taGPerL, 1)
      }
      else {
        const vessel = blendOf([
          { ...red, volumeL: 20 * (1 - share) },
          { ...sharp, volumeL: 20 * share }
        ])
        expect(blend.ph).toBeCloseTo(vessel.ph!, 6)
        expect(blend.abv).toBeCloseTo(13.6 - 1.5 * share, 9)
      }
    }
  })
  it('the most that can be made uses one of them up, and no more than there is of either', () => {
    const litres = fc.double({ min: 0.5, max: 200, noNaN: true })
    fc.assert(
      fc.property(litres, litres, (a, b) => {
        for (const { share, mostL } of blendGlasses([{ volumeL: a }, { volumeL: b }], 'quarters', 80)) {
          const used = [mostL * (1 - share), mostL * share]
          expect(used[0]! <= a * (1 + 1e-9) && used[1]! <= b * (1 + 1e-9)).toBe(true)
          expect(Math.abs(used[0]! - a) < 1e-6 || Math.abs(used[1]! - b) < 1e-6).toBe(true)
        }
      })
    )
  })
  it('figures that nobody gave are not told', () => {
    expect(blendGlasses([{ volumeL: 5 }, sharp], 'thirds', 100)[1]!.blend.ph).toBeUndefined()
  })
})
