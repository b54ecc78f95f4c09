import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Stock, WayStepCode } from '../ledger'
import type { WayStep } from '../way'
import { type Need, type NeedReason, runsOutOf, supplyRows } from '.'

const NOW = '2026-11-25T12:00:00.000Z'
const inDays = (days: number) => new Date(Date.parse(NOW) + days * 86_400_000).toISOString()
const need = (of: string, reason: NeedReason, amount: number, material = 'potassium-metabisulphite'): Need =>
  ({ of, name: of, material, unit: 'g', amount, reason, basis: 'readings' })
const step = (code: WayStepCode, days: number, done = false): WayStep => {
  const at = inDays(days)
  return { code, earliest: at, likely: at, latest: at, open: [], ...(done && { doneAt: at }) }
}
const inStore = (left: number, material = 'potassium-metabisulphite'): Map<string, Stock> =>
  new Map([[material, { material, unit: 'g', unaccounted: 0, packages: [{ id: 'package-1', amount: left, left, stockedAt: NOW }] }]])

describe('what is in store runs out', () => {
  const ways = new Map([
    ['red', [step('pitched', -40, true), step('sulphited', 30)]],
    ['white', [step('pitched', -60, true), step('sulphited', 9)]],
    ['new', [step('pitched', 2), step('sulphited', 50)]]
  ])
  const arrivals = new Map([['fruit', inDays(5).slice(0, 10)]])
  const needs = [need('red', 'later-sulphite', 4), need('white', 'later-sulphite', 3), need('new', 'first-sulphite', 2)]
  it.each<[string, number, readonly Need[], [of: string, days: number, short: number][]]>([
    ['enough for all', 9, needs, []],
    ['the last in time finds too little', 8, needs, [['red', 30, 1]]],
    ['the second', 4, needs, [['white', 9, 1]]],
    ['the first', 1, needs, [['new', 2, 1]]],
    ['what is done already is needed now', 1, [need('red', 'yeast', 3), ...needs], [['red', 0, 2]]],
    ['fruit to come, on its day', 3, [need('fruit', 'first-sulphite', 2), needs[2]!], [['fruit', 4.5, 1]]],
    ['and after its ferment', 3, [need('fruit', 'later-sulphite', 2), need('red', 'later-sulphite', 2)], [['fruit', 64.5, 1]]]
  ])('%s', (_, grams, wanted, found) => {
    const out = runsOutOf(supplyRows(wanted, inStore(grams), NOW), ways, arrivals, NOW)
    expect(out.map((r) => [r.of, (Date.parse(r.at) - Date.parse(NOW)) / 86_400_000, r.short])).toEqual(found)
  })
  it('is told of each material that is short, once, never before now, and never of more than is short in all', () => {
    const one = fc.record({
      of: fc.constantFrom('red', 'white', 'new', 'fruit', 'nobody'),
      amount: fc.double({ min: 0.01, max: 50, noNaN: true }),
      reason: fc.constantFrom<NeedReason>('yeast', 'later-sulphite', 'acid'),
      material: fc.constantFrom('a-powder', 'b-powder')
    })
    const some = fc.array(one, { maxLength: 12 })
    fc.assert(fc.property(some, fc.double({ min: 0, max: 200, noNaN: true }), (wanted, left) => {
      const rows = supplyRows(wanted.map((w) => need(w.of, w.reason, w.amount, w.material)), inStore(left, 'a-powder'), NOW)
      const out = runsOutOf(rows, ways, arrivals, NOW)
      const shorts = rows.filter((r) => r.short > 1e-6).map((r) => r.material).sort()
      expect(out.filter((r) => r.short > 1e-6).map((r) => r.material).sort()).toEqual(shorts)
      for (const r of out) {
        expect(r.at >= NOW).toBe(true)
        expect(r.short).toBeLessThanOrEqual(rows.find((row) => row.material === r.material)!.short + 1e-6)
      }
      expect(out.map((r) => r.at)).toEqual(out.map((r) => r.at).toSorted())
    }))
  })
})
