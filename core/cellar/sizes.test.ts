import { describe, expect, it } from 'vitest'
import { sizesFor } from '.'

describe('sizes to add where no vessel is free', () => {
  it.each([
    ['L', 18, 'none', [15, 20, 23]],
    // A tenth stays free for the foam: 20 L do not do for 18.5.
    ['L', 18.5, 'foam', [20, 23, 25]],
    ['L', 0.5, 'none', [3.8, 4.5]],
    ['L', 80, 'none', [54]],
    // 3.9 US gal.
    ['US gal', 14.8, 'none', [3, 5, 6]]
  ] as const)('%s: %d L with room for %s', (unit, litres, room, sizes) => {
    const found = sizesFor('demijohn', unit, litres, room)
    expect(found.map((size) => Math.round((unit === 'L' ? size : size / 3.785411784) * 10) / 10)).toEqual(sizes)
  })
})
