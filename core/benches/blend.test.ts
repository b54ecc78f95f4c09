import { describe, expect, it } from 'vitest'
import { type BlendWine, blendAnswer } from '.'

const wine = (name: string, more: Partial<BlendWine>): BlendWine => ({ name, lotId: '', ...more })

describe('wines on the blending bench', () => {
  const [bobal, grenache] = [
    wine('Bobal', { lotId: 'bobal', heldL: 20, volumeL: 6, abv: 14, sg: 0.994 }),
    wine('Grenache', { lotId: 'grenache', heldL: 10, volumeL: 2, abv: 12 })
  ]
  it('their alcohol is by volume, and what one of them lacks is not said of the blend', () => {
    const { blend } = blendAnswer([bobal, grenache])
    // (6 × 14 + 2 × 12) ÷ 8, a little less for the shrinking of mixed spirit.
    expect([blend!.volumeL, blend!.abv!]).toEqual([8, expect.closeTo(13.5, 1)])
    expect(blend!.sg).toBeUndefined()
  })
  it('glasses draw on all that a lot holds, a wanted blend on what was said to be there', () => {
    const { inGlasses, sources } = blendAnswer([bobal, grenache])
    expect([inGlasses!.map((g) => g.volumeL), sources.map((s) => s.availableL)]).toEqual([[20, 10], [6, 2]])
  })
  it.each([
    ['one has no volume', [bobal, wine('Part 2', { abv: 12 })], false, 0, false],
    ['nothing is taken of one', [bobal, { ...grenache, volumeL: 0 }], false, 0, true],
    ['one comes from outside', [bobal, wine('Part 2', { volumeL: 3 })], true, 2, true]
  ] as const)('%s', (_, wines, isBlend, sources, tried) => {
    const answer = blendAnswer(wines)
    expect([answer.blend !== undefined, answer.sources.length, answer.inGlasses !== undefined]).toEqual([isBlend, sources, tried])
  })
})
