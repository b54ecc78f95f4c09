import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answerDrafts } from '../../findings'
import { type Draft, type Entry, type Fact, type LotView, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { doseFor } from '../sulphite-dose'
import { type Condition, type ConditionCode, GATES, type Gate, readinessOf } from '.'

/** Every open condition leads somewhere, and what is done there gives what the condition wants. */
const lotId = 'lot-ways-1'
const NOW = Date.UTC(2026, 10, 26, 12)
const { now, entry, read, start } = ledgerBefore(NOW, DAY, lotId)
const later = (days: number) => new Date(NOW + days * DAY).toISOString()

/** Those before which nothing helps: the other wine is chosen, or it is known and gone on. */
const FOR_GOOD: readonly ConditionCode[] = ['no-malolactic-with-sorbate']

interface Wild {
  style: 'red' | 'rose' | 'white'
  ph: number
  free: number | undefined
  total: number
  end: number
  agree: boolean
  malolactic: 'none' | 'blocked' | 'after-pressing'
  bacteria: boolean
  sorbate: boolean
  racked: boolean
  clarity: 'hazy' | 'clear' | 'bright' | undefined
  gas: 'none' | 'puff' | undefined
  heat: boolean | undefined
  cold: boolean | undefined
  smell: 'clean' | 'rotten-egg' | undefined
  sparkling: boolean
  ta: boolean
}
const maybe = <T>(...values: T[]) => fc.option(fc.constantFrom(...values), { nil: undefined })
const wild: fc.Arbitrary<Wild> = fc.record({
  style: fc.constantFrom('red', 'rose', 'white'),
  ph: fc.double({ min: 2.9, max: 4.1, noNaN: true }),
  free: fc.option(fc.double({ min: 0, max: 70, noNaN: true }), { nil: undefined }),
  total: fc.double({ min: 10, max: 220, noNaN: true }),
  end: fc.double({ min: 0.989, max: 1.02, noNaN: true }),
  agree: fc.boolean(),
  malolactic: fc.constantFrom('none', 'blocked', 'after-pressing'),
  bacteria: fc.boolean(),
  sorbate: fc.boolean(),
  racked: fc.boolean(),
  clarity: maybe('hazy', 'clear', 'bright'),
  gas: maybe('none', 'puff'),
  heat: maybe(true, false),
  cold: maybe(true, false),
  smell: maybe('clean', 'rotten-egg'),
  sparkling: fc.boolean(),
  ta: fc.boolean()
})

function ledgerOf(w: Wild): Entry[] {
  const seen = (ago: number, draft: object) => entry(ago, { type: 'observation', lotId, text: 'x', ...draft } as Draft<Fact>)
  const put = (ago: number, material: string, actual: number) =>
    entry(ago, { type: 'addition', lotId, material, unit: 'g', actual } as Draft<Fact>)
  return [
    start(200, { style: w.style, onSkins: false }),
    entry(200, { type: 'lot-planned', lotId, malolactic: w.malolactic, sparkling: w.sparkling }),
    read(199, 'sg', 1.088),
    entry(198, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5 }),
    read(150, 'sg', w.end + (w.agree ? 0 : 0.004)),
    read(140, 'sg', w.end),
    ...(w.bacteria ? [entry(138, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' })] : []),
    ...(w.racked ? [entry(120, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 20, inL: 19.4 })] : []),
    ...(w.sorbate ? [put(60, 'potassium-sorbate', 4)] : []),
    read(40, 'ph', w.ph),
    ...(w.ta ? [read(40, 'ta', 6.5)] : []),
    read(6, 'totalSo2', w.total),
    ...(w.free === undefined ? [] : [read(5, 'freeSo2', Math.min(w.free, w.total))]),
    ...(w.clarity ? [seen(4, { what: 'clarity', clarity: w.clarity })] : []),
    ...(w.gas ? [seen(4, { what: 'gas', gas: w.gas })] : []),
    ...(w.heat === undefined ? [] : [seen(4, { what: 'heat-test', stable: w.heat })]),
    ...(w.cold === undefined ? [] : [seen(4, { what: 'cold-test', stable: w.cold })]),
    ...(w.smell ? [seen(4, { what: 'smell', smells: [w.smell] })] : [])
  ].sort((a, b) => (a.at < b.at ? -1 : 1))
}

type Step = [daysOn: number, draft: object]
/** What a person does at the place that a condition points to, as that place proposes it. */
function followed({ code, settle }: Condition, lot: LotView): Step[] {
  const reading = (daysOn: number, quantity: string, value: number): Step =>
    [daysOn, { type: 'reading', quantity, typed: String(value), value }]
  const seen = (daysOn: number, draft: object): Step => [daysOn, { type: 'observation', text: 'x', ...draft }]
  switch (settle!.to) {
    case 'measure':
      return code === 'stable-gravity'
        ? [reading(0.1, 'sg', 0.992), reading(2.3, 'sg', 0.992)]
        : code === 'sweetness-held'
          ? [reading(0.1, 'sugar', 0.6)]
          : [reading(0.1, 'ph', 3.3), reading(0.1, 'ta', 6.5), reading(0.1, 'freeSo2', 3), reading(0.1, 'abv', 11)]
    case 'malolactic':
      return [reading(0.1, 'malic', 0.05)]
    case 'sulphite': {
      const aim = 'aim' in settle! ? settle.aim! : 'level'
      const dose = doseFor(lot, aim)
      // The limit leaves no room: it says so, and asks for nothing.
      if (dose.grams <= 0) return []
      const give = (daysOn: number, actual: number): Step =>
        [daysOn, { type: 'addition', material: 'potassium-metabisulphite', unit: 'g', actual, so2Share: 0.576 }]
      // A large dose goes in by parts, the second when the first has bound.
      const whole = ((dose.aimMgPerL - dose.freeMgPerL) / (1 - lot.boundShare) / 1000 / 0.576) * lot.volume.value
      return dose.inParts ? [give(0.1, dose.grams), give(3, whole - dose.grams)] : [give(0.1, dose.grams)]
    }
    case 'move':
      return [[0.1, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: lot.volume.value,
        inL: lot.volume.value * 0.98 }]]
    case 'racking':
      return [[0.1, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: lot.volume.value,
        inL: lot.volume.value * 0.98 }],
      seen(20, { what: 'clarity', clarity: 'bright' })]
    case 'lot':
      return code === 'gas-out'
        ? [[0.1, { type: 'operation', what: 'degas' }], seen(0.2, { what: 'gas', gas: 'none' })]
        : [seen(0.1, code === 'clear' ? { what: 'clarity', clarity: 'bright' } : { what: 'smell', smells: ['clean'] })]
    case 'stability':
      return [seen(0.1, { what: code === 'protein' ? 'heat-test' : 'cold-test', stable: true })]
    case 'trial':
      return [
        [0.1, { type: 'addition', material: 'bentonite', unit: 'g', actual: lot.volume.value * 0.6 }],
        seen(8, { what: 'heat-test', stable: true })
      ]
    case 'cold':
      return [[0.1, { type: 'operation', what: 'chill' }]]
    case 'sweeten':
      return [
        [0.1, { type: 'addition', material: 'potassium-sorbate', unit: 'g', actual: lot.volume.value * 0.2 }],
        [0.1, { type: 'operation', what: 'pasteurise' }]
      ]
    default:
      return []
  }
}
const done = (ledger: readonly Entry[], steps: readonly Step[]): Entry[] => [
  ...ledger,
  ...steps.map(([daysOn, draft], i) =>
    ({ id: `way-${String(i).padStart(6, '0')}`, device: 't', at: later(daysOn), written: later(daysOn), lotId, ...draft }) as Entry)
]
const viewed = (ledger: readonly Entry[], at = now) => lotAt(foldCellar(ledger, at).lots.get(lotId)!, at)

describe('the way out of each condition', () => {
  it('is there, and gives what the condition wants', () => {
    fc.assert(
      fc.property(wild, fc.constantFrom<Gate>(...GATES), (w, gate) => {
        const ledger = ledgerOf(w)
        const lot = viewed(ledger)
        for (const c of readinessOf(lot, gate, now).open) {
          if (FOR_GOOD.includes(c.code)) continue
          expect(Boolean(c.settle) || (c.waysOut?.length ?? 0) > 0, `${gate}: ${c.code} has a way`).toBe(true)
          if (!c.settle) continue
          const steps = followed(c, lot)
          // Said to be beyond what may go in.
          if (c.settle.to === 'sulphite' && c.because === 'limit') continue
          expect(steps.length, `${gate}: ${c.code} by ${c.settle.to}`).toBeGreaterThan(0)
          const at = later(Math.max(...steps.map(([d]) => d)) + (c.settle.to === 'cold' ? 8 : 0.1))
          const after = readinessOf(viewed(done(ledger, steps), at), gate, at).conditions.find((x) => x.code === c.code)!
          expect(after.state, `${gate}: ${c.code} (${c.because ?? c.state}) by ${c.settle.to}: ${after.because ?? ''}`).toBe('met')
        }
      }),
      { numRuns: 600 }
    )
  })

  it('what is said in its place is never asked the same again at once', () => {
    fc.assert(
      fc.property(wild, fc.constantFrom<Gate>(...GATES), (w, gate) => {
        const ledger = ledgerOf(w)
        for (const c of readinessOf(viewed(ledger), gate, now).open)
          for (const way of c.waysOut ?? []) {
            const drafts = answerDrafts({ key: `condition:${c.code}`, lotId }, way, now)
            if (drafts.length === 0) continue
            const at = later(8)
            const lot = viewed(done(ledger, drafts.map((d) => [0.1, d] as Step)), at)
            // What is to become another wine has another gate.
            const its = lot.plan.sparkling ? gate : gate === 'bottling-sparkling' ? 'bottling-still' : gate
            const after = readinessOf(lot, its, at).conditions.find((x) => x.code === c.code)
            if (way.code === 'wait') continue
            expect([c.state, c.because], `${gate}: ${c.code} by ${way.code}`).not.toEqual([after?.state, after?.because])
          }
      }),
      { numRuns: 600 }
    )
  })
})
