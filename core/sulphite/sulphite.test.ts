import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import { SO2_SHARE, freeSo2For, molecularSo2, stockSolutionMl, sulphiteDose, sulphurousPka } from '.'

describe('molecular SO₂', () => {
  // The usual table for 0.8 mg/L at pKa 1.81 (craft 4.6; in every winemaking handbook), within 2 % or its own rounding to 1 mg/L.
  it.each([
    [3.0, 13],
    [3.2, 20],
    [3.4, 32],
    [3.5, 40],
    [3.6, 50],
    [3.8, 79]
  ])('pH %d asks for %d mg/L free', (ph, free) => {
    expect(Math.abs(freeSo2For(0.8, ph) - free)).toBeLessThanOrEqual(Math.max(0.02 * free, 0.55))
  })
  it('level and free SO₂ are each other’s inverse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2.8, max: 4, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (ph, m) => Math.abs(molecularSo2(freeSo2For(m, ph), ph) - m) < 1e-9
      )
    )
  })
  // Usseglio-Tomasset and Bosia 1984, values from memory; between the rows the pKa must lie between them.
  it.each([
    [0, 19, 1.78],
    [10, 19, 1.98],
    [10, 25, 2.21],
    [20, 40, 2.88],
    [15, 28, 2.45]
  ])('pKa at %d %% vol and %d °C is %d', (abv, c, pka) => expect(sulphurousPka(abv, c)).toBeCloseTo(pka, 9))
  it('rises with alcohol and with warmth, everywhere', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 19, noNaN: true }),
        fc.double({ min: -4, max: 38, noNaN: true }),
        (abv, c) => sulphurousPka(abv + 1, c) > sulphurousPka(abv, c) && sulphurousPka(abv, c + 1) > sulphurousPka(abv, c)
      )
    )
  })
})

describe('the dose', () => {
  it('the salts carry 57.6 % and 67.4 % (stoichiometry)', () => {
    expect(SO2_SHARE['potassium-metabisulphite']).toBeCloseTo(0.576, 3)
    expect(SO2_SHARE['sodium-metabisulphite']).toBeCloseTo(0.674, 3)
  })
  it('118 kg of Tempranillo, pH 3.71: 40 mg/L free for 0.5 molecular, 60 with a third bound, 8 g into 76.7 L', () => {
    const dose = sulphiteDose({ ph: 3.71, volumeL: 76.7, targetMolecularMgPerL: 0.5, salt: 'potassium-metabisulphite', boundShare: 1 / 3 })
    expect(dose.targetFreeMgPerL).toBeCloseTo(0.5 * (1 + 10 ** 1.9), 9)
    expect(dose.grams).toBeCloseTo((40.2164 * 1.5 * 76.7) / 1000 / 0.57632, 2)
  })
  it('done once it is not asked for again, and hardly more free SO₂ never asks for more salt', () => {
    const share = fc.double({ min: 0, max: 0.6, noNaN: true })
    const wine = fc.record({ ph: fc.double({ min: 2.9, max: 3.9, noNaN: true }), free: fc.double({ min: 0, max: 60, noNaN: true }), share })
    fc.assert(
      fc.property(wine, fc.constantFrom(0.35, 0.5, 0.8), ({ ph, free, share: boundShare }, targetMolecularMgPerL) => {
        const at = (freeMgPerL: number) =>
          sulphiteDose({ ph, volumeL: 23, boundShare, targetMolecularMgPerL, freeMgPerL, salt: 'potassium-metabisulphite' })
        const first = at(free)
        const after = at(free + first.addMgPerL * (1 - boundShare) + 1e-9)
        return after.grams < 1e-6 && after.findings.some((f) => f.code === 'already-there') && at(free + 0.1).grams <= first.grams
      }),
      { numRuns: 2000 }
    )
  })
  it('what goes in is what was wanted: mass of SO₂ is conserved', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 3.9, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        (ph, volumeL, boundShare) => {
          const d = sulphiteDose({ ph, volumeL, boundShare, targetMolecularMgPerL: 0.8, salt: 'sodium-metabisulphite' })
          return Math.abs(((d.grams * SO2_SHARE['sodium-metabisulphite'] * 1000) / volumeL) * (1 - boundShare) - d.targetFreeMgPerL) < 1e-6
        }
      )
    )
  })
  it.each([
    [{ ph: 4.1 }, 'ph-too-high'],
    [{ volumeL: 4, scaleStepG: 0.1 }, 'below-scale'],
    [{ freeMgPerL: 60 }, 'already-there'],
    // 0.8 mg/L molecular at pH 3.5 asks for 40 mg/L free.
    [{ freeMgPerL: 38.2 }, 'as-good-as-there'],
    [{ totalMgPerL: 110, limitTotalMgPerL: 150 }, 'near-total-limit'],
    [{ totalMgPerL: 130, limitTotalMgPerL: 150 }, 'over-total-limit'],
    [{ ph: 3.85, boundShare: 0.5 }, 'large-dose'],
    [{ ph: 2.9, targetMolecularMgPerL: 0.5 }, 'little-free'],
    [{ ph: 3.2, freeMgPerL: 60 }, 'much-molecular']
  ] as const)('%j is remarked on: %s', (change, code) => {
    const dose = sulphiteDose({ ph: 3.5, volumeL: 23, targetMolecularMgPerL: 0.8, salt: 'potassium-metabisulphite', ...change })
    expect(dose.findings.map((f) => f.code)).toContain(code)
  })
  it.each([
    ['a base wine kept low on purpose', { ph: 3, targetMolecularMgPerL: 0.35 }, 'little-free'],
    ['a must that has none yet', { ph: 4.2, targetFreeMgPerL: 1 }, 'as-good-as-there'],
    ['one that holds enough, whatever its pH asks for', { ph: 2.9, targetMolecularMgPerL: 0.5, freeMgPerL: 15 }, 'little-free'],
    ['what a reading tells apart', { freeMgPerL: 36 }, 'as-good-as-there']
  ] as const)('%s is not remarked on', (_, change, code) => {
    const dose = sulphiteDose({ ph: 3.5, volumeL: 23, targetMolecularMgPerL: 0.8, salt: 'potassium-metabisulphite', ...change })
    expect(dose.findings.map((f) => f.code)).not.toContain(code)
  })
  it('0.42 g is 4.2 mL of 10 g in 100 mL', () => expect(stockSolutionMl(0.42, 100)).toBeCloseTo(4.2, 9))
  it.each([[{ ph: 35 }], [{ volumeL: 0 }], [{ freeMgPerL: -1 }], [{ boundShare: 1 }]])('%j is refused', (change) => {
    expect(() => sulphiteDose({ ph: 3.5, volumeL: 23, targetMolecularMgPerL: 0.8, salt: 'potassium-metabisulphite', ...change })).toThrow(
      LimitError
    )
  })
  it('wants a target', () => expect(() => sulphiteDose({ ph: 3.5, volumeL: 23, salt: 'potassium-metabisulphite' })).toThrow(TypeError))
})
