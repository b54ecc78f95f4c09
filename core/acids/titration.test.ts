import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import { standardiseTitrant, titrate } from '.'

describe('titratable acidity', () => {
  // OIV-MA-AS313-01 and AOAC 962.12: TA = V·N·75.04/sample, exact.
  it.each([
    [15, 6, 0.2, 6.0032],
    [10, 7.3, 0.1, 5.47792],
    [5, 8, 0.1, 12.0064],
    [25, 20, 0.1, 6.0032]
  ])('%d mL sample, %d mL of %d N', (sample, titrant, n, ta) => {
    expect(titrate(sample, titrant, n).taGPerL).toBeCloseTo(ta, 10)
  })
  it('“6 mL” of 0.2 N on 15 mL is 6 g/L or 0.60 %, not 60 %', () => expect(titrate(15, 6, 0.2).taPercent).toBeCloseTo(0.6, 3))
  it('as sulphuric it is 0.653 of tartaric, as malic 0.893 (ratios of equivalents)', () => {
    const t = titrate(15, 6, 0.2)
    expect(Math.abs(t.asSulphuricGPerL / t.taGPerL - 0.653)).toBeLessThan(0.001)
    expect(t.asMalicGPerL / t.taGPerL).toBeCloseTo(0.893, 3)
  })
  it('a coarse syringe says how coarse: half a step', () => expect(titrate(15, 6, 0.2, 0.5).uncertaintyGPerL).toBeCloseTo(0.25, 3))
  it('204.2 mg of phthalate against 10.00 mL is a tenth normal', () => expect(standardiseTitrant(0.20422, 10)).toBeCloseTo(0.1, 12))
  it.each([
    [0, 6, 0.2],
    [15, -1, 0.2],
    [15, 6, 0],
    [15, Number.NaN, 0.1]
  ])('%d mL, %d mL, %d N is refused', (s, t, n) => expect(() => titrate(s, t, n)).toThrow(LimitError))
})
