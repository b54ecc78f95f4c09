import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { correctHydrometer } from '../hydrometry'
import { TYPICAL_BOUND_SHARE } from '../sulphite'
import { LimitError } from '../units'
import { type Draft, type Entry, type Fact, checkAgainst, foldCellar, standingFacts } from '.'
import { entrySchema } from './schema'

let count = 0
const at = (day: number, hour = 12): string => new Date(Date.UTC(2026, 8, 1 + day, hour)).toISOString()
const entry = (when: string, draft: Draft<Fact>): Entry =>
  entrySchema.parse({ id: `entry-${String(++count).padStart(4, '0')}`, device: 'test', at: when, written: when, ...draft })
const strike = (target: Entry, when = at(90)): Entry =>
  entrySchema.parse({
    id: `entry-${String(++count).padStart(4, '0')}`,
    device: 'test',
    at: when,
    written: when,
    type: 'correction',
    targetId: target.id,
    reason: 'mistyped',
    replacement: null
  })
const lotId = 'lot-0001'
const started = (volumeL = 40, extra: Partial<Extract<Fact, { type: 'lot-started' }>> = {}) =>
  entry(at(0), {
    type: 'lot-started',
    lotId,
    name: 'Grenache',
    stream: 'fresh',
    style: 'red',
    varieties: [],
    volumeL,
    volumeIs: 'measured',
    ...extra
  })
const reading = (day: number, quantity: Extract<Fact, { type: 'reading' }>['quantity'], value: number, extra = {}) =>
  entry(at(day), { type: 'reading', lotId, quantity, typed: String(value), value, ...extra })
const lotOf = (entries: Entry[]) => foldCellar(entries).lots.get(lotId)!

describe('a lot as its ledger tells it', () => {
  it('a hydrometer reading is corrected for the temperature of its sample', () => {
    const lot = lotOf([started(), reading(0, 'sg', 1.089, { sampleC: 8, calibrationC: 20 })])
    expect(lot.sg?.value).toBeCloseTo(correctHydrometer(1.089, 'sg', 8, 20).sg, 9)
  })
  it('sulphite raises the estimate by what does not bind, by what went in and not by the plan', () => {
    const lot = lotOf([
      started(40),
      entry(at(1), { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 5, actual: 4, so2Share: 0.576 })
    ])
    expect(lot.totalSo2?.value).toBeCloseTo(57.6, 6)
    expect(lot.freeSo2).toMatchObject({ origin: 'estimated' })
    expect(lot.freeSo2?.value).toBeCloseTo(57.6 * (1 - TYPICAL_BOUND_SHARE), 6)
  })
  it('a ferment that was first read late is taken as a usual must, with its width; the day of its crush may still be told', () => {
    const yeast = entry(at(1), { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 10 })
    const late = [started(), yeast, reading(8, 'sg', 1.004)]
    const guessed = lotOf(late)
    expect(guessed.originalSg?.origin).toBe('estimated')
    // A ripe red, 22 to 26 Brix, has made 11 to 14 % by then.
    expect(guessed.abv!.value - guessed.abv!.uncertainty).toBeLessThan(11.5)
    expect(guessed.abv!.value + guessed.abv!.uncertainty).toBeGreaterThan(13.5)
    const told = lotOf([started(), reading(0, 'sg', 1.085), yeast, reading(8, 'sg', 1.004)])
    expect(told.originalSg).toMatchObject({ value: 1.085, origin: 'measured' })
    // Read late and as high as such a must is, it has hardly begun; and small changes of a reading are small changes of the guess.
    for (const day of [1.5, 4]) expect(lotOf([started(), yeast, reading(day, 'sg', 1.097)]).originalSg).toMatchObject({ value: 1.097,
      origin: 'measured' })
    for (let sg = 1; sg < 1.11; sg += 0.0005) {
      const [a, b] = [sg, sg + 0.0005].map((value) => lotOf([started(), yeast, reading(4, 'sg', value)]).originalSg!.value)
      expect(Math.abs(b! - a!)).toBeLessThan(0.0012)
    }
  })
  it('yeast in a wine that was tested sweet makes it ferment on; in a dry one it does not', () => {
    const yeast = entry(at(1), { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 10 })
    const wine = [started(), reading(0, 'sg', 1.095), yeast, reading(20, 'sg', 0.993), reading(24, 'sg', 0.993)]
    const again = entry(at(30), { type: 'inoculation', lotId, organism: 'yeast', culture: 'Restart', grams: 20 })
    const after = (...more: Entry[]) => lotOf([...wine, reading(26, 'sugar', 14), ...more])
    expect(after().alcoholic).toBe('dry')
    expect(after(again).alcoholic).toBe('active')
    expect(after(again, reading(40, 'sg', 0.991), reading(43, 'sg', 0.991)).alcoholic).toBe('dry')
    expect(lotOf([...wine, reading(26, 'sugar', 0.5), again]).alcoholic).toBe('dry')
  })
  it('is read as exactly as the household says of itself, from then on', () => {
    const said = entry(at(3), { type: 'equipment-said', has: {}, reads: { sg: 0.0006, ph: 0.12 } })
    const lot = lotOf([started(), reading(1, 'ph', 3.5), said, reading(4, 'sg', 1.09), reading(4, 'ta', 6)])
    expect([lot.ph?.uncertainty, lot.sg?.uncertainty, lot.ta?.uncertainty]).toEqual([0.05, 0.0006, 0.3])
    expect(lotOf([started(), said, reading(4, 'ph', 3.5)]).ph?.uncertainty).toBe(0.12)
  })
  it('a measurement beats the estimate', () => {
    const lot = lotOf([
      started(40),
      entry(at(1), { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 4, so2Share: 0.576 }),
      reading(2, 'freeSo2', 22)
    ])
    expect(lot.freeSo2).toMatchObject({ value: 22, origin: 'measured' })
  })
  it('goes from must to fermenting to wine by its gravity', () => {
    const history = [started(), reading(0, 'sg', 1.095)]
    expect(lotOf(history).alcoholic).toBe('none')
    expect(lotOf([...history, reading(3, 'sg', 1.06)]).alcoholic).toBe('active')
    expect(lotOf([...history, reading(3, 'sg', 1.06), reading(9, 'sg', 0.995)]).alcoholic).toBe('dry')
  })
  it('a check found later restates the readings since the last one and leaves what was typed', () => {
    const meter = entry(at(0), { type: 'instrument-added', instrumentId: 'inst-0001', name: 'Meter', kind: 'ph-meter' })
    const early = reading(1, 'ph', 3.6, { instrumentId: 'inst-0001' })
    const check = entry(at(5), { type: 'instrument-checked', instrumentId: 'inst-0001', offset: 0.1, adjusted: true })
    const late = reading(6, 'ph', 3.6, { instrumentId: 'inst-0001' })
    expect(lotOf([started(), meter, early, check]).ph?.value).toBeCloseTo(3.5, 9)
    expect(lotOf([started(), meter, early, check, late]).ph?.value).toBeCloseTo(3.6, 9)
    expect(early).toMatchObject({ typed: '3.6', value: 3.6 })
  })
  it('a check in two buffers corrects by slope and offset', () => {
    // The line through (4.01, 4.05) and (7.00, 6.94); a reading of 3.60 lies at 4.01 − 0.45 × 2.99/2.89.
    const found = checkAgainst([
      { known: 4.01, shown: 4.05 },
      { known: 7, shown: 6.94 }
    ])
    const meter = entry(at(0), { type: 'instrument-added', instrumentId: 'inst-0001', name: 'Meter', kind: 'ph-meter' })
    const check = entry(at(5), { type: 'instrument-checked', instrumentId: 'inst-0001', adjusted: false, ...found })
    for (const day of [1, 6])
      expect(lotOf([started(), meter, check, reading(day, 'ph', 3.6, { instrumentId: 'inst-0001' })]).ph?.value).toBeCloseTo(
        4.01 - (0.45 * 2.99) / 2.89,
        6
      )
    expect(() =>
      checkAgainst([
        { known: 4.01, shown: 4.05 },
        { known: 4.01, shown: 4.1 }
      ])
    ).toThrow(LimitError)
    expect(() =>
      checkAgainst([
        { known: 4.01, shown: 4.05 },
        { known: 7, shown: 6.2 }
      ])
    ).toThrow(LimitError)
  })
  it('nutrient given is summed as nitrogen and thinned by water; rehydration nutrient does not count', () => {
    const feed = (day: number, material: string, grams: number) =>
      entry(at(day), { type: 'addition', lotId, material, unit: 'g', actual: grams })
    const fed = lotOf([started(40), feed(1, 'complex-nutrient', 12), feed(2, 'ammonium-phosphate', 4), feed(2, 'rehydration-nutrient', 12)])
    // 12 g at 100 mg N/g and 4 g at 28.014/132.06 in 40 L.
    expect(fed.nitrogenGiven?.value).toBeCloseTo((1200 + (4000 * 28.014) / 132.06) / 40, 6)
    const thinned = lotOf([
      started(40),
      feed(1, 'complex-nutrient', 12),
      entry(at(3), { type: 'addition', lotId, material: 'water', unit: 'L', actual: 10 })
    ])
    expect(thinned.nitrogenGiven?.value).toBeCloseTo(1200 / 50, 6)
    // 40 L with 30 mg/L and 20 L with none, then with 60.
    const other = (day: number, material?: string) => [
      entry(at(0), {
        type: 'lot-started',
        lotId: 'lot-0002',
        name: 'B',
        stream: 'juice',
        style: 'red',
        varieties: [],
        volumeL: 20,
        volumeIs: 'measured'
      }),
      ...(material ? [entry(at(day), { type: 'addition', lotId: 'lot-0002', material, unit: 'g', actual: 12 })] : []),
      entry(at(5), { type: 'transfer', purpose: 'blend', from: { lotId: 'lot-0002' }, to: { lotId }, outL: 20, inL: 20 })
    ]
    expect(lotOf([started(40), feed(1, 'complex-nutrient', 12), ...other(1)]).nitrogenGiven?.value).toBeCloseTo(20, 6)
    expect(lotOf([started(40), feed(1, 'complex-nutrient', 12), ...other(1, 'complex-nutrient')]).nitrogenGiven?.value).toBeCloseTo(40, 6)
    expect(lotOf([started(40), ...other(1, 'complex-nutrient')]).nitrogenGiven?.value).toBeCloseTo(20, 6)
  })
})

describe('corrections', () => {
  it('a struck entry leaves the state as if it had never been, and stays in the ledger', () => {
    const wrong = reading(1, 'ph', 3.9)
    const entries = [started(), reading(0, 'ph', 3.5), wrong]
    expect(lotOf([...entries, strike(wrong)])).toEqual(lotOf(entries.slice(0, 2)))
    expect(standingFacts([...entries, strike(wrong)]).find((f) => f.fact.id === wrong.id)?.struck).toBe(true)
  })
  it('the last correction wins, whatever order they arrive in', () => {
    const wrong = reading(1, 'ph', 3.9)
    const fix = (value: number, day: number): Entry =>
      entrySchema.parse({
        id: `correction-${day}`,
        device: 'test',
        at: at(day),
        written: at(day),
        type: 'correction',
        targetId: wrong.id,
        reason: 'misread',
        replacement: { ...wrong, value, typed: String(value) }
      })
    const all = [started(), wrong, fix(3.7, 2), fix(3.6, 3)]
    expect(lotOf(all).ph?.value).toBe(3.6)
    expect(lotOf([...all].reverse()).ph?.value).toBe(3.6)
  })
})

describe('vessels and transfers', () => {
  const vessel = (n: number, capacityL: number) =>
    entry(at(0), { type: 'vessel-added', vesselId: `vessel-${n}`, name: `V${n}`, kind: 'demijohn', capacityL })
  const move = (day: number, fromV: string | undefined, toV: string, outL: number, inL: number) =>
    entry(at(day), {
      type: 'transfer',
      purpose: 'rack',
      from: { lotId, ...(fromV && { vesselId: fromV }) },
      to: { lotId, vesselId: toV },
      outL,
      inL
    })
  it('what leaves arrives, less the lees', () => {
    const cellar = foldCellar([
      vessel(1, 30),
      vessel(2, 20),
      started(40),
      move(1, undefined, 'vessel-1', 28, 27),
      move(1, undefined, 'vessel-2', 12, 11.5)
    ])
    expect(cellar.lots.get(lotId)?.volume.value).toBeCloseTo(38.5, 9)
    expect([...cellar.vessels.values()].map((v) => v.litres)).toEqual([27, 11.5])
  })
  it.each([
    ['more out than is in', [move(1, undefined, 'vessel-1', 99, 99)], 'more-out-than-in'],
    ['a vessel that is not there', [move(1, undefined, 'vessel-9', 5, 5)], 'unknown-vessel'],
    ['too much for the vessel', [move(1, undefined, 'vessel-1', 35, 35)], 'overfull'],
    ['a lot that is not there', [entry(at(1), { type: 'observation', lotId: 'lot-other', what: 'note', text: 'x' })], 'unknown-lot']
  ])('%s is reported', (_name, moves, code) => {
    expect(foldCellar([vessel(1, 30), started(40), ...moves]).problems.map((p) => p.code)).toContain(code)
  })
})

describe('laws of the ledger', () => {
  const history = fc
    .array(
      fc.record({
        day: fc.integer({ min: 0, max: 60 }),
        kind: fc.constantFrom('sg', 'ph', 'freeSo2', 'sulphite', 'note', 'stock', 'stage', 'sample', 'work'),
        value: fc.double({ min: 0, max: 1, noNaN: true })
      }),
      { maxLength: 30 }
    )
    .map((items) => [
      started(),
      entry(at(0), { type: 'block-added' as const, blockId: 'block-laws', name: 'B', style: 'red' as const }),
      ...items.map(({ day, kind, value }) =>
        kind === 'sulphite'
          ? entry(at(day), {
              type: 'addition' as const,
              lotId,
              material: 'potassium-metabisulphite',
              unit: 'g' as const,
              actual: value * 5,
              so2Share: 0.576
            })
          : kind === 'stock'
            ? entry(at(day), {
                type: 'supply-stocked' as const,
                supplyId: `pack-${day}-${Math.round(value * 1e6)}-x`,
                material: 'tartaric',
                unit: 'g' as const,
                amount: 1 + value * 100,
                ...(value > 0.5 && { opened: '2026-08-01' })
              })
            : kind === 'stage'
              ? entry(at(day), {
                  type: 'addition' as const,
                  lotId,
                  material: 'tartaric',
                  unit: 'g' as const,
                  actual: value * 30,
                  stage: { number: value > 0.5 ? 1 : 2, of: 2 }
                })
              : kind === 'sample'
                ? entry(at(day), { type: 'block-sampled' as const, blockId: 'block-laws', brix: value * 25 })
                : kind === 'work'
                  ? entry(at(day), { type: 'operation' as const, lotId, what: 'settle' as const })
                  : kind === 'note'
                    ? entry(at(day), { type: 'observation' as const, lotId, what: 'note' as const, text: 'x' })
                    : reading(day, kind as 'ph', kind === 'sg' ? 0.99 + value * 0.11 : kind === 'ph' ? 3 + value : value * 50)
      )
    ])
  it('the order of arrival never matters, not even for entries of the same instant', () => {
    fc.assert(
      fc.property(history, fc.infiniteStream(fc.nat()), (entries, chance) => {
        const shuffled = entries
          .map((e) => [chance.next().value, e] as const)
          .sort((a, b) => a[0] - b[0])
          .map((p) => p[1])
        expect(foldCellar(shuffled)).toEqual(foldCellar(entries))
      }),
      { numRuns: 60 }
    )
  })
  it('what came into the store is there, in lots, or unaccounted for: nothing is lost on the way', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const stock = foldCellar(entries).stock.get('tartaric')
        if (!stock) return
        const sum = (of: (e: Entry) => number) => entries.reduce((total, e) => total + of(e), 0)
        const stocked = sum((e) => (e.type === 'supply-stocked' ? e.amount : 0))
        const left = stock.packages.reduce((total, p) => total + p.left, 0)
        const firstAt = entries
          .filter((e) => e.type === 'supply-stocked')
          .map((e) => e.at)
          .sort()[0]!
        // What went in before anything was stocked is nobody's account.
        const used = foldCellar(entries).lots.get(lotId)!.added.get('tartaric')?.actual ?? 0
        const usedSince = sum((e) => (e.type === 'addition' && e.material === 'tartaric' && e.at > firstAt ? e.actual : 0))
        expect(left).toBeLessThanOrEqual(stocked + 1e-9)
        expect(stocked - left).toBeLessThanOrEqual(used + 1e-9)
        expect(stocked - left + stock.unaccounted).toBeGreaterThanOrEqual(usedSince - 1e-9)
      }),
      { numRuns: 60 }
    )
  })
  it('the state at an instant is the state of what had happened by then', () => {
    fc.assert(
      fc.property(history, fc.integer({ min: 0, max: 60 }), (entries, day) => {
        expect(foldCellar(entries, at(day))).toEqual(foldCellar(entries.filter((e) => e.at <= at(day))))
      }),
      { numRuns: 60 }
    )
  })
})
