import fc from 'fast-check'
import { decodeQR } from 'qr/decode.js'
import { encode } from 'uqr'
import { describe, expect, it } from 'vitest'
import { demoCellar } from '~~/demo'
import { Gathering, codesOf, forTheAir } from './air'
import { parseCellarFile } from './cellar-file'
import { toCellarFile } from './to-cellar-file'

/** A screen's picture of a code, RGBA, so many pixels a dot; another library reads it than drew it. */
function pictureOf(text: string, dot: number) {
  const { data, size } = encode(text, { ecc: 'L', border: 4 })
  const width = size * dot
  const pixels = new Uint8ClampedArray(width * width * 4).fill(255)
  for (let y = 0; y < width; y++)
    for (let x = 0; x < width; x++)
      if (data[Math.floor(y / dot)]![Math.floor(x / dot)]) pixels.set([20, 20, 20], (y * width + x) * 4)
  return { width, height: width, data: pixels }
}

describe('over the air', () => {
  const demo = demoCellar(new Date('2026-11-23T12:00:00Z'))
  const day = forTheAir(demo.entries.filter((e) => e.at >= '2026-11-22'))
  const text = JSON.stringify(toCellarFile('demo', day, '2026-11-23T12:00:00.000Z'))

  it('a day’s entries go over by codes that an independent reader reads from a picture, as they were', () => {
    expect(day.length).toBeGreaterThan(10)
    const gathering = new Gathering()
    const heard = codesOf(text).map((code) => gathering.hear(decodeQR(pictureOf(code, 3))))
    expect(heard.at(-1)).toEqual({ is: 'whole', text })
    const file = parseCellarFile(text)
    expect(file.ok && file.file.entries).toEqual(expect.arrayContaining(day))
  })

  it('any text comes whole from its codes in any order, with some twice and others of no kind between', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 4000 }), fc.infiniteStream(fc.nat()), fc.string(), (said, order, noise) => {
        const codes = codesOf(said)
        const shuffled = [...codes, ...codes.slice(0, 3)].map((code) => ({ code, at: order.next().value as number }))
          .sort((a, b) => a.at - b.at)
        const gathering = new Gathering()
        let whole: string | undefined
        for (const { code } of shuffled) {
          const heard = gathering.hear(code)
          if (heard.is === 'whole') whole = heard.text
          expect(gathering.hear(noise).is).toBe('nothing')
        }
        expect(whole).toBe(said)
      }),
      { numRuns: 60 }
    )
  })

  it('half a code, a wrong number, a changed part and another run are no entries', () => {
    const many = codesOf(Array.from({ length: 900 }, (_, i) => Math.imul(i, 2654435761)).join())
    expect(many.length).toBeGreaterThan(2)
    for (const broken of ['', many[0]!.slice(0, 9), many[0]!.replace(' 1 ', ' 0 '), many[0]!.replace(' 1 ', ' 999 '), `${many[0]!} x`])
      expect(new Gathering().hear(broken), broken.slice(0, 30)).toEqual({ is: 'nothing' })
    const changed = many.map((c, i) => (i === 1 ? c.slice(0, -5) + (c.at(-5) === 'A' ? 'B' : 'A') + c.slice(-4) : c))
    const gathering = new Gathering()
    expect(changed.map((c) => gathering.hear(c).is).at(-1)).toBe('damaged')
    // The same codes once more, now whole.
    expect(many.map((c) => gathering.hear(c).is).at(-1)).toBe('whole')
    const [first] = codesOf('another run')
    gathering.hear(many[0]!)
    expect(gathering.hear(first!)).toEqual({ is: 'whole', text: 'another run' })
    expect(gathering.hear(many[1]!)).toEqual({ is: 'part', have: 1, of: many.length })
  })
})
