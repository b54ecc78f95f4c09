import fc from 'fast-check'
import { decodeQR } from 'qr/decode.js'
import { describe, expect, it } from 'vitest'
import type { LotView } from '../ledger'
import { codeIn } from './code'
import { LEAST_SIZE } from './stack'
import { words } from './words.fixture'
import {
  LAYOUTS,
  LAYOUT_KEYS,
  type LabelWords,
  type Measure,
  SHEETS,
  SHEET_KEYS,
  type Shape,
  abvInBottle,
  alcoholOnLabel,
  allergensOf,
  lotCode,
  placesOn
} from '.'

/** A face in which wide letters are wide: what is laid out goes by the measure that it is given. */
const measure: Measure = (text, font, size) =>
  [...text].reduce((w, c) => w + ('mWMW'.includes(c) ? 0.9 : 'il. ,'.includes(c) ? 0.3 : 0.56), 0) * size * (font === 'text' ? 1 : 1.08)
const word = fc.string({ unit: fc.constantFrom(...'aeiklmnorstwMWÑőç'), minLength: 1, maxLength: 22 })
const phrase = fc.array(word, { maxLength: 9 }).map((all) => all.join(' '))
const anyWords: fc.Arbitrary<LabelWords> = fc.record({
  name: phrase.filter((s) => s !== ''),
  vintage: fc.constantFrom('', '2025'),
  from: phrase,
  own: phrase,
  strength: fc.constantFrom('12.5 % vol · 750 mL', '9 % vol · 1500 mL'),
  bottled: fc.constantFrom('', 'Bottled 26 September 2026'),
  contains: fc.constantFrom('', 'Contains sulphites, egg, milk, fish and shellfish'),
  lot: fc.constantFrom('', 'Lot L26085-TRE · made at home, not for sale'),
  records: fc.constantFrom([], words.records)
})
type Text = Extract<Shape, { is: 'text' }>
const boxOf = (t: Text) => ({ l: t.x, r: t.x + measure(t.text, t.font, t.size), t: t.y - t.size * 0.72, b: t.y + t.size * 0.2 })

describe('a label', () => {
  it('fits whatever is written: nothing leaves it, nothing lies on anything, all can be read, and what must be said is said', () => {
    fc.assert(
      fc.property(anyWords, fc.constantFrom(...LAYOUT_KEYS), fc.constantFrom(...SHEET_KEYS), (w, layout, sheet) => {
        const { labelW, labelH } = SHEETS[sheet]
        const shapes = LAYOUTS[layout]({ words: w, style: 'red', w: labelW, h: labelH, measure })
        const texts = shapes.filter((s) => s.is === 'text')
        const code = shapes.findLast((s) => s.is === 'rect' && s.ink === '#ffffff' && s.w === s.h) as
          Extract<Shape, { is: 'rect' }> | undefined
        const boxes = texts.map(boxOf)
        for (const [i, b] of boxes.entries()) {
          expect(Math.min(b.l, b.t)).toBeGreaterThan(0.5)
          expect(b.r).toBeLessThan(labelW - 0.5)
          expect(b.b).toBeLessThan(labelH - 0.5)
          expect(texts[i]!.size).toBeGreaterThanOrEqual(LEAST_SIZE - 1e-9)
          for (const o of boxes.slice(i + 1)) expect(b.r <= o.l || o.r <= b.l || b.b <= o.t || o.b <= b.t).toBe(true)
          if (code) expect(b.r <= code.x || b.l >= code.x + code.w || b.b <= code.y || b.t >= code.y + code.h).toBe(true)
        }
        const all = texts.map((t) => t.text).join(' ')
        for (const must of [w.strength, w.contains]) expect(all).toContain(must)
        expect(all).toContain(w.name.trim().slice(0, 3))
      }),
      { numRuns: 400 }
    )
  })
  it.each(LAYOUT_KEYS)('%s says all there is when there is room', (layout) => {
    const texts = LAYOUTS[layout]({ words, style: 'white', w: 99.1, h: 67.7, measure }).filter((s) => s.is === 'text')
    const all = texts.map((t) => t.text).join(' ')
    for (const part of [words.name, words.vintage, words.from, words.own, words.strength, words.bottled, words.contains, words.lot])
      expect(all).toContain(part)
  })
  it('its code is read back by another reader, the longest record that a phone can still make out', () => {
    const read = (side: number) => {
      const code = codeIn(words.records, 0, 0, side)
      if (!code) return undefined
      // Drawn at 20 dots a millimetre, as a camera might see it.
      const px = Math.round(side * 20)
      const bits = new Uint8ClampedArray(px * px * 4).fill(255)
      const dark = code.shapes.find((s) => s.is === 'path') as Extract<Shape, { is: 'path' }>
      for (const [, x, y, w, h] of dark.d.matchAll(/M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)/g)) {
        for (let r = Math.round(Number(y) * 20); r < Math.round((Number(y) + Number(h)) * 20); r++)
          for (let c = Math.round(Number(x) * 20); c < Math.round((Number(x) + Number(w)) * 20); c++)
            bits.fill(0, (r * px + c) * 4, (r * px + c) * 4 + 3)
      }
      return decodeQR({ width: px, height: px, data: bits })
    }
    expect([read(24), read(12), read(6)]).toEqual([words.records[0], words.records[1], undefined])
  })
})

describe('labels on a sheet', () => {
  it.each(SHEET_KEYS)('%s: all of them on the paper, none on another', (key) => {
    const sheet = SHEETS[key]
    const places = placesOn(sheet, sheet.columns * sheet.rows)
    for (const [i, p] of places.entries()) {
      expect(p.x).toBeGreaterThanOrEqual(0)
      expect(p.x + p.w).toBeLessThanOrEqual(sheet.pageW)
      expect(p.y + p.h).toBeLessThanOrEqual(sheet.pageH)
      for (const o of places.slice(i + 1))
        expect(p.x + p.w <= o.x + 1e-9 || p.y + p.h <= o.y + 1e-9 || o.x + o.w <= p.x + 1e-9).toBe(true)
    }
  })
  it('begins where a label is free, and goes on on the next sheet', () => {
    const places = placesOn(SHEETS['a4-8'], 9, 7)
    expect(places.map((p) => p.page)).toEqual([0, 0, 1, 1, 1, 1, 1, 1, 1])
    expect(places[0]).toMatchObject({ x: 4.65, y: 13.1 + 3 * 67.7 })
  })
})

describe('what a label has to say', () => {
  it.each([
    [
      { value: 13.31, uncertainty: 0.3 },
      { percent: 13.5, sure: true }
    ],
    [
      { value: 13.24, uncertainty: 0.2 },
      { percent: 13, sure: true }
    ],
    [
      { value: 12.74, uncertainty: 0.6 },
      { percent: 12.5, sure: false }
    ]
  ])('alcohol %j in halves', (abv, wanted) => expect(alcoholOnLabel(abv)).toEqual(wanted))
  it.each<[string, boolean, number]>([
    ['still', false, 11.2],
    // 17 g/L of sugar for 1 % vol: the usual round figure.
    ['fermented once more in the bottle', true, 11.2 + 22 / 17]
  ])('alcohol of a wine that is %s', (_name, sparkling, wanted) => {
    const lot = {
      abv: { value: 11.2, uncertainty: 0.3 },
      others: { sugar: { value: 22, uncertainty: 1 } },
      plan: { sparkling },
      bottled: [{ at: '2026-10-01T10:00:00.000Z', sizeMl: 750, left: 12, closure: 'crown' }],
      worked: new Map()
    } as unknown as LotView
    expect(Math.abs(abvInBottle(lot)!.value - wanted)).toBeLessThan(0.1)
  })
  it.each<[string, string[], number | undefined, string[]]>([
    ['sulphite and egg', ['potassium-metabisulphite', 'egg-white'], 60, ['sulphites', 'egg']],
    ['nothing went in, nobody measured', [], undefined, ['sulphites']],
    ['nothing went in, measured below', [], 6, []],
    ['milk, in what came from another lot', ['casein', 'tartaric'], 6, ['milk']]
  ])('%s', (_name, materials, total, wanted) => {
    const lot = {
      added: new Map(materials.map((m) => [m, { actual: 0, unit: 'g', times: 1, lastAt: '' }])),
      ...(total !== undefined && { totalSo2: { value: total, origin: 'measured' } })
    } as unknown as LotView
    expect(allergensOf(lot)).toEqual(wanted)
  })
  it('a lot number by the day of the year', () => {
    expect(lotCode('Albariño', '2026-03-26')).toBe('L26085-ALB')
    expect(lotCode('Ñ 7', '2024-12-31')).toBe('L24366-N7')
  })
})
