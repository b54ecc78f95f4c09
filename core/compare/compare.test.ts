import { describe, expect, it } from 'vitest'
import { DIFFERS, type ComparedRow, compareLots, earlierLike } from '.'
import { type Draft, type Entry, historyOf, lotAt } from '../ledger'

let n = 0
const at = (day: number, year = 2025) => new Date(Date.UTC(year, 8, 20 + day, 10)).toISOString()
const entry = (draft: Draft): Entry => {
  const id = `compare-${String(++n).padStart(5, '0')}`
  return { id, device: 'test', at: at(0), written: at(0), ...draft } as Entry
}
/** A red of 20 L: what was read in its must, how much acid and yeast it got, when it was dry. */
function red(lotId: string, name: string, { sg = 1.092, acid = 0, dry = 8, year = 2025, warm = 24 }): Entry[] {
  const read = (quantity: 'sg' | 'temperature' | 'ph', value: number, day: number) =>
    entry({ type: 'reading', lotId, quantity, typed: String(value), value, at: at(day, year) } as Draft)
  return [
    entry({
      type: 'lot-started', lotId, name, stream: 'fresh', style: 'red', varieties: [], volumeL: 20, volumeIs: 'measured', at: at(0, year)
    }),
    read('sg', sg, 0.1),
    read('ph', 3.6, 0.1),
    ...(acid > 0 ? [entry({ type: 'addition', lotId, material: 'tartaric', unit: 'g', actual: acid, at: at(0.3, year) })] : []),
    entry({ type: 'inoculation', lotId, organism: 'yeast', culture: 'Yeast', grams: 5, at: at(1, year) }),
    read('temperature', warm, 3),
    read('sg', 1.03, 4),
    read('sg', 0.994, dry),
    read('sg', 0.994, dry + 2)
  ]
}
const compared = (...lots: Entry[][]) => {
  const cellar = historyOf(lots.flat()).cellar
  const now = at(60, 2026)
  return compareLots([...cellar.lots.values()].map((lot) => lotAt(lot, now)))
}
const row = (rows: ComparedRow[], of: ComparedRow['of']) => rows.find((r) => JSON.stringify(r.of) === JSON.stringify(of))

describe('lots beside each other', () => {
  it('what differs comes first: by hand, 40 g and 0 g in 20 L are 2 and 0 g/L', () => {
    const rows = compared(red('lot-one-1', 'One', { acid: 40 }), red('lot-two-2', 'Two', {}))
    expect(rows[0]!.of).toEqual({ added: 'tartaric', unit: 'g' })
    expect(rows[0]!.values).toEqual([2, 0])
    expect(row(rows, 'originalSg')!.apart).toBe(0)
    expect(row(rows, 'warmestC')).toMatchObject({ values: [24, 24], apart: 0 })
  })
  it.each([
    ['a gravity', { sg: 1.1 }, 'originalSg'],
    ['a warm ferment', { warm: 31 }, 'warmestC'],
    ['a slow one', { dry: 16 }, 'daysToDry']
  ] as const)('%s that differs is said, and the rest is not', (_what, more, figure) => {
    const rows = compared(red('lot-one-1', 'One', {}), red('lot-two-2', 'Two', more))
    expect(row(rows, figure)!.apart).toBeGreaterThan(DIFFERS)
    expect(rows.filter((r) => r.apart >= DIFFERS).map((r) => r.of)).toContain(figure)
    expect(row(rows, 'mustPh')!.apart).toBe(0)
  })
  it('a lot beside itself differs in nothing, and the order of the lots only turns the columns', () => {
    const one = red('lot-one-1', 'One', { acid: 10 })
    const two = red('lot-two-2', 'Two', { sg: 1.1 })
    const [ab, ba] = [compared(one, two), compared(two, one)]
    expect(ba.map((r) => r.apart)).toEqual(ab.map((r) => r.apart))
    expect(compared(one, red('lot-two-2', 'One', { acid: 10 })).every((r) => r.apart === 0)).toBe(true)
  })
})

describe('the same wine of an earlier year', () => {
  const views = (...lots: Entry[][]) => [...historyOf(lots.flat()).cellar.lots.values()].map((lot) => lotAt(lot, at(60, 2027)))
  it('of the same name first, the latest; of the same kind else; none where there is none', () => {
    const all = views(
      red('lot-a-2024', 'Graciano', { year: 2024 }), red('lot-a-2025', 'Graciano 2025', { year: 2025 }),
      red('lot-b-2025', 'Bobal', { year: 2025 }), red('lot-a-2026', 'Graciano 2026', { year: 2026 })
    )
    const by = (id: string) => all.find((l) => l.id === id)!
    expect(earlierLike(by('lot-a-2026'), all)?.id).toBe('lot-a-2025')
    expect(earlierLike(by('lot-b-2025'), all)?.id).toBe('lot-a-2024')
    expect(earlierLike(by('lot-a-2024'), all)).toBeUndefined()
  })
})
