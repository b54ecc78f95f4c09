import fc from 'fast-check'
import { unit as mathjsUnit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import {
  KILOGRAMS_PER,
  LITRES_PER,
  LimitError,
  findRoot,
  fromCelsius,
  inSpoons,
  readNumber,
  readQuantity,
  toCelsius,
  toGramsPerLitre,
  within
} from '.'

describe('plain units agree with a general-purpose units library (mathjs)', () => {
  it.each([
    ['US gal', 'gallon'],
    ['US fl oz', 'floz'],
    ['US qt', 'quart'],
    ['US pt', 'pint'],
    ['US cup', 'cup'],
    ['mL', 'ml'],
    ['L', 'l']
  ] as const)('%s', (ours, theirs) => {
    expect(LITRES_PER[ours]).toBeCloseTo(mathjsUnit(1, theirs).toNumber('l'), 5)
  })
  it.each([
    ['lb', 'lbm'],
    ['oz', 'oz'],
    ['g', 'g']
  ] as const)('%s', (ours, theirs) => {
    expect(KILOGRAMS_PER[ours]).toBeCloseTo(mathjsUnit(1, theirs).toNumber('kg'), 9)
  })
  it('the imperial gallon is 4.54609 L (UK Weights and Measures Act 1985) and 160 of its ounces', () => {
    expect(LITRES_PER['imp gal']).toBe(4.54609)
    expect(LITRES_PER['imp fl oz'] * 160).toBeCloseTo(4.54609, 10)
  })
  it.each([
    [68, 20],
    [32, 0],
    [60, 15.5556]
  ])('%d °F is %d °C', (f, c) => {
    expect(toCelsius(f, '°F')).toBeCloseTo(mathjsUnit(f, 'degF').toNumber('degC'), 9)
    expect(toCelsius(f, '°F')).toBeCloseTo(c, 4)
  })
  it('0.62 % is 6.2 g/L, and a pound in 1000 US gallons is 0.12 g/L', () => {
    expect(toGramsPerLitre(0.62, '%')).toBeCloseTo(6.2, 12)
    expect(toGramsPerLitre(1, 'lb/1000 US gal')).toBeCloseTo(0.11983, 5)
  })
  it('a temperature comes back', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 100, noNaN: true }), (c) => Math.abs(toCelsius(fromCelsius(c, '°F'), '°F') - c) < 1e-9)
    )
  })
})

describe('a number is read as a hand types it', () => {
  it.each([
    ['12,4', 12.4],
    ['1.092', 1.092],
    [' 1 250 ', 1250],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['−1.5', -1.5],
    ['.5', 0.5],
    ['7', 7]
  ])('%s', (text, value) => {
    expect(readNumber(text)).toMatchObject({ ok: true, value })
  })
  it.each(['', 'abc', '1..2', '--3', '1e5'])('refuses “%s”', (text) => expect(readNumber(text).ok).toBe(false))
})

describe('a quantity is read with its unit, and never guessed', () => {
  it.each([
    ['12,4', 'sugar', '°Brix', 12.4, '°Brix'],
    ['1092', 'sugar', 'SG', 1.092, 'SG'],
    ['1.092', 'sugar', 'SG', 1.092, 'SG'],
    ['1,092 sg', 'sugar', '°Brix', 1.092, 'SG'],
    // What is printed on three-scale hydrometers, from memory: 10 % beside 1.076, 13 % beside 1.099.
    ['10', 'sugar', '% potential', 1.0762, 'SG'],
    ['13 %', 'sugar', 'SG', 1.099, 'SG'],
    ['13,0 % vol', 'sugar', '°Brix', 1.099, 'SG'],
    ['3 US gal', 'volume', 'L', 11.356, 'US gal'],
    ['2 cups', 'volume', 'L', 0.4732, 'US cup'],
    ['1 US qt', 'volume', 'L', 0.9464, 'US qt'],
    ['3 imp pt', 'volume', 'L', 1.7048, 'imp pt'],
    ['30 psi', 'pressure', 'bar', 2.0684, 'psi'],
    ['5', 'pressure', 'bar', 5, 'bar'],
    ['250 ml', 'volume', 'L', 0.25, 'mL'],
    ['2 lb 4 oz', 'mass', 'kg', 1.02058, 'lb'],
    ['118', 'mass', 'kg', 118, 'kg'],
    ['68F', 'temperature', '°C', 20, '°F'],
    ['17', 'temperature', '°C', 17, '°C'],
    ['0.62 %', 'concentration', 'g/L', 6.2, '%'],
    ['30 ppm', 'concentration', 'g/L', 0.03, 'ppm'],
    ['3,71', 'plain', '', 3.71, '']
  ] as const)('%s', (text, kind, fieldUnit, value, unit) => {
    const read = readQuantity(text, kind, fieldUnit)
    expect(read).toMatchObject({ ok: true, unit })
    if (read.ok) expect(read.value).toBeCloseTo(value, 3)
  })
  it('asks which gallon, unless the settings say', () => {
    expect(readQuantity('3 gal', 'volume', 'L')).toEqual({ ok: false, problem: { code: 'which-gallon', value: 3 } })
    expect(readQuantity('3 gal', 'volume', 'L', 'US')).toMatchObject({ value: 3 * LITRES_PER['US gal'] })
    expect(readQuantity('3 gal', 'volume', 'L', 'imperial')).toMatchObject({ value: 3 * LITRES_PER['imp gal'] })
  })
  it.each([
    ['1,0', 'sugar', 'SG', 'too-few-digits'],
    ['', 'volume', 'L', 'empty'],
    ['five', 'mass', 'kg', 'not-a-number'],
    ['5 kg', 'volume', 'L', 'unknown-unit'],
    ['3.4 pH', 'plain', '', 'unknown-unit']
  ] as const)('“%s” for %s is refused: %s', (text, kind, unit, _code) => {
    const read = readQuantity(text, kind, unit)
    expect(read.ok ? 'taken' : read.problem.code).toBe(_code)
  })
})

describe('spoons stand beside grams', () => {
  it.each([
    [1.4, 5.6, '¼ tsp'],
    [5.6, 5.6, '1 tsp'],
    [8, 5.6, '1 tsp + ¼ tsp + ⅛ tsp'],
    [0.1, 5.6, '']
  ])('%d g at %d g a teaspoon', (grams, weight, words) => {
    expect(inSpoons(grams, weight).words).toBe(words)
  })
  it('what the spoons hold is within a sixteenth of a teaspoon of the dose', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), (grams) => Math.abs(inSpoons(grams, 5.6).grams - grams) <= 5.6 / 16 + 1e-9)
    )
  })
})

describe('limits and roots', () => {
  it.each([Number.NaN, Infinity, 5])('%d is not a pH', (ph) => {
    expect(() => within('ph', ph, 2.5, 4.5)).toThrow(LimitError)
  })
  it('finds √2, and says when there is nothing to find', () => {
    expect(findRoot((x) => x * x - 2, 0, 2, 1e-12).x).toBeCloseTo(Math.SQRT2, 10)
    expect(findRoot((x) => x * x + 1, -1, 1, 1e-9).status).toBe('no-sign-change')
    expect(findRoot(() => Number.NaN, 0, 1, 1e-9).status).toBe('no-sign-change')
  })
})
