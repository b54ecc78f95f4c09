import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sucroseDensity } from '../hydrometry'
import { LimitError } from '../units'
import { type TargetRequest, addSugar, addWater, blendOf, findTargets, yieldOfFruit, yieldOfVolume } from '.'

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('yields (common practice, no source)', () => {
  it('118 kg of red fruit: 77 L to dose, 71 to 83 L of wine, and more must than juice', () => {
    const y = yieldOfFruit(118, 'red')
    expect(y.juiceL).toBeCloseTo(76.7, 1)
    expect([y.wineLowL, y.wineHighL].map(Math.round)).toEqual([71, 83])
    expect(y.mustL).toBeGreaterThan(y.juiceL)
  })
  it('frozen must shrinks by a third, a kit hardly', () => {
    expect(yieldOfVolume(40, 'frozen').wineHighL).toBeCloseTo(30, 9)
    expect(yieldOfVolume(23, 'kit').wineLowL).toBeGreaterThan(21)
  })
  it('no fruit is refused', () => expect(() => yieldOfFruit(0, 'red')).toThrow(LimitError))
})
describe('sugar and water by mass balance', () => {
  it('sugar is conserved: what was there and what went in is what is there', () => {
    fc.assert(fc.property(real(1, 500), real(5, 30), real(0.1, 10), fc.constantFrom('sucrose', 'dextrose', 'honey', 'concentrate'), (volumeL, brix, rise, sweetener) => {
      const a = addSugar(volumeL, brix, brix + rise, sweetener)
      const share = { sucrose: 1, dextrose: 0.90909, honey: 0.8, concentrate: 0.68 }[sweetener]
      const before = volumeL * sucroseDensity(brix, 20) * brix / 100
      const after = a.newVolumeL * sucroseDensity(brix + rise, 20) * (brix + rise) / 100
      expect(after).toBeCloseTo(before + a.grams * share, 0)
    }))
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
  it.each([() => addSugar(20, 22, 20, 'sucrose'), () => addWater(20, 20, 22), () => addSugar(0, 20, 22, 'honey'), () => addWater(20, 60, 55), () => addSugar(20, 20, Number.NaN, 'sucrose')])('what cannot be is refused', run => expect(run).toThrow(LimitError))
})

describe('blends', () => {
  it('worked by hand: 10 L of 12 % and 30 L of 14 % are 13.5 %; 20 and 40 mg/L free are 35', () => {
    expect(blendOf([{ volumeL: 10, abv: 12, freeSo2MgPerL: 20 }, { volumeL: 30, abv: 14, freeSo2MgPerL: 40 }])).toMatchObject({ volumeL: 40, abv: 13.5, freeSo2MgPerL: 35 })
  })
  it('two of the same are the same', () => {
    const wine = { sg: 0.995, ph: 3.5, taGPerL: 6, abv: 13 }
    const b = blendOf([{ volumeL: 3, ...wine }, { volumeL: 7, ...wine }])
    expect(b.ph).toBeCloseTo(3.5, 6)
    expect(b.taGPerL).toBeCloseTo(6, 6)
    expect(b.sg).toBeCloseTo(0.995, 9)
  })
  it('pH values do not average, and a figure that one part lacks is left out', () => {
    const b = blendOf([{ volumeL: 1, ph: 3.1, taGPerL: 9 }, { volumeL: 1, ph: 3.9, taGPerL: 5 }])
    expect(Math.abs(b.ph! - 3.5)).toBeGreaterThan(0.005)
    expect(b.taGPerL).toBeCloseTo(7, 1)
    expect('abv' in b).toBe(false)
  })
  it.each([['abv', 26], ['malicGPerL', -1], ['freeSo2MgPerL', 501], ['totalSo2MgPerL', 1001]] as const)('a part with %s of %d is refused', (measure, value) => {
    expect(() => blendOf([{ volumeL: 1, [measure]: value }, { volumeL: 1, [measure]: 1 }])).toThrow(LimitError)
  })
  it('one part is no blend', () => expect(() => blendOf([{ volumeL: 1 }])).toThrow(LimitError))
})

describe('the target finder', () => {
  const red = { brix: { min: 22, max: 25 }, ph: { min: 3.3, max: 3.6 }, ta: { min: 6, max: 7.5 } }
  const all = { 'tartaric': true, 'malic': true, 'potassium-bicarbonate': true, 'water': true, 'sucrose': true } as const
  const find = (brix: number, ph: number, taGPerL: number, more: Partial<TargetRequest> = {}) => findTargets({ must: { brix, ph, taGPerL }, windows: red, available: all, volumeL: 77, ...more })
  it('a must in its windows gets nothing', () => expect(find(23.5, 3.5, 6.5).additions).toEqual([]))
  it('a flat must gets tartaric acid alone, and meets all windows', () => {
    const t = find(24.4, 3.71, 5.5)
    expect(t.missed).toEqual([])
    expect(t.additions.map(a => a.material)).toEqual(['tartaric'])
    expect(t.additions[0]!.stages[0]!.amount).toBeCloseTo(t.additions[0]!.total * 0.75, 9)
  })
  it('it is the smallest that does: four fifths of it would miss', () => {
    const t = find(24.4, 3.71, 5.5)
    const less = find(24.4, 3.71, 5.5, { available: { tartaric: t.additions[0]!.perLitre * 0.8 } })
    expect(less.missed.length).toBeGreaterThan(0)
  })
  it('a ripe, flat must gets water before acid', () => {
    const t = find(27.5, 3.75, 5.4)
    expect(t.additions.map(a => a.material)).toEqual(['water', 'tartaric'])
    expect(t.predicted.brix).toBeLessThanOrEqual(25.05)
  })
  it('a sharp must gets carbonate, a thin one sugar', () => {
    expect(find(23, 3.05, 10.5).additions.map(a => a.material)).toEqual(['potassium-bicarbonate'])
    expect(find(19.5, 3.45, 7).additions.map(a => a.material)).toEqual(['sucrose'])
  })
  it('what cannot be met is said, with the trade: high pH and high TA together', () => {
    const t = find(23, 3.95, 8.5)
    expect(t.missed.length).toBeGreaterThan(0)
    expect(t.trade).toBeDefined()
    expect(Math.abs(t.trade!.predicted.taGPerL - 7.5)).toBeLessThan(Math.abs(t.predicted.taGPerL - 7.5) + 0.01)
  })
  it('with nothing in the cupboard it only says what is missed', () => {
    const t = find(24, 3.8, 5, { available: {} })
    expect(t.additions).toEqual([])
    expect(t.missed.map(m => m.quantity)).toEqual(['ph', 'ta'])
  })
  it('never leaves its limits, and what it proposes is never further from the windows than doing nothing', () => {
    fc.assert(fc.property(real(18, 29), real(3, 3.95), real(4.5, 10), (brix, ph, ta) => {
      const t = find(brix, ph, ta)
      const away = (w: { min: number, max: number }, v: number, unit: number) => (Math.max(0, w.min - v, v - w.max) / unit) ** 2
      const misfit = (b: number, p: number, a: number) => away(red.brix, b, 0.3) + 2 * away(red.ph, p, 0.05) + away(red.ta, a, 0.4)
      for (const a of t.additions) expect(a.perLitre).toBeLessThanOrEqual({ tartaric: 4, malic: 2, 'potassium-bicarbonate': 2, water: 0.15, sucrose: 60 }[a.material as 'water']! + 1e-9)
      expect(misfit(t.predicted.brix, t.predicted.ph, t.predicted.taGPerL)).toBeLessThanOrEqual(misfit(brix, ph, ta) + 1e-6)
    }), { numRuns: 40 })
  })
  it('a must without sugar is refused', () => expect(() => find(0, 3.5, 6)).toThrow(LimitError))
})
