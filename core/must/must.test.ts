import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sucroseDensity } from '../hydrometry'
import { LimitError } from '../units'
import { addSugar, addWater, blendOf, fedInSteps, mixedMust, yieldOfFruit, yieldOfVolume } from '.'

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('yields (common practice, no source)', () => {
  it('118 kg of red fruit: 77 L to dose, 71 to 83 L of wine, and more must than juice', () => {
    const y = yieldOfFruit(118, 'red')
    expect(y.juiceL).toBeCloseTo(76.7, 1)
    expect([y.wineLowL, y.wineHighL].map(Math.round)).toEqual([71, 83])
    expect(y.mustL).toBeGreaterThan(y.juiceL)
  })
  it('frozen must shrinks by a third, a kit hardly', () => {
    expect(yieldOfVolume(40, 'skins').wineHighL).toBeCloseTo(30, 9)
    expect(yieldOfVolume(23, 'kit').wineLowL).toBeGreaterThan(21)
  })
  it('no fruit is refused', () => expect(() => yieldOfFruit(0, 'red')).toThrow(LimitError))
})
describe('sugar and water by mass balance', () => {
  it('sugar is conserved: what was there and what went in is what is there', () => {
    fc.assert(
      fc.property(
        real(1, 500),
        real(5, 30),
        real(0.1, 10),
        fc.constantFrom('sucrose', 'dextrose', 'honey', 'concentrate'),
        (volumeL, brix, rise, sweetener) => {
          const a = addSugar(volumeL, brix, brix + rise, sweetener)
          const share = { sucrose: 1, dextrose: 0.90909, honey: 0.8, concentrate: 0.68 }[sweetener]
          const before = (volumeL * sucroseDensity(brix, 20) * brix) / 100
          const after = (a.newVolumeL * sucroseDensity(brix + rise, 20) * (brix + rise)) / 100
          expect(after).toBeCloseTo(before + a.grams * share, 0)
        }
      )
    )
  })
  it('100 g of sugar in 900 g of water is 10 °Brix', () => expect(addSugar(0.9 / 0.998203, 0, 10, 'sucrose').grams).toBeCloseTo(100, 2))
  it('a kilogram of sucrose takes up 0.62 L (craft 4.4)', () => {
    const a = addSugar(100, 20, 22, 'sucrose')
    expect((a.newVolumeL - 100) / (a.grams / 1000)).toBeCloseTo(0.62, 2)
  })
  it('the rule of thumb is off by up to a sixth, and stands beside', () => {
    const a = addSugar(20, 20, 22, 'sucrose')
    expect(Math.abs(a.ruleOfThumbGrams / a.grams - 1)).toBeLessThan(0.2)
  })
  it('water to a gravity comes from the sweet side: after three quarters it is still too sweet', () => {
    const w = addWater(16, 32, 20)
    expect(w.stages[0]!.expectedBrix).toBeGreaterThan(20)
    expect(w.stages[1]!.expectedBrix).toBeCloseTo(20, 9)
    expect(w.stages[0]!.amount + w.stages[1]!.amount).toBeCloseTo(w.litres, 9)
    expect(w.newVolumeL * sucroseDensity(20, 20) * 0.2).toBeCloseTo(16 * sucroseDensity(32, 20) * 0.32, 6)
  })
  it.each([
    () => addSugar(20, 22, 20, 'sucrose'),
    () => addWater(20, 20, 22),
    () => addSugar(0, 20, 22, 'honey'),
    () => addWater(20, 60, 55),
    () => addSugar(20, 20, Number.NaN, 'sucrose')
  ])('what cannot be is refused', (run) => expect(run).toThrow(LimitError))
})

describe('sugar fed in steps', () => {
  it.each([
    ['sucrose', { sugarShare: 1, litresPerG: 0.00062 }],
    ['honey', { sugarShare: 0.8, litresPerG: 0.0007 }]
  ])('%s: what goes in comes to the alcohol that was wanted, and no part is more than 40 g/L', (_, sweetener) => {
    fc.assert(
      fc.property(real(1, 500), real(6, 14), real(0.2, 5), (litres, has, more) => {
        const { totalG, parts, eachG, newVolumeL } = fedInSteps(litres, has, has + more, sweetener)
        // 16.83 g/L of sugar to 1 % vol, as the EU's wine rules reckon.
        const alcoholL = (litres * has + (totalG * sweetener.sugarShare) / 16.83) / 100
        expect((100 * alcoholL) / newVolumeL).toBeCloseTo(has + more, 6)
        expect((eachG * sweetener.sugarShare) / litres).toBeLessThanOrEqual(40 + 1e-9)
        expect(eachG * parts).toBeCloseTo(totalG, 6)
      })
    )
  })
})

describe('blends', () => {
  it('worked by hand: 10 L of 12 % and 30 L of 14 % are 13.5 %; 20 and 40 mg/L free are 35', () => {
    expect(
      blendOf([
        { volumeL: 10, abv: 12, freeSo2MgPerL: 20 },
        { volumeL: 30, abv: 14, freeSo2MgPerL: 40 }
      ])
    ).toMatchObject({ volumeL: 40, abv: 13.5, freeSo2MgPerL: 35 })
  })
  it('two of the same are the same', () => {
    const wine = { sg: 0.995, ph: 3.5, taGPerL: 6, abv: 13 }
    const b = blendOf([
      { volumeL: 3, ...wine },
      { volumeL: 7, ...wine }
    ])
    expect(b.ph).toBeCloseTo(3.5, 6)
    expect(b.taGPerL).toBeCloseTo(6, 6)
    expect(b.sg).toBeCloseTo(0.995, 9)
  })
  it('pH values do not average, and a figure that one part lacks is left out', () => {
    const b = blendOf([
      { volumeL: 1, ph: 3.1, taGPerL: 9 },
      { volumeL: 1, ph: 3.9, taGPerL: 5 }
    ])
    expect(Math.abs(b.ph! - 3.5)).toBeGreaterThan(0.005)
    expect(b.taGPerL).toBeCloseTo(7, 1)
    expect('abv' in b).toBe(false)
    expect(b.bands!.ph.low).toBeLessThan(b.ph!)
    expect(b.bands!.ph.high).toBeGreaterThan(b.ph!)
  })
  it('a blend with a part that can hardly be a wine says so', () => {
    expect(
      blendOf([
        { volumeL: 1, ph: 4, taGPerL: 12 },
        { volumeL: 1, ph: 3.5, taGPerL: 6 }
      ]).findings.map((f) => f.code)
    ).toContain('potassium-implausible')
  })
  it.each([
    ['abv', 26],
    ['malicGPerL', -1],
    ['freeSo2MgPerL', 501],
    ['totalSo2MgPerL', 1001]
  ] as const)('a part with %s of %d is refused', (measure, value) => {
    expect(() =>
      blendOf([
        { volumeL: 1, [measure]: value },
        { volumeL: 1, [measure]: 1 }
      ])
    ).toThrow(LimitError)
  })
  it('one part is no blend', () => expect(() => blendOf([{ volumeL: 1 }])).toThrow(LimitError))
})

describe('a must with sugar and water tried in it', () => {
  it('is where the sums for sugar alone and for water alone end, in Brix and in volume', () => {
    fc.assert(
      fc.property(real(12, 28), real(0.2, 4), (brix, by) => {
        const sugar = addSugar(10, brix, brix + by, 'sucrose')
        const sweeter = mixedMust(brix, sugar.grams / 10, 0)
        const water = addWater(10, brix, brix - by)
        const thinner = mixedMust(brix, 0, water.litres / 10)
        return (
          Math.abs(sweeter.brix - brix - by) < 1e-6 &&
          Math.abs(sweeter.litresPerLitre * 10 - sugar.newVolumeL) < 1e-6 &&
          Math.abs(thinner.brix - brix + by) < 1e-6 &&
          Math.abs(thinner.litresPerLitre * 10 - water.newVolumeL) < 1e-6
        )
      })
    )
  })
  it('stays as it is with nothing in it, and takes 0.62 mL more for each gram of sugar (craft 4.4)', () => {
    expect(mixedMust(22, 0, 0)).toEqual({ brix: 22, litresPerLitre: 1 })
    expect((mixedMust(22, 10, 0).litresPerLitre - 1) * 100).toBeCloseTo(0.62, 1)
  })
})
