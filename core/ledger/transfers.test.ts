import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, foldCellar, historyOf, propose, standingFacts, standingOf } from '.'
import { entrySchema } from './schema'

const refusalOf = (ledger: Entry[], entries: Entry[]) => propose(historyOf(ledger), entries).refused

/** Cases of the cellar floor that the worked histories do not touch. */
let count = 0
const at = (day: number): string => new Date(Date.UTC(2026, 8, 1 + day, 12)).toISOString()
const entry = (day: number, draft: Draft<Fact>): Entry =>
  entrySchema.parse({ id: `floor-${String(++count).padStart(5, '0')}`, device: 'test', at: at(day), written: at(day), ...draft })
const lotId = 'lot-floor-1'
const start = (id = lotId, volumeL = 40, more: Partial<Extract<Fact, { type: 'lot-started' }>> = {}) =>
  entry(0, {
    type: 'lot-started',
    lotId: id,
    name: id,
    stream: 'juice',
    style: 'white',
    varieties: [],
    volumeL,
    volumeIs: 'measured',
    ...more
  })

describe('varieties, vintage and origin', () => {
  it('are brought to one, whatever shares were typed', () => {
    const lot = foldCellar([
      start(lotId, 40, {
        varieties: [
          { name: 'Grenache', share: 0.6 },
          { name: 'Tempranillo', share: 0.6 }
        ],
        vintage: 2026
      })
    ]).lots.get(lotId)!
    expect(lot.sources.map((s) => [s.variety, s.vintage, s.share])).toEqual([
      ['Grenache', 2026, 0.5],
      ['Tempranillo', 2026, 0.5]
    ])
  })
  it('a top-up from the same vintage of the same variety is no new source', () => {
    const same = { varieties: [{ name: 'Albariño', share: 1 }], vintage: 2026 }
    const cellar = foldCellar([
      start(lotId, 40, same),
      start('lot-topping', 5, same),
      entry(2, { type: 'transfer', purpose: 'top-up', from: { lotId: 'lot-topping' }, to: { lotId }, outL: 1, inL: 1 })
    ])
    expect(cellar.lots.get(lotId)!.sources).toHaveLength(1)
    expect(cellar.lots.get('lot-topping')!.volume.value).toBeCloseTo(4, 9)
  })
  it('an empty lot that is filled from another takes over what is known of it', () => {
    const cellar = foldCellar([
      start(),
      entry(1, { type: 'reading', lotId, quantity: 'sg', typed: '0.994', value: 0.994 }),
      entry(1, { type: 'reading', lotId, quantity: 'ph', typed: '3.2', value: 3.2 }),
      start('lot-press-run', 0, { stream: 'blend' }),
      entry(2, { type: 'transfer', purpose: 'split', from: { lotId }, to: { lotId: 'lot-press-run' }, outL: 8, inL: 8 })
    ])
    const run = cellar.lots.get('lot-press-run')!
    expect([run.volume.value, run.ph?.value, run.sg?.value]).toEqual([8, 3.2, 0.994])
  })
})

describe('vessels', () => {
  const vessel = entry(0, { type: 'vessel-added', vesselId: 'vessel-floor', name: 'Glass', kind: 'demijohn', capacityL: 50 })
  it('are clean until they are filled', () => {
    const cared = [
      vessel,
      entry(1, { type: 'vessel-cared', vesselId: 'vessel-floor', what: 'cleaned' }),
      entry(1, { type: 'vessel-cared', vesselId: 'vessel-floor', what: 'sanitised' })
    ]
    expect(foldCellar(cared).vessels.get('vessel-floor')).toMatchObject({ cleanedAt: at(1), sanitisedAt: at(1) })
    const filled = foldCellar([
      ...cared,
      start(),
      entry(2, { type: 'transfer', purpose: 'fill', from: { lotId }, to: { lotId, vesselId: 'vessel-floor' }, outL: 40, inL: 40 })
    ])
    expect(filled.vessels.get('vessel-floor')?.sanitisedAt).toBeUndefined()
    expect(filled.vessels.get('vessel-floor')?.lotId).toBe(lotId)
  })
  it('a measured volume scales what every vessel holds', () => {
    const cellar = foldCellar([
      vessel,
      start(lotId, 40, { vesselId: 'vessel-floor' }),
      entry(3, { type: 'reading', lotId, quantity: 'volume', typed: '36', value: 36 })
    ])
    expect(cellar.vessels.get('vessel-floor')?.litres).toBeCloseTo(36, 9)
  })
})

describe('the life of a lot', () => {
  it.each([
    ['all of it: the lot is over, and its vessel free', 52, 'bottled', 0, undefined],
    ['a dozen of forty litres: the rest stays a wine in its vessel', 12, 'must', 31, lotId]
  ] as const)('%s', (_name, count, stage, litres, inVessel) => {
    const vessel = entry(0, { type: 'vessel-added', vesselId: 'vessel-floor', name: 'Glass', kind: 'demijohn', capacityL: 50 })
    const cellar = foldCellar([
      vessel,
      start(lotId, 40, { vesselId: 'vessel-floor' }),
      entry(90, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count }] })
    ])
    const lot = cellar.lots.get(lotId)!
    expect([standingOf(lot), lot.bottles, cellar.vessels.get('vessel-floor')!.lotId]).toEqual([stage, count, inVessel])
    expect(lot.volume.value).toBeCloseTo(litres, 9)
  })
  it('more bottles than there is wine are refused, within the error of an expected volume', () => {
    const bottles = (count: number) => entry(90, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count }] })
    expect(refusalOf([start()], [bottles(60)]).map((p) => p.code)).toEqual(['more-out-than-in'])
    expect(refusalOf([start()], [bottles(54)])).toEqual([])
    expect(refusalOf([start(lotId, 40, { volumeIs: 'expected' })], [bottles(60)])).toEqual([])
  })
  it('ends in bottles', () => {
    const lot = foldCellar([start(), entry(90, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 52 }] })]).lots.get(lotId)!
    expect([standingOf(lot), lot.bottles]).toEqual(['bottled', 52])
  })
  it('a correction can move an entry in time, and the ledger stays in order', () => {
    const note = entry(5, { type: 'observation', lotId, what: 'note', text: 'late' })
    const moved = entrySchema.parse({
      id: 'floor-correction',
      device: 'test',
      at: at(9),
      written: at(9),
      type: 'correction',
      targetId: note.id,
      reason: 'wrong day',
      replacement: { ...note, at: at(1) }
    })
    const facts = standingFacts([start(), entry(3, { type: 'observation', lotId, what: 'note', text: 'middle' }), note, moved])
    expect(facts.map((f) => f.fact.at)).toEqual([at(0), at(1), at(3)])
  })
  it('a bigger measured alcohol beats the balance, and the balance goes on from it', () => {
    const history = [
      start(),
      entry(0, { type: 'reading', lotId, quantity: 'sg', typed: '1.090', value: 1.09 }),
      entry(9, { type: 'reading', lotId, quantity: 'sg', typed: '0.996', value: 0.996 }),
      entry(10, { type: 'reading', lotId, quantity: 'abv', typed: '12.1', value: 12.1 })
    ]
    expect(foldCellar(history).lots.get(lotId)!.abv).toMatchObject({ value: 12.1, origin: 'measured' })
    const thinned = foldCellar([...history, entry(11, { type: 'addition', lotId, material: 'water', unit: 'L', actual: 10 })]).lots.get(
      lotId
    )!
    expect(thinned.abv!.value).toBeCloseTo(12.1 * 0.8, 2)
  })
})
