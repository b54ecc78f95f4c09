import { describe, expect, it } from 'vitest'
import { type Draft, type Entry, type Fact, foldCellar, lotAt, planOf } from '../ledger'
import { likely } from '../quantities'
import { courseOfLot, findingsOf, judgeMust, limitsNear, tasksOf } from '.'

describe('a typed reading is doubted before it is believed', () => {
  it.each([
    ['ph', 35, 'refuse', [3.5]],
    ['ph', 3.71, 'fine', undefined],
    ['sg', 1.89, 'refuse', [1.089, 1.098]],
    ['sg', 1.089, 'fine', undefined],
    ['ta', 0.62, 'ask', [6.2]],
    ['ta', 62, 'refuse', [6.2]],
    ['brix', 38, 'ask', [3.8]],
    ['temperature', 55, 'ask', []]
  ] as const)('%s %d: %s', (quantity, value, verdict, suggestions) => {
    const found = likely(quantity, value)
    expect(found.verdict).toBe(verdict)
    if (found.verdict !== 'fine') expect([...found.suggestions].sort()).toEqual([...suggestions!].sort())
  })
})

describe('windows of a must (common practice, no source)', () => {
  it.each([
    ['ph', 3.71, 'red', 'high'],
    ['ph', 3.5, 'red', 'within'],
    ['ta', 5.5, 'red', 'low'],
    ['brix', 24.4, 'red', 'within'],
    ['ph', 3.5, 'white', 'high'],
    ['ta', 8.4, 'white', 'within']
  ] as const)('%s %d for a %s is %s', (q, v, style, verdict) => {
    expect(judgeMust(q, v, style).verdict).toBe(verdict)
  })
})

describe('what comes next', () => {
  it('what went in altogether is held against its limit', () => {
    const lot = (grams: number) =>
      foldCellar([
        start(),
        entry(20, { type: 'addition', lotId, material: 'ammonium-phosphate', unit: 'g', actual: grams })
      ] as Entry[]).lots.get(lotId)!
    expect(limitsNear(lot(20))).toEqual([])
    expect(limitsNear(lot(38))).toMatchObject([{ code: 'material', over: false }])
    expect(limitsNear(lot(44))).toMatchObject([{ code: 'material', over: true, limit: 1 }])
  })
  const at = (hoursAgo: number) => new Date(Date.UTC(2026, 9, 1, 12) - hoursAgo * 3_600_000).toISOString()
  const now = at(0)
  let n = 0
  const entry = (hoursAgo: number, draft: Draft<Fact>) =>
    ({ id: `entry-${++n}`, device: 't', at: at(hoursAgo), written: at(hoursAgo), ...draft }) as Entry
  const lotId = 'lot-0001'
  const start = (stream: 'fresh' | 'kit' = 'fresh') =>
    entry(2000, { type: 'lot-started', lotId, name: 'L', stream, style: 'red', varieties: [], volumeL: 40, volumeIs: 'measured' })
  const read = (hoursAgo: number, quantity: 'sg' | 'ph' | 'ta' | 'freeSo2' | 'malic', value: number) =>
    entry(hoursAgo, { type: 'reading', lotId, quantity, typed: '', value })
  const measured = [start(), read(30, 'sg', 1.1), read(30, 'ph', 3.45), read(30, 'ta', 6.5)]
  const grown = [start(), read(1980, 'sg', 1.1), read(1980, 'ph', 3.45), read(1980, 'ta', 6.5)]
  const none = entry(1990, { type: 'lot-planned', lotId, malolactic: 'none' })
  const bacteria = (hoursAgo: number) => entry(hoursAgo, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' })
  const sulphite = (hoursAgo: number) =>
    entry(hoursAgo, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 3, so2Share: 0.576 })
  const pressed = (hoursAgo: number) =>
    entry(hoursAgo, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId }, outL: 40, inL: 36 })
  const racked = (hoursAgo: number) =>
    entry(hoursAgo, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 40, inL: 38 })
  it.each([
    ['fruit has just come in', [start()], 'sulphite-must', 'now'],
    ['sulphited, nothing measured', [start(), sulphite(1)], 'measure-must', 'now'],
    [
      'measured, and outside its windows',
      [start(), sulphite(1), read(1, 'sg', 1.1), read(1, 'ph', 3.8), read(1, 'ta', 5)],
      'correct-must',
      'now'
    ],
    [
      'measured, TA above its window: malolactic will take it, so nothing is corrected',
      [start(), sulphite(14), read(1, 'sg', 1.1), read(1, 'ph', 3.42), read(1, 'ta', 8)],
      'pitch',
      'now'
    ],
    ['measured', measured, 'sulphite-must', 'now'],
    ['a kit, measured', [start('kit'), read(3, 'sg', 1.08), read(3, 'ph', 3.4)], 'pitch', 'now'],
    ['sulphite 5 hours ago: yeast would not start', [...measured, sulphite(5)], 'wait-for-yeast', 'wait'],
    ['sulphite 14 hours ago', [...measured, sulphite(14)], 'pitch', 'now'],
    [
      'fermenting, read two days ago',
      [start(), read(48, 'sg', 1.1), entry(47, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' })],
      'read-ferment',
      'now'
    ],
    ['dry, free SO₂ low, no malolactic', [...measured, none, read(20, 'sg', 0.995), read(5, 'freeSo2', 12)], 'sulphite-low', 'soon'],
    ['dry by one reading', [...grown, none, read(20, 'sg', 0.995), pressed(15)], 'confirm-dryness', 'wait'],
    ['dry by one reading, three days ago', [...grown, none, read(72, 'sg', 0.995), pressed(60)], 'confirm-dryness', 'soon'],
    ['dry by two readings', [...grown, none, read(72, 'sg', 0.995), pressed(60), read(20, 'sg', 0.995)], 'sulphite-low', 'soon'],
    ['dry on its skins: press it first', [...grown, none, read(72, 'sg', 0.995), read(20, 'sg', 0.995)], 'press', 'soon'],
    [
      'a dry red is to have malolactic: no sulphite is asked for',
      [...grown, read(72, 'sg', 0.993), read(20, 'sg', 0.993), read(5, 'freeSo2', 4)],
      'start-malolactic',
      'soon'
    ],
    ['bacteria have just gone in', [...grown, read(72, 'sg', 0.995), bacteria(30)], 'follow-malolactic', 'wait'],
    [
      'bacteria went in two weeks ago',
      [...grown, read(400, 'sg', 0.995), read(340, 'sg', 0.995), racked(335), bacteria(338), read(330, 'freeSo2', 4)],
      'follow-malolactic',
      'soon'
    ],
    [
      'malic acid is gone: now it is sulphited',
      [...grown, read(900, 'sg', 0.995), racked(850), bacteria(800), read(20, 'malic', 0.06), read(19, 'freeSo2', 4)],
      'sulphite-after-malolactic',
      'soon'
    ],
    [
      'dry, free SO₂ good: off its lees, and looked at in a month',
      [...measured, none, read(20, 'sg', 0.995), read(5, 'freeSo2', 34)],
      'rack-gross-lees',
      'wait'
    ],
    [
      'a task skipped an hour ago stays away for the day',
      [...measured, entry(1, { type: 'task-ended', lotId, task: 'sulphite-must', outcome: 'skipped' })],
      'rest',
      'none'
    ],
    [
      'and comes back tomorrow',
      [...measured, entry(25, { type: 'task-ended', lotId, task: 'sulphite-must', outcome: 'skipped' })],
      'sulphite-must',
      'now'
    ],
    [
      'dry, free SO₂ long ago',
      [...grown, none, read(1900, 'sg', 1.1), read(1200, 'sg', 0.995), read(1000, 'freeSo2', 40), racked(900)],
      'check-sulphite',
      'soon'
    ]
  ] as const)('%s', (_name, entries, code, urgency) => {
    const cellar = foldCellar(entries as readonly Entry[])
    const next = tasksOf(lotAt(cellar.lots.get(lotId)!, now), cellar, now)[0]
    expect(next ?? { code: 'rest', urgency: 'none' }).toMatchObject({ code, urgency })
  })
  const task = (outcome: 'moved' | 'seen' | 'done', hoursAgo: number, more: { until?: string } = {}) =>
    entry(hoursAgo, { type: 'task-ended', lotId, task: 'sulphite-must', outcome, ...more })
  it.each([
    ['done an hour ago: it is not asked again today', task('done', 1), undefined],
    ['done yesterday, and still wanted', task('done', 25), 'sulphite-must'],
    ['moved to tomorrow', task('moved', 30, { until: at(-5) }), undefined],
    ['moved to an hour ago', task('moved', 30, { until: at(1) }), 'sulphite-must'],
    ['seen, and left as it is', task('seen', 900), undefined]
  ] as const)('a task that was %s', (_name, ended, code) => {
    const cellar = foldCellar([...measured, ended])
    expect(tasksOf(lotAt(cellar.lots.get(lotId)!, now), cellar, now)[0]?.code).toBe(code)
  })
  const fermenting = (...more: Entry[]) => [...grown, entry(1970, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }), ...more]
  const finds = (entries: Entry[]) => {
    const cellar = foldCellar(entries)
    const view = lotAt(cellar.lots.get(lotId)!, now)
    return { view, findings: findingsOf(view, cellar, now), task: tasksOf(view, cellar, now)[0]?.code }
  }
  it('no fall over two days with sugar left is stuck, a slow fall and a dry wine are not', () => {
    const stuck = finds(fermenting(read(80, 'sg', 1.03), read(56, 'sg', 1.021), read(3, 'sg', 1.021)))
    expect(stuck.view.alcoholic).toBe('stuck')
    expect(stuck.task).toBe('stuck')
    expect(finds(fermenting(read(56, 'sg', 1.024), read(3, 'sg', 1.021))).view.alcoholic).toBe('active')
    expect(finds(fermenting(read(80, 'sg', 0.995), read(3, 'sg', 0.995))).view.alcoholic).toBe('dry')
  })
  it('what stands outside its window is said before what is as it usually is, which is one line', () => {
    const { findings } = finds([start(), read(30, 'sg', 1.1), read(30, 'ph', 3.8), read(30, 'ta', 6.5)])
    expect(findings).toMatchObject([
      { code: 'judged', judgement: { quantity: 'ph', verdict: 'high' } },
      { code: 'as-usual', judgements: [{ quantity: 'brix' }, { quantity: 'ta' }], evidence: [expect.any(String), expect.any(String)] }
    ])
  })
  it('a wine at 1.002 that nobody looked at for two hundred days is a wine, and is asked about as one', () => {
    const old = finds(fermenting(read(1500, 'sg', 1.002)))
    expect(old.view.standing).toBe('wine')
    expect(old.task).toBe('left-alone')
  })
  it('nine litres of forty bottled: the rest goes on; all of it: only its bottles are tasted', () => {
    const kept = [...grown, none, read(90, 'sg', 0.991), read(20, 'sg', 0.991), read(10, 'freeSo2', 12)]
    expect(finds([...kept, entry(5, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 12 }] })])).toMatchObject({
      task: 'sulphite-low',
      view: { standing: 'wine' }
    })
    expect(finds([...kept, entry(5, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 53 }] })])).toMatchObject({
      task: 'taste-bottle',
      view: { standing: 'bottled' }
    })
    expect(finds([...kept, entry(5, { type: 'lot-amended', lotId, ended: true })])).toMatchObject({
      task: undefined,
      view: { standing: 'empty' }
    })
  })
  it('two sugar readings of a must that differ by a little are asked about; the person can say that it ferments', () => {
    const must = [start(), sulphite(40), read(30, 'sg', 1.1), read(20, 'sg', 1.0935)]
    expect(finds(must)).toMatchObject({ view: { standing: 'must' }, findings: [{ code: 'ferments-by-itself' }, { code: 'as-usual' }] })
    expect(finds([...must, entry(2, { type: 'lot-amended', lotId, alcoholic: 'active' })]).view.standing).toBe('fermenting')
    expect(finds([start(), read(30, 'sg', 1.1), read(20, 'sg', 1.08)]).view.standing).toBe('fermenting')
  })
  it('nothing low is advised for keeping a wine, however low its pH', () => {
    const sharp = finds([
      start(),
      none,
      read(900, 'sg', 1.09),
      read(90, 'sg', 0.995),
      read(20, 'sg', 0.995),
      read(15, 'ph', 2.9),
      read(10, 'freeSo2', 2)
    ])
    expect(sharp.task).toBe('sulphite-low')
  })
})

describe('a lot’s plan', () => {
  const at = '2026-10-01T08:00:00.000Z'
  const lotId = 'lot-plan-1'
  const entry = (id: string, draft: Draft<Fact>): Entry => ({ id, device: 't', at, written: at, ...draft }) as Entry
  const start = (style: 'red' | 'white', stream: 'fresh' | 'kit') =>
    entry('plan-0001', { type: 'lot-started', lotId, name: 'L', stream, style, varieties: [], volumeL: 40, volumeIs: 'measured' })
  const lotOf = (...entries: Entry[]) => foldCellar(entries).lots.get(lotId)!
  it.each([
    ['red', 'fresh', 'after-pressing', true],
    ['white', 'fresh', 'none', true],
    ['red', 'kit', 'none', false]
  ] as const)('%s from %s: malolactic %s', (style, stream, malolactic, cold) => {
    expect(planOf(lotOf(start(style, stream)))).toMatchObject({ malolactic, cold, finish: 'dry', sulphite: 'by-ph' })
  })
  it('the last word on each point counts, and the finder goes by it', () => {
    const planned = lotOf(
      start('red', 'fresh'),
      entry('plan-0002', { type: 'lot-planned', lotId, malolactic: 'none', oak: true }),
      entry('plan-0003', { type: 'lot-planned', lotId, malolactic: 'blocked' })
    )
    expect(planOf(planned)).toMatchObject({ malolactic: 'blocked', oak: true, cold: true })
    expect(courseOfLot(planned)).toMatchObject({ malolactic: false, cold: true })
    expect(courseOfLot(lotOf(start('red', 'fresh')))).toMatchObject({ malolactic: true })
  })
  it('sulphite that goes in while bacteria work is remarked on at once, and not when none are wanted', () => {
    const dose = entry('plan-0009', {
      type: 'addition',
      lotId,
      material: 'potassium-metabisulphite',
      unit: 'g',
      actual: 3,
      so2Share: 0.576
    })
    const bacteria = entry('plan-0005', { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' })
    expect(foldCellar([start('red', 'fresh'), bacteria, dose]).problems.map((p) => p.code)).toEqual(['sulphite-in-malolactic'])
    expect(foldCellar([start('red', 'fresh'), dose]).problems).toEqual([])
  })
})
