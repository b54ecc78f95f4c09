import { describe, expect, it } from 'vitest'
import { forecastFerment } from '../fermentation'
import { sampled, trueFerment } from '../fermentation/reference/ferments.fixture'
import { type Draft, type Entry, type Fact, foldCellar, lotAt } from '../ledger'
import { entrySchema } from '../ledger/schema'
import { fermentLooks, gravityForetold, ripeningForetold, sulphiteForetold, tally } from '.'

const START = Date.UTC(2026, 8, 1, 12)
const after = (hours: number) => new Date(START + hours * 3_600_000).toISOString()
const NOW = after(8000)
let count = 0
const entry = (hours: number, draft: Draft<Fact>): Entry =>
  entrySchema.parse({ id: `score-${String(++count).padStart(5, '0')}`, device: 'test', at: after(hours), written: after(hours), ...draft })
const reading = (lotId: string, hours: number, quantity: 'sg' | 'freeSo2' | 'temperature', value: number): Entry =>
  entry(hours, { type: 'reading', lotId, quantity, typed: String(value), value })

const started = (lotId: string, style: 'red' | 'white'): Entry =>
  entry(-2, { type: 'lot-started', lotId, name: lotId, stream: 'juice', varieties: [], style, volumeL: 20, volumeIs: 'measured' })

/** A lot whose ferment is one of the reference forms, read as people read. */
function fermented(i: number): Entry[] {
  const f = trueFerment(i, 88)
  const lotId = `lot-number-${i}`
  return [
    started(lotId, f.style),
    reading(lotId, -1, 'sg', Math.round(f.originalSg * 2000) / 2000),
    entry(0, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
    ...sampled(f, i, 88).filter((l) => l.hours < 500).flatMap((l) => [
      reading(lotId, l.hours, 'sg', l.sg), reading(lotId, l.hours, 'temperature', l.celsius)
    ])
  ]
}
const lotsOf = (entries: readonly Entry[]) => [...foldCellar(entries).lots.values()].map((lot) => lotAt(lot, NOW))

describe('what was foretold beside what came', () => {
  it('a gravity: with nothing that was read later, and held about four times in five over a dozen ferments', () => {
    const told = lotsOf(Array.from({ length: 12 }, (_, i) => fermented(i)).flat()).flatMap((lot) => {
      const looks = fermentLooks(lot, new Map(), NOW)
      expect(looks.length).toBeLessThanOrEqual(5)
      return looks.flatMap((look) => {
        expect(look.madeAt < look.at).toBe(true)
        for (const r of [...look.asked.readings, ...(look.asked.temperatures ?? [])]) expect(after(r.hours) <= look.madeAt).toBe(true)
        return gravityForetold(look, forecastFerment(look.asked)) ?? []
      })
    })
    const [sum] = tally(told)
    expect(sum!.count).toBeGreaterThan(30)
    expect(sum!.held / sum!.count).toBeGreaterThan(0.65)
    for (const f of told) expect(f.held).toBe(f.came >= f.low && f.came <= f.high)
  })
  it('free SO₂ and berry samples: those that have something before them, and a wild one is a miss', () => {
    const lotId = 'lot-wine'
    const entries = [
      started(lotId, 'white'),
      entry(0, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
      ...[1.09, 1.04, 1, 0.993, 0.993].map((sg, i) => reading(lotId, 24 + i * 72, 'sg', sg)),
      ...[[600, 35], [1400, 32], [2200, 29], [3000, 90]].map(([hours, free]) => reading(lotId, hours!, 'freeSo2', free!))
    ]
    const told = sulphiteForetold(lotsOf(entries).find((l) => l.id === lotId)!)
    expect(told.map((f) => f.held)).toEqual([true, true, false])
    const samples = [[0, 19], [96, 20], [192, 21], [288, 21.8], [384, 30]].map(([hours, brix]) => {
      const at = after(hours!)
      return { type: 'block-sampled' as const, id: `s${hours}`, device: 'test', at, written: at, blockId: 'b', brix: brix! }
    })
    const block = { id: 'b', name: 'Slope', style: 'red' as const, samples, notes: [] }
    expect(ripeningForetold(block).map((f) => f.held)).toEqual([true, true, false])
  })
  it('says nothing of a lot without a history', () => {
    const [lot] = lotsOf([started('lot-new-one', 'red')])
    expect([...fermentLooks(lot!, new Map(), NOW), ...sulphiteForetold(lot!)]).toEqual([])
  })
})
