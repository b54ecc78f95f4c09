import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { QUANTITIES, likely, meant } from '.'

const decimalsOf = (text: string) => text.split('.')[1]?.length ?? 0
const typed = (text: string, unit: Parameters<typeof meant>[2]) => meant(Number(text), decimalsOf(text), unit)

describe('a bare number beside the wrong unit', () => {
  it.each([
    ['1090', '°Brix', 1.09, 'SG'],
    ['1.090', '°Brix', 1.09, 'SG'],
    ['0.995', '°Brix', 0.995, 'SG'],
    ['24.5', 'SG', 24.5, '°Brix'],
    ['72', '°C', 72, '°F'],
    ['18', '°F', 18, '°C']
  ] as const)('%s in %s is offered as %d %s', (text, from, value, unit) => expect(typed(text, from)).toEqual([{ value, unit }]))
  it('1.23 as a gravity lacks a nought, or is °Brix', () =>
    expect(typed('1.23', 'SG')).toEqual([{ value: 1.023, unit: 'SG' }, { value: 1.23, unit: '°Brix' }]))
  it.each([
    ['24.5', '°Brix'],
    ['1.1', '°Brix'],
    ['-1.2', '°Brix'],
    ['1.092', 'SG'],
    ['1092', 'SG'],
    ['28', '°C'],
    ['68', '°F'],
    ['3.4', ''],
    ['40', 'L']
  ] as const)('%s in %s is left alone', (text, unit) => expect(typed(text, unit)).toEqual([]))
  it('a syrup is as sweet as a reading can be, and no sweeter', () => {
    const verdicts = (value: number) => [likely('sg', value).verdict, likely('sg', value, true).verdict]
    expect([verdicts(1.12), verdicts(1.16), verdicts(1.21)]).toEqual([['fine', 'fine'], ['ask', 'fine'], ['refuse', 'refuse']])
    expect(likely('ph', 4.3, true).verdict).toBe('ask')
  })
  it('what is likely in its own unit is never doubted, and what is offered is likely in the other', () => {
    const { temperature, brix } = QUANTITIES
    fc.assert(
      fc.property(fc.double({ min: -20, max: 120, noNaN: true }), fc.constantFrom('°C', '°F', '°Brix', 'SG'), (raw, unit) => {
        const value = Number(raw.toFixed(1))
        const celsius = unit === '°F' ? ((value - 32) * 5) / 9 : value
        const offered = meant(value, 1, unit)
        if (unit === '°C' || unit === '°F') {
          if (celsius >= temperature.likelyMin && celsius <= temperature.likelyMax) expect(offered).toEqual([])
          for (const o of offered)
            expect(likely('temperature', o.unit === '°F' ? ((o.value - 32) * 5) / 9 : o.value).verdict, `${value} ${unit}`).toBe('fine')
        }
        else if (unit === '°Brix' && value >= brix.likelyMin && value <= brix.likelyMax) expect(offered).toEqual([])
        else for (const o of offered) expect(likely(o.unit === 'SG' ? 'sg' : 'brix', o.value).verdict).toBe('fine')
      }),
      { numRuns: 2000 }
    )
  })
})
