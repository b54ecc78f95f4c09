import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../../tests/cellars/plausible'
import { type Draft, type Fact, type LotView, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { bottlingStage, CONDITIONS, GATES, type Gate, HARD, readinessOf } from '.'

const lotId = 'lot-ready-1'
const { entry, now, read, start } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, lotId)
type More = [ago: number, draft: Draft<Fact>]
const reading = (ago: number, quantity: Parameters<typeof read>[1], value: number): More => [
  ago,
  { type: 'reading', lotId, quantity, typed: String(value), value }
]
const seen = (ago: number, draft: object): More => [ago, { type: 'observation', lotId, text: 'x', ...draft } as Draft<Fact>]
const work = (ago: number, what: string): More => [ago, { type: 'operation', lotId, what } as Draft<Fact>]

/** A dry white, racked, clear, still, stable and sulphited: ready for the bottle; with what is said besides. */
function white(...more: More[]): LotView {
  const all: More[] = [
    reading(199, 'sg', 1.085),
    [198, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5 }],
    reading(170, 'sg', 0.993),
    reading(160, 'sg', 0.993),
    [150, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 20, inL: 19 }],
    reading(30, 'sugar', 0.8),
    reading(20, 'ph', 3.2),
    reading(20, 'ta', 6.8),
    reading(4, 'freeSo2', 36),
    seen(3, { what: 'clarity', clarity: 'bright' }),
    seen(3, { what: 'gas', gas: 'none' }),
    seen(3, { what: 'heat-test', stable: true }),
    seen(3, { what: 'cold-test', stable: true }),
    seen(3, { what: 'smell', smells: ['clean'] }),
    ...more
  ]
  const cellar = foldCellar([
    start(200),
    ...all.map(([ago, draft]) => entry(ago, draft))
  ])
  return lotAt(cellar.lots.get(lotId)!, now)
}
const sorbate: More = [2, { type: 'addition', lotId, material: 'potassium-sorbate', unit: 'g', actual: 4 }]
const sweetened = (ago: number, actual: number): More => [ago, { type: 'addition', lotId, material: 'sugar', unit: 'g', actual }]
const fined = (ago: number): More => [ago, { type: 'addition', lotId, material: 'bentonite', unit: 'g', actual: 12 }]
const rack = (ago: number): More => [ago, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 19, inL: 18 }]
const plan = (draft: object): More => [100, { type: 'lot-planned', lotId, ...draft } as Draft<Fact>]

describe('a wine that is to be sweet, and may get no more sulphite', () => {
  const asked = (hold: 'sorbate' | 'heat', totalSo2: number) =>
    bottlingStage.tasks(
      white(plan({ finish: 'sweet', hold }), reading(1, 'freeSo2', 4), reading(1, 'totalSo2', totalSo2), reading(1, 'ph', 2.95)),
      { equipment: {} } as never, now
    ).find((t) => t.code === 'sweeten')
  it('is sweetened with what it has and heated; by sorbate it is decided on', () => {
    expect(asked('heat', 199)).toMatchObject({ action: { to: 'sweeten' } })
    expect(asked('sorbate', 199)?.waysOut?.map((w) => w.code)).toEqual(['hold-by-heat', 'keep-dry'])
    expect(asked('sorbate', 199)).not.toHaveProperty('action')
    expect(asked('heat', 60)).toBeUndefined()
  })
})

describe('ready for the next step', () => {
  // Mistakes 17 to 25 and 29 of craft 6, each by its number where it has one.
  it.each<[string, Gate, More[], string[]]>([
    ['a sound dry white', 'bottling-still', [], []],
    ['11: clear and still, and it has fallen since', 'bottling-still', [reading(1, 'sg', 0.99)], ['stable-gravity not-met']],
    [
      'it moves between two readings',
      'bottling-still',
      [reading(2.5, 'sg', 1.004), reading(0.2, 'sg', 1.001)],
      ['stable-gravity not-met', 'sweetness-held not-met']
    ],
    [
      '20: malolactic under way',
      'bottling-still',
      [[30, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }]],
      ['malic-settled not-met']
    ],
    [
      '20: malic acid left, and the sulphite that held it off is gone',
      'bottling-still',
      [reading(1, 'freeSo2', 6)],
      ['malic-settled not-met', 'sulphite-for-bottle not-met']
    ],
    [
      'sulphite at its level, without the reserve for the air',
      'bottling-still',
      [reading(1, 'freeSo2', 22)],
      ['sulphite-for-bottle not-met']
    ],
    ['hazy', 'bottling-still', [seen(1, { what: 'clarity', clarity: 'hazy' })], ['clear not-met']],
    ['gas in it', 'bottling-still', [seen(1, { what: 'gas', gas: 'puff' })], ['gas-out not-met']],
    [
      'gas in it, stirred since and not looked at',
      'bottling-still',
      [seen(2, { what: 'gas', gas: 'puff' }), work(1, 'degas')],
      ['gas-out unknown']
    ],
    ['clouded by heat', 'bottling-still', [seen(1, { what: 'heat-test', stable: false })], ['protein not-met']],
    ['fined ten days ago, and on it', 'bottling-still', [fined(10)], ['off-fining not-met']],
    ['fined, and racked since', 'bottling-still', [fined(10), rack(4), seen(3, { what: 'clarity', clarity: 'bright' })], []],
    ['fined, and filtered since', 'bottling-still', [fined(10), work(4, 'filter')], []],
    ['crystals', 'bottling-still', [seen(1, { what: 'cold-test', stable: false })], ['cold not-met']],
    ['smelt of vinegar', 'bottling-still', [seen(1, { what: 'smell', smells: ['vinegar'] })], ['sound not-met']],
    ['22: sweet, with nothing to hold it', 'bottling-still', [reading(1, 'sugar', 22)], ['sweetness-held not-met']],
    ['sweet, held by sorbate with sulphite', 'bottling-still', [reading(1, 'sugar', 22), sorbate], []],
    ['tested dry, and sweetened since', 'bottling-still', [reading(30, 'sugar', 0.6), sweetened(10, 300)], ['sweetness-held not-met']],
    ['never tested, very dry, a little sugar since', 'bottling-still', [sweetened(10, 160)], ['sweetness-held not-met']],
    [
      'sweetened, with a trace of sorbate',
      'bottling-still',
      [sweetened(10, 300), [9, { ...sorbate[1], actual: 0.3 } as Draft<Fact>]],
      ['sweetness-held not-met']
    ],
    ['pasteurised before it was sweetened', 'bottling-still', [work(20, 'pasteurise'), sweetened(10, 300)], ['sweetness-held not-met']],
    ['sweet, pasteurised', 'bottling-still', [reading(2, 'sugar', 22), work(1, 'pasteurise')], []],
    [
      '21: sorbate after malolactic',
      'bottling-still',
      [[90, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }], reading(30, 'malic', 0.05), sorbate],
      ['no-malolactic-with-sorbate not-met']
    ],
    [
      'sweetening after malolactic: sorbate is no way to hold it',
      'sweetening',
      [[90, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }], reading(30, 'malic', 0.05)],
      ['sorbate-may not-met']
    ],
    ['sweetening: sulphite too low', 'sweetening', [reading(1, 'freeSo2', 6)], ['malic-settled not-met', 'sulphite not-met']],
    ['sparkling: too much sulphite for yeast', 'bottling-sparkling', [], ['sulphite-low-enough not-met']],
    [
      '23: sparkling with sorbate in it',
      'bottling-sparkling',
      [sorbate, reading(1, 'freeSo2', 12)],
      ['malic-settled not-met', 'no-sorbate not-met']
    ],
    ['fining: gas holds it up', 'fining', [seen(1, { what: 'gas', gas: 'sigh' })], ['gas-out not-met']],
    ['crystals are accepted by its plan', 'bottling-still', [plan({ cold: false })], []],
    [
      'kept without sulphite, and so with nothing to hold malic acid',
      'bottling-still',
      [plan({ sulphite: 'none' }), reading(1, 'freeSo2', 0)],
      ['malic-settled not-met']
    ]
  ])('%s', (_name, gate, more, open) => {
    const told = readinessOf(white(...more), gate, now)
    expect(told.open.map((c) => `${c.code} ${c.state}`)).toEqual(open)
    expect(told.ready).toBe(open.length === 0)
  })
  it.each([
    ['read dry once, just now', 2, 'not-met moves'],
    ['read dry once, months ago', 84, 'unknown undefined']
  ])('a gravity without a second: %s', (_name, ago, wanted) => {
    const yeast = entry(198, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5 })
    const cellar = foldCellar([start(200), read(199, 'sg', 1.09), yeast, read(ago, 'sg', 0.993)])
    const told = readinessOf(lotAt(cellar.lots.get(lotId)!, now), 'fining', now)
    const gravity = told.conditions.find((c) => c.code === 'stable-gravity')!
    expect([`${gravity.state} ${gravity.because}`, gravity.settle]).toEqual([wanted, { to: 'measure', lotId, what: 'sg' }])
  })
  it('what nobody looked at is not known, and no wine is ready by that', () => {
    const cellar = foldCellar([
      start(200),
      read(170, 'sg', 0.993),
      read(160, 'sg', 0.993)
    ])
    const told = readinessOf(lotAt(cellar.lots.get(lotId)!, now), 'bottling-still', now)
    const unknown = told.conditions.filter((c) => c.state === 'unknown').map((c) => c.code)
    expect(unknown).toEqual(expect.arrayContaining(['clear', 'protein', 'cold', 'sweetness-held', 'sound']))
    // What was never given counts as none.
    const wanting = told.open.filter((c) => c.state === 'not-met').map((c) => c.code)
    expect(wanting).toEqual(expect.arrayContaining(['malic-settled', 'sulphite-for-bottle']))
  })
  it('over plausible cellars: what ferments is ready for nothing, evidence stands in the ledger, and bad news never opens a gate', () => {
    fc.assert(
      fc.property(plausibleCellar, fc.constantFrom(...GATES), (entries, gate) => {
        const cellar = foldCellar(entries)
        const at = entries
          .map((e) => e.at)
          .sort()
          .at(-1)!
        const ids = new Set(entries.map((e) => e.id))
        for (const state of cellar.lots.values()) {
          const lot = lotAt(state, at)
          const told = readinessOf(lot, gate, at)
          if (lot.alcoholic === 'active' || lot.alcoholic === 'none') expect(told.ready).toBe(false)
          for (const c of told.conditions) {
            expect(CONDITIONS).toContain(c.code)
            for (const id of c.evidence) expect(ids).toContain(id)
            // Sulphite before a second ferment is harm, not a way.
            if (gate === 'bottling-sparkling') expect(c.settle?.to).not.toBe('sulphite')
          }
          const worse: LotView = {
            ...lot,
            clarity: { at, is: 'cloudy', entryId: entries[0]!.id },
            heatTest: { at, stable: false, entryId: entries[0]!.id },
            smelt: { at, smells: ['vinegar'], entryId: entries[0]!.id }
          }
          const open = (r: typeof told) => r.open.map((c) => c.code)
          for (const code of open(told)) expect(open(readinessOf(worse, gate, at))).toContain(code)
        }
      }),
      { numRuns: 150 }
    )
  })
  it('what stops hard is asked for by its gate', () => {
    for (const gate of GATES) {
      const asked = readinessOf(white(), gate, now).conditions.map((c) => c.code)
      for (const code of HARD[gate]) expect(asked).toContain(code)
    }
  })
})
