import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { headspace } from '.'

describe('air over a wine', () => {
  it.each([
    ['full to the neck, all winter', 25, 24.8, 200, 13, 'none'],
    ['two litres of air, three days', 25, 23, 3, 13, 'none'],
    ['two litres of air, a month', 25, 23, 30, 13, 'some'],
    ['a third empty, a month', 30, 20, 30, 13, 'high'],
    ['two litres of air, a month in a hot attic', 25, 23, 30, 28, 'high']
  ])('%s', (_name, capacity, litres, days, celsius, risk) => expect(headspace(capacity, litres, days, celsius).risk).toBe(risk))
  it('more air, more days and more warmth never make it less', () => {
    const some = fc.record({
      litres: fc.double({ min: 5, max: 30, noNaN: true }),
      days: fc.double({ min: 0, max: 300, noNaN: true }),
      c: fc.double({ min: 5, max: 30, noNaN: true })
    })
    fc.assert(
      fc.property(some, ({ litres, days, c }) => {
        const now = headspace(30, litres, days, c).exposure
        for (const worse of [headspace(30, litres - 1, days, c), headspace(30, litres, days + 5, c), headspace(30, litres, days, c + 2)])
          expect(worse.exposure).toBeGreaterThanOrEqual(now)
      })
    )
  })
})
