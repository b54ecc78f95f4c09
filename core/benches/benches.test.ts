import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { type CellarState, foldCellar, lotAt } from '../ledger'
import { BENCHES } from './all'
import type { Bench, BenchContext, BenchValues } from './bench'
import { doubtsOf } from './worth'

type Any = Bench<string, object, unknown>
const ALL = Object.entries(BENCHES).map(([code, bench]) => [code, bench as unknown as Any] as const)
const NOW = '2026-12-01T12:00:00.000Z'
const about = (cellar: CellarState, lotId: string | undefined, more: Partial<BenchContext> = {}): BenchContext => ({
  ...(lotId !== undefined && { lot: lotAt(cellar.lots.get(lotId)!, NOW) }),
  cellar,
  now: NOW,
  owns: { salt: 'potassium-metabisulphite', scaleStepG: 0.1 },
  newId: () => 'lot-new',
  ...more
})
/** As the bench is opened, with what somebody typed over it. */
function opened(bench: Any, context: BenchContext, typed: Record<string, number> = {}) {
  const choices = bench.choices(context)
  const filled = bench.fill(context, choices as BenchValues<string, object>)
  const known = Object.fromEntries(Object.entries(filled).flatMap(([key, is]) => (is ? [[key, is.value]] : [])))
  return { filled, values: { ...choices, ...known, ...typed } as BenchValues<string, object> }
}
/** Where something holds a number that is none. */
function notFinite(x: unknown, path = ''): string[] {
  if (typeof x === 'number') return Number.isFinite(x) ? [] : [path]
  if (typeof x !== 'object' || x === null || x instanceof Map || x instanceof Set) return []
  return Object.entries(x).flatMap(([key, inside]) => notFinite(inside, `${path}.${key}`))
}

describe.each(ALL)('the bench %s', (_, bench) => {
  it('over plausible cellars: is filled with finite numbers, answers in finite numbers, and writes only of its lot', () => {
    fc.assert(
      fc.property(plausibleCellar, fc.double({ min: -50, max: 1200, noNaN: true }), (entries, odd) => {
        const cellar = foldCellar(entries)
        for (const lotId of [undefined, ...cellar.lots.keys()]) {
          const context = about(cellar, lotId)
          const { filled, values } = opened(bench, context)
          expect(notFinite(filled)).toEqual([])
          const answer = bench.answer(values, context)
          expect(notFinite({ ...(answer as object), lot: undefined, must: undefined, waiting: undefined })).toEqual([])
          // Something odd in each field in turn breaks nothing.
          for (const key of Object.keys(filled)) expect(() => bench.answer({ ...values, [key]: odd }, context)).not.toThrow()
          if (!context.lot) continue
          for (const act of ['went-in', 'begin', 'pitch', 'read']) {
            const made = bench.drafts?.(values, answer, { ...context, lot: context.lot, note: '' }, act) ?? []
            if (!Array.isArray(made)) continue
            for (const draft of made) {
              if ('lotId' in draft) expect([lotId, 'lot-new']).toContain(draft.lotId)
            }
          }
        }
      }),
      { numRuns: 15 }
    )
  })
  it('over plausible cellars: what a measurement would settle lies round the figure, and is not said of what was typed', () => {
    fc.assert(
      fc.property(plausibleCellar, (entries) => {
        const cellar = foldCellar(entries)
        for (const lotId of cellar.lots.keys()) {
          const context = about(cellar, lotId)
          const { filled, values } = opened(bench, context)
          const doubts = doubtsOf(bench, values, context, filled, new Set())
          const figure = bench.figure?.(bench.answer(values, context))
          for (const { number, low, high } of doubts) {
            expect(low).toBeLessThanOrEqual(figure!)
            expect(high).toBeGreaterThanOrEqual(figure!)
            const typed = doubtsOf(bench, values, context, filled, new Set([number]))
            expect(typed.map((d) => d.number)).not.toContain(number)
          }
        }
      }),
      { numRuns: 10 }
    )
  })
})

describe('what a measurement would settle', () => {
  const empty = foldCellar([])
  const wine = (half: number) =>
    ({ ph: { value: 3.4, origin: 'estimated', half }, volume: { value: 20, origin: 'measured', half: 0.2 } }) as const
  it('an uncertain pH leaves a wide dose, a good one none worth saying', () => {
    const context = about(empty, undefined)
    const values = { ...BENCHES.sulphite.choices(context), ph: 3.4, volume: 20, free: 0, bound: 33 }
    const at = (half: number) => doubtsOf(BENCHES.sulphite, values, context, wine(half), new Set())
    const [doubt] = at(0.15)
    expect(doubt).toMatchObject({ number: 'ph', estimated: true })
    // By hand: 0.8 × (1 + 10^(pH − 1.81)) at 3.25 and 3.55, ÷ 0.67 × 20 ÷ 1000 ÷ 0.576.
    const grams = (ph: number) => ((0.8 * (1 + 10 ** (ph - 1.81))) / 0.67) * 20 / 1000 / 0.5763
    expect([doubt!.low, doubt!.high]).toEqual([expect.closeTo(grams(3.25), 1), expect.closeTo(grams(3.55), 1)])
    expect(at(0.02)).toEqual([])
  })
  it('nitrogen that nobody measured leaves the nutrient open, from a poor must to a rich one', () => {
    const context = about(empty, undefined)
    const values = { ...BENCHES.yeast.choices(context), sg: 1.095, volume: 50, must: 20, warmest: 30 }
    const [doubt] = doubtsOf(BENCHES.yeast, values, context, {}, new Set())
    expect(doubt).toMatchObject({ number: 'yan', estimated: false, low: 0 })
    expect(doubt!.high).toBeGreaterThan(20)
    expect(doubtsOf(BENCHES.yeast, { ...values, yan: 180 }, context, {}, new Set(['yan']))).toEqual([])
  })
})
