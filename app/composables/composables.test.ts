import { createPinia, defineStore, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, reactive, ref } from 'vue'
import { emptyCellar } from '~~/core/ledger'
import { POTENTIAL } from '~~/core/units'

// Nuxt imports these by itself; here it is done by hand, so that composables are tested as plain functions.
vi.stubGlobal('ref', ref)
vi.stubGlobal('computed', computed)
vi.stubGlobal('reactive', reactive)
vi.stubGlobal('defineStore', defineStore)
// A cellar without cards of its own replaces the store.
vi.mock('~/stores/cellar', () => ({ useCellarStore: () => ({ state: emptyCellar() }) }))
const { useSettingsStore } = await import('~/stores/settings')
const { useFormat } = await import('./useFormat')
const { useQuantityField } = await import('./useQuantityField')
const { useWeighing } = await import('./useWeighing')

beforeEach(() => setActivePinia(createPinia()))

describe('a field for a quantity', () => {
  const gravity = () =>
    useQuantityField({
      kind: 'sugar',
      unit: '°Brix',
      units: ['°Brix', 'SG'],
      required: true,
      quantity: (unit) => (unit === 'SG' ? 'sg' : 'brix')
    })
  it.each([
    ['24.6', 24.6],
    ['24,6', 24.6],
    [' 24.6 ', 24.6],
    ['1.092 sg', 1.092],
    ['1092 sg', 1.092]
  ] as const)('“%s” is %d', (text, value) => {
    const field = gravity()
    field.text = text
    expect(field.value).toBeCloseTo(value, 6)
    expect(field.ok).toBe(true)
  })
  it.each([
    ['', 'This is needed.'],
    ['much', 'is not a number'],
    ['60', 'is not possible'],
    ['24 oz', 'is not a unit for this']
  ] as const)('“%s” is complained of once it was left, and stays as it was typed', (text, complaint) => {
    const field = gravity()
    field.text = text
    expect(field.message).toBeUndefined()
    field.touch()
    expect(field.message).toContain(complaint)
    expect(field.value).toBeUndefined()
    expect(field.text).toBe(text)
  })
  it('the alcohol scale of a hydrometer is a gravity, and 130 % of it is none', () => {
    const field = useQuantityField({ kind: 'sugar', unit: 'SG', units: ['SG', POTENTIAL], quantity: () => 'sg' })
    field.unit = POTENTIAL
    field.text = '12.5'
    expect(field.value).toBeCloseTo(1.095, 3)
    field.text = '130'
    field.touch()
    expect(field.value).toBeUndefined()
    expect(field.message).toContain('is not possible')
  })
  it('an unusual value is asked about, and taken once it is confirmed', () => {
    const ph = useQuantityField({ kind: 'plain', unit: '', quantity: () => 'ph' })
    ph.text = '4.3'
    ph.touch()
    expect(ph.question?.verdict).toBe('ask')
    expect(ph.value).toBeUndefined()
    ph.confirm()
    expect(ph.value).toBe(4.3)
    ph.text = '35'
    expect(ph.question).toMatchObject({ verdict: 'refuse', suggestions: [{ value: 3.5 }] })
    ph.take(ph.question!.suggestions[0]!)
    expect([ph.text, ph.value]).toEqual(['3.5', 3.5])
  })
  it.each([
    ['sugar', '°Brix', ['SG', '°Brix'], '1,090', '1.090', 'SG', 1.09],
    ['sugar', '°Brix', ['SG', '°Brix'], '1090', '1.090', 'SG', 1.09],
    ['sugar', 'SG', ['SG', '°Brix'], '24.5', '24.5', '°Brix', 24.5],
    ['temperature', '°C', undefined, '72', '72 °F', '°C', 22.222],
    ['temperature', '°F', undefined, '22', '22 °C', '°F', 22]
  ] as const)('%s in %s: %s is offered in the unit it must be in', (kind, unit, units, typed, text, unitAfter, value) => {
    const field = useQuantityField({ kind, unit, ...(units && { units: [...units] }) })
    field.text = typed
    field.touch()
    expect([field.value, field.text]).toEqual([undefined, typed])
    field.take(field.question!.suggestions[0]!)
    expect([field.text, field.unit, field.message]).toEqual([text, unitAfter, undefined])
    expect(field.value).toBeCloseTo(value, 3)
  })
  it.each([
    ['sugar', '°Brix', '-1.2'],
    ['sugar', '°Brix', '1.1'],
    ['sugar', '°Brix', '24.5'],
    ['sugar', 'SG', '1.090'],
    ['temperature', '°C', '35'],
    ['temperature', '°C', '72 °F'],
    ['temperature', '°F', '72']
  ] as const)('%s in %s: %s is believed', (kind, unit, typed) => {
    const field = useQuantityField({ kind, unit })
    field.text = typed
    field.touch()
    expect([field.message, field.value !== undefined]).toEqual([undefined, true])
  })
  it('a wine’s 1.090 °Brix is taken when the person says so', () => {
    const field = useQuantityField({ kind: 'sugar', unit: '°Brix', quantity: () => 'brix' })
    field.text = '1.090'
    field.touch()
    expect(field.question?.verdict).toBe('ask')
    field.confirm()
    expect(field.value).toBe(1.09)
  })
  it('what is filled in is in the unit that the field began in, whatever was chosen there before', () => {
    const volume = useQuantityField({ kind: 'volume', unit: 'L', units: ['L', 'US gal'], required: true })
    volume.unit = 'US gal'
    volume.text = '10'
    expect(volume.value).toBeCloseTo(37.85, 2)
    volume.fill('40')
    expect([volume.text, volume.unit, volume.value]).toEqual(['40', 'L', 40])
  })
  it('empty is good where nothing is required, and limits have their own words', () => {
    const amount = useQuantityField({ kind: 'plain', unit: '', limits: { min: 1, max: 5, words: 'One to five.' } })
    expect(amount.ok).toBe(true)
    amount.text = '9'
    amount.touch()
    expect([amount.ok, amount.message]).toEqual([false, 'One to five.'])
  })
  it('a gallon without its country is asked for in metric, and known in the US', () => {
    const volume = () => useQuantityField({ kind: 'volume', unit: 'L', units: ['L', 'US gal'] })
    const metric = volume()
    metric.text = '6 gal'
    metric.touch()
    expect(metric.message).toContain('Which gallon?')
    useSettingsStore().change({ system: 'US' })
    const us = volume()
    us.text = '6 gal'
    expect(us.value).toBeCloseTo(22.712, 3)
  })
})

describe('figures show the digits they deserve, in the person’s units', () => {
  it.each([
    ['volume', 76.7, '76.7 L'],
    ['volume', 100.3, '100 L'],
    ['volume', 0.192, '192 mL'],
    ['volume', 23, '23 L'],
    ['powder', 0.168, '0.17 g'],
    ['powder', 8.03, '8.0 g'],
    ['powder', 634.7, '635 g'],
    ['powder', 1250, '1.25 kg'],
    ['ph', 3.7149, '3.71 pH'],
    ['gravity', 1.0831, '1.083 SG'],
    ['acid', 5.478, '5.5 g/L'],
    ['temperature', -2, '−2 °C'],
    ['temperature', 17.5, '17.5 °C'],
    ['nitrogen', 80.4, '80 mg N/L']
  ] as const)('%s of %d is %s', (kind, value, words) => {
    const f = useFormat()
    expect(f.words(f[kind](value))).toBe(words)
  })
  it('a powder is typed in grams, also where it is shown in kilograms', () => {
    const f = useFormat()
    expect([f.words(f.powder(1234)), f.typedPowder(1234), f.typedPowder(8.034)]).toEqual(['1.23 kg', '1234', '8.0'])
  })
  it('how far a volume may be off has its unit and its decimals', () => {
    const f = useFormat()
    expect([f.volumeWithin(21.7, 0.434), f.volumeWithin(140, 2.8), f.volumeWithin(0.9, 0.018)]).toEqual([
      { text: '21.7', unit: 'L', spread: '0.4' },
      { text: '140', unit: 'L', spread: '3' },
      { text: '900', unit: 'mL', spread: '18' }
    ])
  })
  it('a scale of a hundredth shows hundredths; gallons and Fahrenheit where they are asked for', () => {
    useSettingsStore().change({ scaleStepG: 0.01, system: 'US', temperature: '°F', sugar: 'SG' })
    const f = useFormat()
    expect([f.powder(8.034), f.volume(76.7), f.mass(118), f.temperature(20), f.sugar(1.092)].map(f.words)).toEqual([
      '8.03 g',
      '20.3 US gal',
      '260 lb',
      '68 °F',
      '1.092 SG'
    ])
  })
})

describe('how an amount is measured out in this house', () => {
  it('on the scale, and about how many level spoons', () => {
    expect(useWeighing().weigh('tartaric', 46.8)).toMatchObject({
      shown: { text: '46.8', unit: 'g' },
      spoons: { words: '3 tbsp + 1 tsp', own: false }
    })
  })
  it('in the person’s own spoons once they are weighed', () => {
    useSettingsStore().change({ spoons: { tartaric: 5.85 } })
    expect(useWeighing().weigh('tartaric', 46.8).spoons).toEqual({ words: '2 tbsp + 2 tsp', own: true })
  })
  it('as a stock solution where ten steps of the scale are more than the dose', () => {
    // 0.17 g of 10 g in 100 mL.
    expect(useWeighing().weigh('potassium-metabisulphite', 0.17).stockMl).toBeCloseTo(1.7, 9)
    expect(useWeighing().weigh('potassium-metabisulphite', 1.1).stockMl).toBeUndefined()
    useSettingsStore().change({ scaleStepG: 0.01 })
    expect(useWeighing().weigh('potassium-metabisulphite', 0.17).stockMl).toBeUndefined()
  })
  it('but never what does not dissolve', () => {
    expect(useWeighing().weigh('yeast', 0.5).stockMl).toBeUndefined()
    expect(useWeighing().weigh('complex-nutrient', 0.97)).toMatchObject({ spoons: { words: '¼ tsp' } })
  })
})
