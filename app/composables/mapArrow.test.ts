import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOVE_SIZES } from '~~/core/acids'
import { inSteps, pointAt, sizeByKey, sizeNear } from './mapArrow'

/** A bent way: pH falls by 0.1 for each of the first two sizes, then by 0.05. */
const path = [0, 1, 2, 3, 4].map((size) => ({
  size,
  ph: 3.7 - (size <= 2 ? size / 10 : 0.2 + (size - 2) / 20),
  taGPerL: 5 + size
})) as never
const x = (ph: number) => (ph - 3) * 500
const y = (ta: number) => 400 - ta * 30

describe('an arrow on the map of acids, taken by a finger or a key', () => {
  it('is drawn between the points of its way', () => {
    expect(pointAt(path, 0)).toMatchObject({ ph: 3.7, taGPerL: 5 })
    expect(pointAt(path, 2.5)?.ph).toBeCloseTo(3.475, 9)
    expect(pointAt(path, 9)).toMatchObject({ size: 4 })
  })
  it('goes to where the finger is: a finger on the way finds the size that is under it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 4, noNaN: true }), (size) => {
        const at = pointAt(path, size)!
        return Math.abs(sizeNear(path, { x: x(at.ph), y: y(at.taGPerL) }, x, y) - size) < 1e-6
      })
    )
  })
  it.each([
    ['ArrowRight', 1, 1.1],
    ['ArrowDown', 1, 0.9],
    ['PageUp', 1, 1.5],
    ['ArrowLeft', 0, 0],
    ['Home', 2.4, 0],
    ['End', 1, MOVE_SIZES.tartaric.max],
    ['Tab', 1, undefined]
  ])('%s from %d g/L goes to %s', (key, from, to) => expect(sizeByKey('tartaric', from, key)).toBe(to))
  it.each([
    ['tartaric', 1.234, 1.2],
    ['water', 12, 10],
    ['tartaric', 99, MOVE_SIZES.tartaric.max],
    ['tartaric', -1, 0]
  ] as const)('%s of %d is %d, in steps that can be weighed', (move, size, steps) => expect(inSteps(move, size)).toBe(steps))
})
