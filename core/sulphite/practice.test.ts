import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import { freeSo2For, freeSo2FromTitration, learnSulphite, methodAdvice, sulphitePotency, tabletsFor } from '.'

describe('tablets', () => {
  it('one 0.44 g potassium tablet brings 67 mg/L to a US gallon; a sodium one of 0.55 g 98', () => {
    expect((0.44 * 0.5763 * 1000) / 3.785).toBeCloseTo(67, 0)
    expect(tabletsFor(67, 3.785, { weightG: 0.44, salt: 'potassium-metabisulphite' }).exact).toBeCloseTo(1, 2)
    expect(tabletsFor(98, 3.785, { weightG: 0.55, salt: 'sodium-metabisulphite' }).exact).toBeCloseTo(1, 2)
  })
  it('a half tablet is the finest cut, and what it brings is said', () => {
    const dose = tabletsFor(40, 23, { weightG: 0.5, salt: 'potassium-metabisulphite' })
    expect(dose.rounded * 2).toBe(Math.round(dose.rounded * 2))
    expect(Math.abs(dose.addsMgPerL - 40)).toBeLessThanOrEqual((0.25 * 0.5 * 576.4) / 23 + 0.01)
  })
  it('an unweighed tablet is no dose', () =>
    expect(() => tabletsFor(40, 23, { weightG: 0, salt: 'potassium-metabisulphite' })).toThrow(LimitError))
})

describe('free SO₂ by titration', () => {
  // OIV-MA-AS323-04: 1 mL of 0.01 N base is 0.32 mg SO₂; on 20 mL of wine 16 mg/L.
  it.each([
    ['aspiration', 20, 1, 0.01, 16.016],
    ['iodine', 20, 2, 0.02, 64.064],
    ['aspiration', 20, 0, 0.01, 0]
  ] as const)('%s, %d mL, %d mL of %d N', (method, sample, titrant, n, mg) => {
    expect(freeSo2FromTitration(method, sample, titrant, n, 'white').freeMgPerL).toBeCloseTo(mg, 9)
  })
  it('iodine in a red says its bias, aspiration has none', () => {
    expect(freeSo2FromTitration('iodine', 20, 1, 0.02, 'red').bias).toEqual({ low: 5, high: 15 })
    expect(freeSo2FromTitration('aspiration', 20, 1, 0.01, 'red').bias.high).toBe(0)
  })
  it.each([
    [4, 1, 0.01],
    [20, -1, 0.01],
    [20, 1, 1]
  ])('%d mL, %d mL, %d N is refused', (s, t, n) => expect(() => freeSo2FromTitration('iodine', s, t, n, 'red')).toThrow(LimitError))
})

describe('a lot’s own habit', () => {
  it('without readings the default stands', () =>
    expect(learnSulphite([], [])).toMatchObject({ boundShare: expect.closeTo(1 / 3, 12), decayPerDay: 0.005, doses: 0 }))
  it('finds the share and the decay that made the readings', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.7, noNaN: true }), fc.double({ min: 0.001, max: 0.02, noNaN: true }), (bound, decay) => {
        const doses = [30, 50, 40, 60, 45].map((addedMgPerL) => ({
          addedMgPerL,
          freeBeforeMgPerL: 10,
          freeAfterMgPerL: 10 + addedMgPerL * (1 - bound)
        }))
        const rests = [30, 45, 60].map((days) => ({
          days,
          freeBeforeMgPerL: 40,
          freeAfterMgPerL: Math.max(1, 40 * Math.exp(-decay * days))
        }))
        const habit = learnSulphite(doses, rests)
        expect(Math.abs(habit.boundShare - bound)).toBeLessThan(0.02)
        expect(Math.abs(habit.decayPerDay - decay)).toBeLessThan(0.001)
      })
    )
  })
  it('knows better with more readings', () => {
    const one = { addedMgPerL: 40, freeBeforeMgPerL: 5, freeAfterMgPerL: 25 }
    expect(learnSulphite([one, one, one], []).boundShareUncertainty).toBeLessThan(learnSulphite([one], []).boundShareUncertainty)
  })
  it('refuses what is no reading', () =>
    expect(() => learnSulphite([{ addedMgPerL: 0, freeBeforeMgPerL: 5, freeAfterMgPerL: 5 }], [])).toThrow(LimitError))
})

describe('methods', () => {
  it('each says what it aims at and gives up', () => {
    const by = freeSo2For(0.5, 3.6)
    expect(methodAdvice('by-ph', 3.6, 0.5)).toMatchObject({ aimMgPerL: by, givesUp: 'nothing' })
    expect(methodAdvice('double', 3.6, 0.5).aimMgPerL).toBeCloseTo(2 * by, 9)
    expect(methodAdvice('tablets', 3.6, 0.5).aimMgPerL).toBeCloseTo(67, 0)
    expect(methodAdvice('minimal', 3.6, 0.5)).toMatchObject({ aimMgPerL: 10, givesUp: 'thin-protection' })
    expect(methodAdvice('none', 3.6, 0.5)).toMatchObject({ aimMgPerL: 0, givesUp: 'needs-pasteurising' })
    expect(methodAdvice('by-ph', 3.6, 0.5)).not.toHaveProperty('overLimit')
  })
  it.each([
    // By hand: free wanted at pH 3.9 for 0.5 is 0.5 × (1 + 10^2.09) = 62; twice that from 10 free, a third bound, is 171 more.
    ['by-ph', 3.9, 40 + (62.01 - 10) / (2 / 3), false],
    ['double', 3.9, 40 + (124.03 - 10) / (2 / 3), true],
    ['minimal', 3.9, 40, false],
    ['tablets', 3.9, 40 + 67, false],
    ['none', 3.9, 40, false]
  ] as const)('the method %s at pH %s would come to a total of %d; over 150: %s', (method, ph, total, over) => {
    const now = { freeMgPerL: 10, totalMgPerL: 40, boundShare: 1 / 3, limitMgPerL: 150 }
    const advice = methodAdvice(method, ph, 0.5, undefined, now)
    expect(advice.totalMgPerL).toBeCloseTo(total, 0)
    expect(advice.overLimit).toBe(over)
  })
})

it('sulphite ages: a month-old stock has lost a fifth, a year-old powder a tenth (common practice)', () => {
  expect(sulphitePotency('stock', 30)).toBeCloseTo(0.82, 2)
  expect(sulphitePotency('powder', 365)).toBeCloseTo(0.905, 3)
  expect(() => sulphitePotency('stock', -1)).toThrow(LimitError)
})
