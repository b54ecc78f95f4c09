import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { ledgerBefore, DAY } from '../stages/ledger.fixture'
import { type Draft, type Fact, foldCellar, paidPerLitre } from '.'

const [a, b] = ['lot-paid-a', 'lot-paid-b']
const { entry, start } = ledgerBefore(Date.UTC(2026, 10, 26, 12), DAY, a)
const stocked = (ago: number, material: string, amount: number, price?: number): [number, Draft<Fact>] => [
  ago,
  { type: 'supply-stocked', supplyId: `pack-${material}-${ago}`, material, unit: material === 'cork' ? 'pieces' : 'g', amount, price }
]
const went = (ago: number, material: string, actual: number): [number, Draft<Fact>] => [
  ago,
  { type: 'addition', lotId: a, material, unit: 'g', actual }
]
const fruit: [number, Draft<Fact>] = [90, { type: 'cost', lotId: a, what: 'fruit', amount: 60 }]
const folded = (...more: [number, Draft<Fact>][]) => {
  const { lots, problems } = foldCellar([start(100), start(100, { lotId: b }), ...more.map(([ago, draft]) => entry(ago, draft))])
  return { of: (id: string) => lots.get(id)!, problems }
}

describe('what a wine cost', () => {
  it.each<[string, [number, Draft<Fact>][], number, string[]]>([
    ['fruit', [fruit], 60, []],
    ['and a third of a packet', [fruit, stocked(95, 'tartaric', 90, 9), went(50, 'tartaric', 30)], 63, []],
    ['a packet without a price', [fruit, stocked(95, 'tartaric', 90), went(50, 'tartaric', 30)], 60, ['tartaric']],
    ['never stocked', [fruit, went(50, 'tartaric', 30)], 60, ['tartaric']],
    ['out of two packets', [stocked(95, 'tartaric', 20, 4), stocked(80, 'tartaric', 100, 10), went(50, 'tartaric', 30)], 5, []],
    ['more than was written down, at the last price', [stocked(95, 'tartaric', 20, 4), went(50, 'tartaric', 30)], 6, []],
    [
      'corks for its bottles',
      [stocked(95, 'cork', 100, 25), [10, { type: 'bottling', lotId: a, bottles: [{ sizeMl: 750, count: 24 }], closure: 'cork' }]],
      6,
      []
    ]
  ])('%s', (_name, more, money, unpriced) => {
    const { paid } = folded(...more).of(a)
    expect([Number(paid.money.toFixed(6)), [...paid.unpriced]]).toEqual([money, unpriced])
    expect([...paid.of.values()].reduce((sum, n) => sum + n, 0)).toBeCloseTo(money, 6)
  })
  it('goes with the wine: half of it takes half along; lees make the rest dearer; bottles have had their part', () => {
    const move = (ago: number, to: string, outL: number, inL: number): [number, Draft<Fact>] => [
      ago,
      { type: 'transfer', purpose: to === a ? 'rack' : 'blend', from: { lotId: a }, to: { lotId: to }, outL, inL }
    ]
    const half = folded(fruit, move(40, b, 10, 10))
    expect([half.of(a).paid.money, half.of(b).paid.money]).toEqual([30, 30])
    expect(paidPerLitre(half.of(b))).toBeCloseTo(1, 6)
    expect(paidPerLitre(folded(fruit, move(40, a, 20, 16)).of(a))).toBeCloseTo(60 / 16, 6)
    const bottled: [number, Draft<Fact>] = [45, { type: 'bottling', lotId: a, bottles: [{ sizeMl: 1000, count: 15 }] }]
    const rest = folded(fruit, bottled, move(40, b, 5, 5))
    expect([rest.of(a).paid.money, rest.of(b).paid.money].map((n) => n.toFixed(2))).toEqual(['45.00', '15.00'])
    expect(paidPerLitre(rest.of(a))).toBeCloseTo(3, 6)
  })
  it('no money is made or lost by whatever is done with wine', () => {
    fc.assert(
      fc.property(plausibleCellar, fc.array(fc.integer({ min: 1, max: 500 }), { minLength: 3, maxLength: 3 }), (entries, sums) => {
        const starts = entries.filter((e) => e.type === 'lot-started')
        const costs = starts.map((s, i) => ({
          id: `zcost-${i}-aaaa`,
          device: 'test',
          at: s.at,
          written: s.written,
          type: 'cost' as const,
          lotId: s.lotId,
          what: 'fruit' as const,
          amount: sums[i]!
        }))
        const blends = starts.slice(1).map((s, i) => ({
          ...entries.at(-1)!,
          id: `zblend-${i}-aaaa`,
          type: 'transfer' as const,
          purpose: 'blend' as const,
          from: { lotId: s.lotId },
          to: { lotId: starts[0]!.lotId },
          outL: 0.5,
          inL: 0.4
        }))
        const { lots } = foldCellar([...entries, ...costs, ...blends] as typeof entries)
        const total = [...lots.values()].reduce((sum, l) => sum + l.paid.money, 0)
        expect(total).toBeCloseTo(
          costs.reduce((sum, c) => sum + c.amount, 0),
          6
        )
        for (const l of lots.values()) expect(l.paid.money).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 150 }
    )
  })
})
