import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError, findRoot } from '../units'
import {
  type AcidChange,
  type Composition,
  ACIDS,
  END_POINT_PH,
  TARTARIC_EQUIVALENT,
  acidStateOf,
  applyChange,
  applyChanges,
  bitartrateExcess,
  bitartrateSolubility,
  fitAcids,
  predictAcids,
  solveEquilibrium
} from '.'
import { chargeAt, mediumOf, molesOf } from './charge'

const none = Object.fromEntries(Object.keys(ACIDS).map((name) => [name, 0])) as Composition['acids']
const solution = (acids: Partial<Composition['acids']>, strongIon = 0, abv = 0): Composition => ({
  abv,
  strongIon,
  calcium: 0,
  acids: { ...none, ...acids }
})
const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const musts = fc.record({ ph: real(2.9, 4), taGPerL: real(4, 12), abv: real(0, 15) })
const pairs = fc.record({ ph: real(2.5, 4.5), taGPerL: real(2, 20), abv: real(0, 18) })

describe('simple solutions whose pH is in print', () => {
  // 0.1 M acetic acid: pH 2.88 (any general chemistry text);
  // 0.034 M potassium bitartrate saturated at 25 °C: pH 3.557 (NIST/IUPAC primary standard).
  it('0.1 M acetic acid has pH 2.88', () => expect(solveEquilibrium(solution({ acetic: 0.1 })).ph).toBeCloseTo(2.88, 2))
  it('the pH standard of saturated bitartrate, 0.0341 mol/kg, reads 3.557 within 0.02', () => {
    expect(Math.abs(solveEquilibrium(solution({ tartaric: 0.0341 }, 0.0341)).ph - 3.557)).toBeLessThan(0.02)
  })
  it('0.05 M citrate with one base to the acid, the pH standard 3.776, within 0.04', () => {
    expect(Math.abs(solveEquilibrium(solution({ citric: 0.05 }, 0.05)).ph - 3.776)).toBeLessThan(0.04)
  })
  it('an equal mix of acetic acid and its salt is a buffer near its pKa (Henderson and Hasselbalch, less the activity)', () => {
    const { ph, ionicStrength } = solveEquilibrium(solution({ acetic: 0.1 }, 0.05))
    expect(ionicStrength).toBeCloseTo(0.05, 3)
    expect(ph).toBeCloseTo(4.756 - 0.082, 2)
  })
  it('the titration of tartaric acid alone counts all of it: 6 g/L of acid are 6.0 g/L of TA', () => {
    expect(acidStateOf(solution({ tartaric: 6 / ACIDS.tartaric.molarMass })).taGPerL).toBeCloseTo(6, 2)
  })
})

describe('the solver', () => {
  it('closes the charge balance to 1e-9 mol/L over all musts and wines', () => {
    fc.assert(
      fc.property(pairs, (pair) => {
        const solved = solveEquilibrium(fitAcids(pair).composition)
        expect(solved.status).toBe('converged')
        expect(Math.abs(solved.residual)).toBeLessThan(1e-9)
      })
    )
  })
  it('a fit and then no change is the measured pair', () => {
    fc.assert(
      fc.property(pairs, (pair) => {
        const before = acidStateOf(fitAcids(pair).composition)
        expect(before.ph).toBeCloseTo(pair.ph, 6)
        expect(before.taGPerL).toBeCloseTo(pair.taGPerL, 5)
      })
    )
  })
  it('agrees with a plain root search at the same ionic strength', () => {
    fc.assert(
      fc.property(musts, (pair) => {
        const { composition } = fitAcids(pair)
        const solved = solveEquilibrium(composition)
        const medium = mediumOf(pair.abv, solved.ionicStrength)
        const root = findRoot((ph) => chargeAt(ph, molesOf(composition), medium).balance, 1.6, 9, 1e-12)
        expect(root.x).toBeCloseTo(solved.ph, 7)
      })
    )
  })
  it('the base of the titration, put in as a strong ion, brings the wine to the end point: a second way round', () => {
    fc.assert(
      fc.property(musts, (pair) => {
        const { composition } = fitAcids(pair)
        // A net strong anion is no wine; its charges would count twice here.
        fc.pre(composition.strongIon > 0)
        const titrated = solveEquilibrium({ ...composition, strongIon: composition.strongIon + pair.taGPerL / TARTARIC_EQUIVALENT })
        expect(titrated.ph).toBeCloseTo(END_POINT_PH, 5)
      })
    )
  })
  it('says when there is no solution instead of inventing one', () =>
    expect(solveEquilibrium(solution({ tartaric: 0.01 }, 5)).status).toBe('no-solution'))
})

describe('the trade’s rules of thumb, as ranges (common practice, craft 4.5)', () => {
  const after = (ph: number, taGPerL: number, change: AcidChange, more = {}) => predictAcids({ ph, taGPerL, ...more }, [change])
  it.each([
    [3.4, 7],
    [3.6, 6],
    [3.7, 5.5],
    [3.2, 8.5]
  ])('1 g/L of tartaric at pH %d lowers the pH by about 0.1 and raises TA by 1', (ph, ta) => {
    const p = after(ph, ta, { kind: 'tartaric', gPerL: 1 })
    expect(p.before.ph - p.after.ph).toBeGreaterThan(0.06)
    expect(p.before.ph - p.after.ph).toBeLessThan(0.16)
    expect(p.after.taGPerL - p.before.taGPerL).toBeCloseTo(1, 1)
  })
  it.each([
    [3.2, 8],
    [3.4, 7.5],
    [3.5, 7]
  ])('malolactic of 3 g/L malic at pH %d takes 1.7 of TA, what citric acid loses with it, and lifts the pH by 0.1 to 0.3', (ph, ta) => {
    const p = after(ph, ta, { kind: 'malolactic', toMalicGPerL: 0 }, { malicGPerL: 3, abv: 12.5 })
    expect(p.after.taGPerL - p.before.taGPerL).toBeGreaterThan(-1.95)
    expect(p.after.taGPerL - p.before.taGPerL).toBeLessThan(-1.55)
    expect(p.after.ph - p.before.ph).toBeGreaterThan(0.09)
    expect(p.after.ph - p.before.ph).toBeLessThan(0.3)
    expect(p.after.acidsGPerL.lactic - p.before.acidsGPerL.lactic).toBeCloseTo(3 * 0.672 * 0.985, 2)
  })
  it('1 g/L of bicarbonate takes 0.75 g/L of TA (stoichiometry: 75.04/100.1)', () => {
    const p = after(3.2, 9, { kind: 'potassium-bicarbonate', gPerL: 1 })
    expect(p.before.taGPerL - p.after.taGPerL).toBeCloseTo(0.7495, 3)
  })
  it('a tenth of water thins the acid and hardly moves the pH', () => {
    const p = after(3.5, 6.6, { kind: 'water', litresPerLitre: 0.1 })
    expect(p.after.taGPerL).toBeCloseTo(6, 1)
    expect(Math.abs(p.after.ph - p.before.ph)).toBeLessThan(0.03)
  })
  it.each([
    [3.2, 8, -1],
    [3.4, 7, -1],
    [3.95, 5.2, 1]
  ])('cold at pH %d: TA falls, and the pH goes %d (turning near 3.65 to 3.8)', (ph, ta, direction) => {
    const p = after(ph, ta, { kind: 'cold', celsius: -4 }, { abv: 12.5 })
    expect(p.findings.map((f) => f.code)).toContain('bitartrate-falls')
    expect(p.after.taGPerL).toBeLessThan(p.before.taGPerL)
    expect(Math.sign(p.after.ph - p.before.ph)).toBe(direction)
  })
  // Berg and Keefer, Am. J. Enol. 9 (1958), as tabulated in handbooks; from memory.
  it.each([
    [0, 0, 2.25],
    [10, 0, 3.42],
    [15, 0, 4.17],
    [20, 0, 4.92],
    [0, 10, 1.26],
    [10, 10, 2.02],
    [15, 10, 2.45],
    [20, 10, 3.08],
    [20, 12, 2.77],
    [20, 14, 2.51]
  ])('at %d °C and %d %% vol %d g/L of bitartrate stay in solution, within 3 %%', (celsius, abv, gPerL) => {
    expect(Math.abs(bitartrateSolubility(celsius, abv) / gPerL - 1)).toBeLessThan(0.03)
  })
  // Worked by hand for a text-book must: 77 L, pH 3.71, TA 5.5, 1.5 g/L of tartaric acid: TA 7.0 and pH 3.5 to 3.6.
  it('a flat warm-year must: 1.5 g/L bring pH 3.71 and TA 5.5 to about 3.5 and 7.0', () => {
    const p = after(3.71, 5.5, { kind: 'tartaric', gPerL: 1.5 })
    expect(p.after.ph).toBeGreaterThan(3.45)
    expect(p.after.ph).toBeLessThan(3.6)
    expect(p.after.taGPerL).toBeCloseTo(7, 1)
  })
})

describe('laws', () => {
  it('acid never raises the pH, carbonate never lowers it', () => {
    fc.assert(
      fc.property(musts, real(0.01, 4), fc.constantFrom('tartaric', 'malic', 'citric', 'lactic'), (pair, gPerL, kind) => {
        const { composition } = fitAcids(pair)
        const after = (change: AcidChange) => acidStateOf(applyChange(composition, change).composition)
        expect(after({ kind, gPerL }).ph).toBeLessThan(pair.ph)
        expect(after({ kind, gPerL }).taGPerL).toBeGreaterThan(pair.taGPerL)
        expect(after({ kind: 'potassium-bicarbonate', gPerL: gPerL / 4 }).ph).toBeGreaterThan(pair.ph)
      })
    )
  })
  it('the order of acids, carbonate and malolactic does not matter', () => {
    fc.assert(
      fc.property(musts, real(0, 2), real(0, 1), (pair, acid, base) => {
        const changes: AcidChange[] = [
          { kind: 'tartaric', gPerL: acid },
          { kind: 'potassium-bicarbonate', gPerL: base },
          { kind: 'malolactic', toMalicGPerL: 0 }
        ]
        const { composition } = fitAcids(pair)
        const forth = acidStateOf(applyChanges(composition, changes).composition)
        const back = acidStateOf(applyChanges(composition, [...changes].reverse()).composition)
        expect(back.ph).toBeCloseTo(forth.ph, 9)
        expect(back.taGPerL).toBeCloseTo(forth.taGPerL, 9)
      })
    )
  })
  it('a mixed acid is the sum of its parts, and 2 : 1 carbonate is two bicarbonates', () => {
    const { composition } = fitAcids({ ph: 3.6, taGPerL: 6 })
    const blend = applyChange(composition, {
      kind: 'acid-blend',
      gPerL: 2,
      tartaricShare: 0.5,
      malicShare: 0.4,
      citricShare: 0.1
    }).composition
    const parts = applyChanges(composition, [
      { kind: 'tartaric', gPerL: 1 },
      { kind: 'malic', gPerL: 0.8 },
      { kind: 'citric', gPerL: 0.2 }
    ]).composition
    expect(acidStateOf(blend).ph).toBeCloseTo(acidStateOf(parts).ph, 9)
    const carbonate = applyChange(composition, { kind: 'potassium-carbonate', gPerL: 1.38205 }).composition
    const bicarbonates = applyChange(composition, { kind: 'potassium-bicarbonate', gPerL: 2.0023 }).composition
    expect(carbonate.strongIon).toBeCloseTo(bicarbonates.strongIon, 9)
  })
  it('a blend conserves every acid, and lies between its parts in TA', () => {
    fc.assert(
      fc.property(musts, musts, real(0.1, 5), (one, two, litresPerLitre) => {
        const [a, b] = [fitAcids(one).composition, fitAcids(two).composition]
        const { composition } = applyChange(a, { kind: 'blend', with: b, litresPerLitre })
        expect(composition.acids.tartaric * (1 + litresPerLitre)).toBeCloseTo(a.acids.tartaric + b.acids.tartaric * litresPerLitre, 9)
        const [ta, tb, tc] = [a, b, composition].map((c) => acidStateOf(c).taGPerL) as [number, number, number]
        expect(tc).toBeGreaterThan(Math.min(ta, tb) - 0.05)
        expect(tc).toBeLessThan(Math.max(ta, tb) + 0.05)
      })
    )
  })
  it('what falls as bitartrate is gone from tartaric acid and potassium alike, and never more than saturation asks for', () => {
    fc.assert(
      fc.property(musts, real(-4, 10), (pair, celsius) => {
        const { composition } = fitAcids({ ...pair, abv: 12 })
        const cold = applyChange(composition, { kind: 'cold', celsius }).composition
        const fallen = composition.acids.tartaric - cold.acids.tartaric
        expect(composition.strongIon - cold.strongIon).toBeCloseTo(fallen, 9)
        expect(fallen).toBeLessThanOrEqual(bitartrateExcess(composition, celsius) + 1e-9)
      }),
      { numRuns: 40 }
    )
  })
  it('chalk brings calcium and no potassium; weeks later calcium tartrate falls, TA stays and the pH comes back a little', () => {
    const { composition } = fitAcids({ ph: 3.1, taGPerL: 10, abv: 12 })
    const chalked = applyChange(composition, { kind: 'calcium-carbonate', gPerL: 1 })
    expect(chalked.composition.strongIon).toBe(composition.strongIon)
    expect(chalked.findings).toEqual([{ code: 'calcium-slow', gPerL: 1 }])
    const now = acidStateOf(chalked.composition)
    // Without bitartrate to fall (a warm cellar) only the calcium settles.
    const later = acidStateOf(applyChange(chalked.composition, { kind: 'cold', celsius: 40 }).composition)
    expect(later.taGPerL).toBeCloseTo(now.taGPerL, 1)
    expect(later.ph).toBeLessThan(now.ph)
    expect(later.acidsGPerL.tartaric).toBeLessThan(now.acidsGPerL.tartaric - 0.8)
  })
})

describe('what cannot be', () => {
  it.each([
    [4, 12],
    [3.5, 16],
    [4.4, 9]
  ])('pH %d with TA %d is not a wine', (ph, taGPerL) =>
    expect(fitAcids({ ph, taGPerL }).findings.map((f) => f.code)).toContain('potassium-implausible')
  )
  it.each([
    [3.4, 7],
    [3.71, 5.5],
    [3.18, 8.4]
  ])('pH %d with TA %d is', (ph, taGPerL) => expect(fitAcids({ ph, taGPerL }).findings.map((f) => f.code)).toEqual(['malic-assumed']))
  it.each([
    [{ ph: 35, taGPerL: 6 }],
    [{ ph: 3.5, taGPerL: 0.62 }],
    [{ ph: 3.5, taGPerL: 6, malicGPerL: -1 }],
    [{ ph: 3.5, taGPerL: 6, abv: 40 }],
    [{ ph: Number.NaN, taGPerL: 6 }]
  ])('%j is refused', (readings) => expect(() => fitAcids(readings)).toThrow(LimitError))
  it.each<[AcidChange]>([
    [{ kind: 'tartaric', gPerL: -1 }],
    [{ kind: 'water', litresPerLitre: 2 }],
    [{ kind: 'cold', celsius: -30 }],
    [{ kind: 'acid-blend', gPerL: 1, tartaricShare: 1, malicShare: 1, citricShare: 1 }]
  ])('%j is refused', (change) => expect(() => predictAcids({ ph: 3.5, taGPerL: 6 }, [change])).toThrow(LimitError))
})
