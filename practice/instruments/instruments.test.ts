import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { phOf, potassiumFor, taOf } from '../../simulator'
import { BUFFERS, calibrate, fieldOf, freeFrom, iodineLook, lookAt, newMeter, phAfter, readField, readStem, shows, stemOf, taFrom } from '.'

describe('drawn instruments show what they are held in', () => {
  it('a hydrometer read by its marks gives its gravity to a fifth of a point', () => {
    fc.assert(fc.property(fc.double({ min: 0.982, max: 1.17, noNaN: true }), fc.nat(9999), (sg, seed) => {
      const stem = stemOf(sg, seed)
      expect(Math.abs(readStem(stem) - sg)).toBeLessThan(0.0002)
      // Heavier below: the scale of a thing that sinks in what is light.
      expect(stem.ticks.every((t, i) => i === 0 || (t.y > stem.ticks[i - 1]!.y && t.sg > stem.ticks[i - 1]!.sg))).toBe(true)
      expect(stem.ticks.filter((t) => t.label).length).toBeGreaterThanOrEqual(5)
    }))
  })
  it('a refractometer read at the middle of its blur gives its Brix', () => {
    fc.assert(fc.property(fc.double({ min: -1.5, max: 31.5, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true }), (brix, blur) => {
      expect(readField(fieldOf(brix, blur))).toBeCloseTo(brix, 6)
    }))
  })
  it('a meter calibrated in both buffers reads right, and one that nobody calibrated does not', () => {
    fc.assert(fc.property(
      fc.double({ min: 0.86, max: 1, noNaN: true }), fc.double({ min: -25, max: 25, noNaN: true }),
      fc.double({ min: 2.9, max: 4.1, noNaN: true }),
      (slope, zero, ph) => {
        const raw = newMeter(slope, zero)
        let meter = raw
        for (const buffer of BUFFERS) meter = calibrate(meter, buffer, shows(meter, buffer, 120, 7))
        expect(shows(meter, ph, 120, 7)).toBeCloseTo(ph, 2)
        const early = calibrate(raw, 7.01, shows(raw, 7.01, 3, 5))
        expect(Math.abs(shows(early, 7.01, 200, 7) - 7.01)).toBeGreaterThan(0.2)
      }
    ))
  })
  it('a titration ends where the acids do: TA at pH 8.2 is the simulator’s own', () => {
    fc.assert(fc.property(
      fc.double({ min: 2, max: 6, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), fc.double({ min: 3, max: 3.8, noNaN: true }),
      (tartaric, malic, ph) => {
        const own = { tartaric, malic, lactic: 0.2, succinic: 0.5, acetic: 0.3 }
        const acids = { ...own, potassium: potassiumFor(own, ph) }
        const sample = { acids, sampleMl: 10, normality: 0.1, colour: 'white' as const }
        expect(phAfter(sample, 0)).toBeCloseTo(phOf(acids), 3)
        const end = (taOf(acids) * sample.sampleMl) / (75.04 * sample.normality)
        expect(Math.abs(phAfter(sample, end) - 8.2)).toBeLessThan(0.12)
        expect(lookAt(sample, end)).toBe('end')
        expect(lookAt(sample, end + 0.25)).toBe('over')
        expect(['start', 'near']).toContain(lookAt(sample, end - 0.3))
        expect(taFrom(sample, end)).toBeCloseTo(taOf(acids), 3)
      }
    ))
  })
  // 0.02 N iodine, 50 mL: 12.8 mg/L a millilitre (Ripper's titration, standard handbooks).
  it('a drop of iodine stays when the free SO₂ is used up; in a red it fades at first, and read late it is too high', () => {
    const white = { freeMgPerL: 25.6, slowMgPerL: 0, sampleMl: 50, normality: 0.02 }
    expect(freeFrom(white, 2)).toBeCloseTo(25.6, 1)
    expect([1, 1.9, 2.05].map((ml) => iodineLook(white, ml))).toEqual(['clear', 'flash', 'stays'])
    const red = { ...white, slowMgPerL: 7 }
    expect([2.05, 2.4, 2.7].map((ml) => iodineLook(red, ml))).toEqual(['fades', 'fades', 'stays'])
  })
})
