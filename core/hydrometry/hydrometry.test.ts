import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  ETHANOL_DENSITY,
  actualAlcohol,
  brixFromSg,
  correctHydrometer,
  correctRefractometer,
  refraction,
  ethanolWaterDensity,
  gravityOf,
  potentialAlcohol,
  residualSugar,
  sgFromBrix,
  sucroseDensity,
  sugarScales,
  trueExtractBrix,
  waterDensity
} from '.'
import { LimitError } from '../units'
import { NBS_440 } from './sucrose-table.fixture'

describe('sugar scales against the published table', () => {
  it.each(NBS_440)('%d °Brix is SG %d within 0.0002', (brix, sg) => expect(Math.abs(sgFromBrix(brix) - sg)).toBeLessThanOrEqual(0.0002))
  it('every scale comes back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 45, noNaN: true }), (brix) => {
        const s = sugarScales(brix, 'brix')
        return (['sg', 'baume', 'oechsle', 'kmw', 'sugarGPerL'] as const).every(
          (scale) => Math.abs(sugarScales(s[scale], scale).brix - brix) < 1e-5
        )
      })
    )
  })
  it('Baumé is 145 − 145/SG, and 83 °Oechsle is about 17 KMW (Austrian must scale)', () => {
    expect(sugarScales(1.1, 'sg').baume).toBeCloseTo(13.1818, 4)
    expect(sugarScales(83, 'oechsle').kmw).toBeCloseTo(16.9, 1)
  })
  it.each([
    ['brix', 60],
    ['sg', 1.89],
    ['baume', 40],
    ['oechsle', 900],
    ['kmw', 90],
    ['sugarGPerL', -1],
    ['sg', Number.NaN]
  ] as const)('%s %d is refused', (scale, value) => {
    expect(() => sugarScales(value, scale)).toThrow(LimitError)
  })
})

describe('densities against published values', () => {
  it.each([
    [4, 999.972],
    [20, 998.203],
    [30, 995.645]
  ])('water at %d °C is %d kg/m³ (CRC Handbook, from memory)', (c, rho) => expect(waterDensity(c)).toBeCloseTo(rho, 1))
  it.each([
    [10, 984.71],
    [12, 982.35],
    [20, 973.56]
  ])('%d %% vol weighs %d kg/m³ at 20 °C (OIML alcoholometric tables, from memory)', (abv, rho) =>
    expect(ethanolWaterDensity(abv)).toBeCloseTo(rho, 1)
  )
  it('20 °Brix at 30 °C is 1077.6 kg/m³ (ICUMSA SPS-4 table, from memory)', () => expect(sucroseDensity(20, 30)).toBeCloseTo(1077.6, 0))
})

describe('a hydrometer away from its temperature', () => {
  it('reads true at its temperature', () => expect(correctHydrometer(1.089, 'sg', 20, 20).sg).toBeCloseTo(1.089, 9))
  it('reads too high in cold must and too low in warm must', () => {
    expect(correctHydrometer(1.089, 'sg', 8, 20).correctionSg).toBeLessThan(-0.002)
    expect(correctHydrometer(1.08, 'sg', 30, 20).correctionSg).toBeGreaterThan(0.002)
  })
  // The polynomial printed on many brewing sheets (Lyons, 1992; for 60 °F instruments), from memory: made for thin worts, so ±0.001.
  it.each([
    [15.56, 0],
    [25, 0.0021],
    [30, 0.0034]
  ])('a 60 °F instrument at %d °C wants %d', (celsius, correction) => {
    expect(Math.abs(correctHydrometer(1.05, 'sg', celsius, 15.56).correctionSg - correction)).toBeLessThanOrEqual(0.001)
  })
  it.each([
    [1.5, 20],
    [1.05, 95]
  ])('SG %d at %d °C is refused', (sg, c) => expect(() => correctHydrometer(sg, 'sg', c, 20)).toThrow(LimitError))
})

describe('a refractometer with alcohol in the sample', () => {
  it('is plain Brix before the ferment, less its offset', () => {
    expect(correctRefractometer(24, 24)).toMatchObject({ abv: 0, uncertaintySg: 0.001 })
    expect(correctRefractometer(24.5, 24.5, 0.5).brix).toBeCloseTo(24, 9)
  })
  it('reads far too high raw: 8 °Brix on a 24 °Brix must is dry', () => {
    const read = correctRefractometer(24, 8)
    expect(read.sg).toBeGreaterThan(0.99)
    expect(read.sg).toBeLessThan(0.998)
    expect(read.uncertaintySg).toBeGreaterThanOrEqual(0.002)
  })
  // CRC Handbook, concentrative properties of aqueous solutions, nD at 20 °C above water's 1.3330; from memory.
  it.each([
    ['sucrose 10 %', 0.1038, 0, 0.0149],
    ['sucrose 20 %', 0.2162, 0, 0.0309],
    ['ethanol 5 %', 0, 0.0495, 0.003],
    ['ethanol 10 %', 0, 0.0982, 0.0065],
    ['ethanol 15 %', 0, 0.1465, 0.0102]
  ])('the index of refraction of %s', (_what, sugar, ethanol, above) =>
    expect(Math.abs(refraction(sugar, ethanol) - above)).toBeLessThan(0.00015)
  )
  it('passes from must to wine without a jump, falls all the way, and its band holds both published fits inside their range', () => {
    for (const original of [14, 18, 22, 25, 28, 31]) {
      let before = correctRefractometer(original, original)
      for (let current = original - 0.1; current > original * 0.36; current -= 0.1) {
        const now = correctRefractometer(original, current)
        expect(before.sg - now.sg).toBeGreaterThan(0)
        expect(before.sg - now.sg).toBeLessThan(0.0012)
        expect(now.uncertaintySg - before.uncertaintySg).toBeLessThan(0.0002)
        if (now.novotnySg) expect(Math.abs(now.sg - now.novotnySg), `${original} ${current}`).toBeLessThan(now.uncertaintySg + 0.003)
        if (now.bonhamSg) expect(Math.abs(now.sg - now.bonhamSg), `${original} ${current}`).toBeLessThan(now.uncertaintySg + 0.003)
        before = now
      }
    }
    expect(correctRefractometer(27, 14).novotnySg).toBeUndefined()
    expect(correctRefractometer(24, 22).novotnySg).toBeUndefined()
  })
  it('what no ferment of the must can read is refused', () => expect(() => correctRefractometer(24, 3)).toThrow(LimitError))
  it('refuses a reading above the first', () => expect(() => correctRefractometer(20, 24)).toThrow(LimitError))
})

describe('alcohol', () => {
  it('Balling lies between the methods that people use, and near his own short cut', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.06, max: 1.12, noNaN: true }), fc.double({ min: 0.992, max: 1.02, noNaN: true }), (og, fg) => {
        const a = actualAlcohol(og, fg)
        return Math.abs(a.balling - a.ballingShort) < 0.35 && a.balling > a.factor129 - 0.6 && a.balling < a.oechsle75 + 1
      })
    )
  })
  it('Balling’s balance worked by hand: 12 % extract down to 4.5 % real is 3.87 % by mass, 4.95 % vol', () => {
    // A = (12 − 4.5)/(2.0665 − 0.010665·12) = 3.869; real 4.5 is apparent (4.5 − 0.1808·12)/0.8192 = 2.845 °P.
    const a = actualAlcohol(sgFromBrix(12), sgFromBrix(2.845))
    expect(a.ballingShort).toBeCloseTo((3.869 * sgFromBrix(2.845) * 998.2) / 789.24, 2)
    expect(Math.abs(a.balling - a.ballingShort)).toBeLessThan(0.2)
  })
  it('the factors are what they say', () =>
    expect(actualAlcohol(1.09, 0.996)).toMatchObject({ factor131: (1.09 - 0.996) * 131.25, factor129: (1.09 - 0.996) * 129 }))
  it('a must at the end of the scale, called dry: next to no alcohol, and no error', () =>
    expect(actualAlcohol(1.2, 1.199).balling).toBeLessThan(0.5))
  it('nothing fermented is no alcohol', () => expect(actualAlcohol(1.09, 1.09).balling).toBe(0))
  it('a rise is refused', () => expect(() => actualAlcohol(1.05, 1.06)).toThrow(LimitError))
  it('20 °Brix could become 11.6 % vol; the 11.4 of the table of OIV-MA-AS2-02 (from memory) lies in its band', () => {
    const { abv, band } = potentialAlcohol(20)
    expect(abv).toBeCloseTo((216.2 - 20) / 16.83, 2)
    expect(band.low).toBeLessThan(11.4)
    expect(band.high).toBeGreaterThan(11.9)
  })
  // Final gravities that dry wines of such musts have (common practice, no source): about 0.5 below the last of these in °Brix.
  it.each([
    [18, 0.996],
    [20, 0.995],
    [22, 0.992],
    [22, 0.9945],
    [24, 0.993],
    [24.6, 0.992],
    [27, 0.993]
  ])('what %d °Brix could become and what it made by %d agree within their bands', (brix, final) => {
    const possible = potentialAlcohol(brix).band
    const made = actualAlcohol(sgFromBrix(brix), final).band
    expect(made.low).toBeLessThan(possible.high)
    expect(possible.low).toBeLessThan(made.high)
  })
  it('Balling and the convention say the same of sugar that ferments without a rest', () => {
    // 100 g of sugar a litre make 100 ÷ 16.83 % vol and leave 0.066 g of extract for a gram of alcohol.
    const ethanol = (100 / 16.83 / 100) * 789.24
    expect((100 - 0.0658 * ethanol) / ethanol).toBeCloseTo(2.0665, 2)
  })
  it('a dry wine’s true extract is what is not sugar; apparent extract is below zero', () => {
    expect(trueExtractBrix(0.994, 13)).toBeGreaterThan(2)
    expect(brixFromSg(0.994)).toBeLessThan(0)
    expect(residualSugar(0.992, 13)).toBeLessThan(5)
    expect(residualSugar(1.01, 10)).toBeGreaterThan(30)
  })
})

describe('gravity of a balance, by its tables', () => {
  it('errs by under 1e-7 beside the densities that they were made of', () => {
    const water = waterDensity(20)
    fc.assert(
      fc.property(fc.double({ min: 0, max: 45, noNaN: true }), fc.double({ min: 0, max: 25, noNaN: true }), (brix, abv) => {
        const gPerL = (brix / 100) * sucroseDensity(brix, 20)
        const direct = sucroseDensity(brix, 20) / water + ethanolWaterDensity(abv) / water - 1
        expect(Math.abs(gravityOf(gPerL, (abv / 100) * ETHANOL_DENSITY) - direct)).toBeLessThan(1e-7)
      })
    )
  })
})
