import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import { woodShare, woodTime } from '.'

describe('what wood lets go', () => {
  it.each([
    [225, 1, 3],
    [50, 1, 3],
    [20, 1, 4]
  ])('%d L: %d to %d %% in a month (craft 3.10, common practice)', (capacity, low, high) => {
    const share = 100 * woodShare(capacity, 30.4)
    expect(share).toBeGreaterThanOrEqual(low)
    expect(share).toBeLessThanOrEqual(high)
  })
  it('a small one loses more of its wine than a large one, and never all of it', () => {
    expect(woodShare(20, 60)).toBeGreaterThan(woodShare(200, 60))
    expect(woodShare(5, 9000)).toBeLessThan(1)
  })
  it('two stretches lose what both together do', () => {
    const days = fc.double({ min: 0, max: 400, noNaN: true })
    fc.assert(
      fc.property(days, days, fc.integer({ min: 5, max: 500 }), (a, b, capacity) => {
        const left = (1 - woodShare(capacity, a)) * (1 - woodShare(capacity, b))
        expect(left).toBeCloseTo(1 - woodShare(capacity, a + b), 9)
      })
    )
  })
})

describe('how long a wine may stand in wood', () => {
  // Common practice, no source: a new barrel of 225 L the better part of a year, one of 20 L about three months.
  it.each([
    [225, 0, 26, 52],
    [50, 0, 12, 26],
    [20, 0, 8, 16],
    [5, 0, 3, 8]
  ])('%d L after %d wines: %d to %d weeks', (capacity, fills, low, high) => {
    const weeks = woodTime(capacity, fills)!.weeks
    expect(weeks).toBeGreaterThanOrEqual(low)
    expect(weeks).toBeLessThanOrEqual(high)
  })
  it('longer in a larger one and in one that held a wine; no end in old wood; tasted before it is over', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 500 }), fc.integer({ min: 0, max: 2 }), (capacity, fills) => {
        const time = woodTime(capacity, fills)!
        expect(woodTime(capacity * 1.2, fills)!.weeks).toBeGreaterThan(time.weeks)
        expect(woodTime(capacity, fills + 1)?.weeks ?? Infinity).toBeGreaterThan(time.weeks)
        expect(time.tasteFromWeeks + time.tasteEveryWeeks).toBeLessThan(time.weeks)
      })
    )
    expect(woodTime(225, 3)).toBeUndefined()
    expect(() => woodTime(0, 0)).toThrow(LimitError)
  })
})
