import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, foldCellar } from '../ledger'
import { judgeMust, likely, limitsNear, nextMove } from '.'

describe('a typed reading is doubted before it is believed', () => {
  it.each([
    ['ph', 35, 'refuse', [3.5]], ['ph', 3.71, 'fine', undefined], ['sg', 1.89, 'refuse', [1.089, 1.098]], ['sg', 1.089, 'fine', undefined],
    ['ta', 0.62, 'ask', [6.2]], ['ta', 62, 'refuse', [6.2]], ['brix', 38, 'ask', [3.8]], ['temperature', 55, 'ask', []]
  ] as const)('%s %d: %s', (quantity, value, verdict, suggestions) => {
    const found = likely(quantity, value)
    expect(found.verdict).toBe(verdict)
    if (found.verdict !== 'fine') expect([...found.suggestions].sort()).toEqual([...suggestions!].sort())
  })
})

describe('windows of a must (common practice, no source)', () => {
  it.each([['ph', 3.71, 'red', 'high'], ['ph', 3.5, 'red', 'within'], ['ta', 5.5, 'red', 'low'], ['brix', 24.4, 'red', 'within'], ['ph', 3.5, 'white', 'high'], ['ta', 8.4, 'white', 'within']] as const)('%s %d for a %s is %s', (q, v, style, verdict) => {
    expect(judgeMust(q, v, style).verdict).toBe(verdict)
  })
})

describe('what comes next', () => {
  it('what went in altogether is held against its limit', () => {
    const lot = (grams: number) => foldCellar([start(), entry(20, { type: 'addition', lotId, material: 'ammonium-phosphate', unit: 'g', actual: grams })] as Entry[]).lots.get(lotId)!
    expect(limitsNear(lot(20))).toEqual([])
    expect(limitsNear(lot(38))).toMatchObject([{ code: 'nutrient', over: false }])
    expect(limitsNear(lot(44))).toMatchObject([{ code: 'nutrient', over: true, limit: 1 }])
  })
  const at = (hoursAgo: number) => new Date(Date.UTC(2026, 9, 1, 12) - hoursAgo * 3_600_000).toISOString()
  const now = at(0)
  let n = 0
  const entry = (hoursAgo: number, draft: Draft<Fact>) => ({ id: `entry-${++n}`, device: 't', at: at(hoursAgo), written: at(hoursAgo), ...draft }) as Entry
  const lotId = 'lot-0001'
  const start = (stream: 'fresh' | 'kit' = 'fresh') => entry(2000, { type: 'lot-started', lotId, name: 'L', stream, style: 'red', varieties: [], volumeL: 40, volumeIs: 'measured' })
  const read = (hoursAgo: number, quantity: 'sg' | 'ph' | 'ta' | 'freeSo2', value: number) => entry(hoursAgo, { type: 'reading', lotId, quantity, typed: '', value })
  const measured = [start(), read(30, 'sg', 1.1), read(30, 'ph', 3.6), read(30, 'ta', 6)]
  const sulphite = (hoursAgo: number) => entry(hoursAgo, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 3, so2Share: 0.576 })
  it.each([
    ['fruit has just come in', [start()], 'sulphite-must', 'now'],
    ['sulphited, nothing measured', [start(), sulphite(1)], 'measure-must', 'now'],
    ['measured, and outside its windows', [start(), sulphite(1), read(1, 'sg', 1.1), read(1, 'ph', 3.8), read(1, 'ta', 5)], 'correct-must', 'now'],
    ['measured', measured, 'sulphite-must', 'now'],
    ['a kit, measured', [start('kit'), read(3, 'sg', 1.08), read(3, 'ph', 3.4)], 'pitch', 'now'],
    ['sulphite 5 hours ago: yeast would not start', [...measured, sulphite(5)], 'wait-for-yeast', 'wait'],
    ['sulphite 14 hours ago', [...measured, sulphite(14)], 'pitch', 'now'],
    ['fermenting, read two days ago', [...measured, read(48, 'sg', 1.1), entry(47, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' })], 'read-ferment', 'now'],
    ['dry, free SO₂ low', [...measured, read(20, 'sg', 0.995), read(5, 'freeSo2', 12)], 'sulphite-low', 'soon'],
    ['dry, free SO₂ good', [...measured, read(20, 'sg', 0.995), read(5, 'freeSo2', 34)], 'rest', 'none'],
    ['a task skipped an hour ago stays away for the day', [...measured, entry(1, { type: 'task-ended', lotId, task: 'sulphite-must', outcome: 'skipped' })], 'rest', 'none'],
    ['and comes back tomorrow', [...measured, entry(25, { type: 'task-ended', lotId, task: 'sulphite-must', outcome: 'skipped' })], 'sulphite-must', 'now'],
    ['dry, free SO₂ long ago', [...measured, read(1900, 'sg', 1.1), read(1200, 'sg', 0.995), read(1000, 'freeSo2', 40)], 'check-sulphite', 'soon']
  ] as const)('%s', (_name, entries, code, urgency) => {
    expect(nextMove(foldCellar(entries as readonly Entry[]).lots.get(lotId)!, now)).toMatchObject({ code, urgency })
  })
})
