import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, foldCellar, lotAt } from '../ledger'
import { DAY_MS, normalFrom, seeded } from '../units'
import { SPANS, type Span } from './durations'
import { deviateIn, learnt, spanHere } from './learnt'
import { habitKey, habitsOf, wayOf } from '.'

const SPAN: Span = SPANS.malolactic['after-pressing']
const width = ([low, , high]: Span) => high - low

describe('what finished lots say of the next', () => {
  /** How often the lot after `lots` others fell in its window, over cellars that differ by so much of the usual variance. */
  function heldOver(between: number, lots: number) {
    const draw = normalFrom(seeded(4711))
    const cellars = 4000
    let [held, widths] = [0, 0]
    for (let i = 0; i < cellars; i++) {
      const cellar = draw() * Math.sqrt(between)
      const one = () => spanHere(SPAN, { middle: cellar + draw() * Math.sqrt(1 - between), spread: 1 })[1]
      const here = spanHere(SPAN, learnt(Array.from({ length: lots }, () => deviateIn(SPAN, one()))))
      const next = one()
      if (next >= here[0] && next <= here[2]) held++
      widths += width(here)
    }
    return { held: held / cellars, width: widths / cellars / width(SPAN) }
  }
  const CASES = [0, 0.25, 0.5, 0.75].flatMap((between) => [1, 2, 5, 10].map((lots) => ({ between, lots })))
  it.each(CASES)('holds where cellars differ by $between of the variance, after $lots lots', ({ between, lots }) => {
    const { held } = heldOver(between, lots)
    expect(held).toBeGreaterThan(0.72)
    expect(held).toBeLessThan(0.92)
  })
  it('holds four in five over all of them, and after five lots it is narrower wherever cellars differ', () => {
    const all = CASES.map(({ between, lots }) => heldOver(between, lots).held)
    const mean = all.reduce((sum, held) => sum + held, 0) / all.length
    expect(mean).toBeGreaterThan(0.76)
    expect(mean).toBeLessThan(0.84)
    for (const between of [0.25, 0.5, 0.75]) expect(heldOver(between, 5).width).toBeLessThan(0.92)
  })
  it('is the usual while there is none, moves towards what was seen and never past it, and no lot outweighs all others', () => {
    expect(spanHere(SPAN, learnt([])).map((d) => Math.round(d * 1000))).toEqual(SPAN.map((d) => d * 1000))
    for (const seen of [30, 60, 100, 140]) {
      const [, middle] = spanHere(SPAN, learnt([deviateIn(SPAN, seen)]))
      expect((middle - SPAN[1]) * Math.sign(seen - SPAN[1])).toBeGreaterThan(0)
      expect(Math.abs(middle - SPAN[1])).toBeLessThan(Math.abs(seen - SPAN[1]))
    }
    // Stuck for years, or entered late: as a lot that is very slow, and no more.
    const [slow, never] = [[80, 80, 80, 200], [80, 80, 80, 3000]].map((lots) => spanHere(SPAN, learnt(lots.map((d) => deviateIn(SPAN, d)))))
    expect(never![1] / slow![1]).toBeLessThan(1.02)
  })
  it('small changes in give small changes out', () => {
    for (let days = 40; days < 150; days += 0.5) {
      const at = (d: number) => spanHere(SPAN, learnt([70, d].map((x) => deviateIn(SPAN, x))))
      for (const i of [0, 1, 2] as const) expect(Math.abs(at(days + 0.5)[i] - at(days)[i])).toBeLessThan(0.5)
    }
  })
})

describe('habits of a cellar', () => {
  const START = Date.parse('2024-10-01T08:00:00.000Z')
  const iso = (days: number) => new Date(START + days * DAY_MS).toISOString()
  let n = 0
  const entry = (days: number, draft: Draft<Fact>): Entry =>
    ({ id: `e-${String(++n).padStart(6, '0')}`, device: 't', at: iso(days), written: iso(days), ...draft }) as Entry
  /** A red that was pressed dry after twelve days, got its bacteria then, and took so long over its malolactic. */
  function red(lotId: string, from: number, malolactic?: number): Entry[] {
    const read = (days: number, quantity: 'sg' | 'malic', value: number) =>
      entry(from + days, { type: 'reading', lotId, quantity, typed: String(value), value })
    const arrived = { massKg: 60, volumeL: 39, volumeIs: 'measured' } as const
    return [
      entry(from, { type: 'lot-started', lotId, name: lotId, stream: 'fresh', style: 'red', varieties: [], ...arrived }),
      entry(from + 1, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
      entry(from + 1, { type: 'lot-planned', lotId, malolactic: 'after-pressing' }),
      read(0, 'sg', 1.095), read(12, 'sg', 0.994), read(14, 'sg', 0.994),
      entry(from + 14, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId }, outL: 39, inL: 37.5 }),
      entry(from + 15, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' }),
      ...(malolactic === undefined ? [] : [read(15 + malolactic, 'malic', 0.05)])
    ]
  }
  const views = (entries: Entry[], now: string) => [...foldCellar(entries).lots.values()].map((lot) => lotAt(lot, now))
  it('a cellar whose malolactics are slow expects the next to be slow, by a narrower window; forgotten it expects the usual', () => {
    const slow = [0, 1, 2, 3, 4].flatMap((i) => red(`lot-slow-${i}`, i * 5, 112 + i * 3))
    const now = iso(420)
    const lots = views([...slow, ...red('lot-next', 400)], now)
    const next = lots.find((l) => l.id === 'lot-next')!
    const habits = habitsOf(lots)
    const malolactic = habits.find((h) => h.code === 'malolactic')!
    expect(malolactic.lots.map((l) => Math.round(l.value))).toEqual([112, 115, 118, 121, 124])
    const of = (known: typeof habits) => wayOf(next, now, undefined, known).find((s) => s.code === 'malolactic')!
    const [usual, here] = [of([]), of(habits)]
    expect(Date.parse(here.likely)).toBeGreaterThan(Date.parse(usual.likely) + 10 * DAY_MS)
    const since = (at: string) => Date.parse(at) - Date.parse(next.bacteriaAt!)
    expect(since(here.latest) / since(here.earliest)).toBeLessThan(SPAN[2] / SPAN[0])
    expect([usual.learntFrom, here.learntFrom]).toEqual([undefined, 5])
    const forgotten = habitsOf(lots, { [habitKey(malolactic)]: now })
    expect(of(forgotten)).toEqual(usual)
  })
  it('wine from the fruit is learnt by what came off the press', () => {
    const lots = views(red('lot-a', 0, 60), iso(200))
    const perKg = habitsOf(lots).find((h) => h.code === 'wine-per-kg')!
    // 37.5 L of 60 kg.
    expect(perKg.lots.map((l) => l.value)).toEqual([0.625])
  })
})
