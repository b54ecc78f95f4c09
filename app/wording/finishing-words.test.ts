import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { priming, sorbateDose } from '~~/core/finishing'
import { foldCellar, lotAt } from '~~/core/ledger'
import { type Condition, type ConditionCode, CONDITIONS, GATES, HARD, readinessOf, vesselTasksOf } from '~~/core/stages'
import { plausibleCellar } from '../../tests/cellars/plausible'
import { sayPriming, saySorbate } from './finishing'
import { saySwelling, sayVessel } from './findings'
import { CONDITION_SHORT, sayCondition, settleLabel } from './readiness'

const whole = (words: string) => {
  expect(words).toMatch(/^([A-Z]|pH).*[.!?]$/s)
  expect(words).not.toMatch(/undefined|NaN|null|\$\{/)
}

describe('whether a wine is ready, in words', () => {
  it('every condition of every gate has a whole sentence in the state that it is in, and a way where there is one', () => {
    const met = new Set<ConditionCode>()
    fc.assert(
      fc.property(plausibleCellar, fc.constantFrom(0, 40, 400), (entries, days) => {
        const cellar = foldCellar(entries)
        const now = new Date(Math.max(...entries.map((e) => Date.parse(e.at))) + days * 86_400_000).toISOString()
        for (const state of cellar.lots.values()) {
          for (const gate of GATES) {
            for (const c of readinessOf(lotAt(state, now), gate, now).conditions) {
              met.add(c.code)
              whole(sayCondition(c))
              if (c.settle && c.state !== 'met') expect(settleLabel(c), c.code).toBeTruthy()
            }
          }
        }
      }),
      { numRuns: 60 }
    )
    expect([...met].sort()).toEqual([...CONDITIONS].sort())
  })
  it.each<[Condition, RegExp]>([
    [{ code: 'sulphite-for-bottle', state: 'not-met', value: 22, wanted: 33, evidence: [] }, /22 mg\/L.*33/],
    [{ code: 'alcohol-for-yeast', state: 'not-met', value: 13.8, wanted: 12.5, evidence: [] }, /13\.8 % vol; up to 12\.5/],
    [{ code: 'sulphite-low-enough', state: 'not-met', value: 0.82, wanted: 0.5, evidence: [] }, /0\.82 mg\/L molecular; up to 0\.5/],
    [{ code: 'malic-settled', state: 'not-met', because: 'under-way', evidence: [] }, /^Malolactic is under way\.$/],
    [{ code: 'clear', state: 'not-met', because: 'hazy', evidence: [] }, /^Not clear yet: hazy/],
    [{ code: 'stable-gravity', state: 'met', because: 'sweet', evidence: [] }, /sugar left/],
    [{ code: 'sound', state: 'not-met', because: 'vinegar', evidence: [] }, /smelt of vinegar/]
  ])('%j', (condition, words) => expect(sayCondition(condition)).toMatch(words))
  it('what stops hard is never told as if it were met', () => {
    for (const code of new Set(Object.values(HARD).flat())) {
      const said = (state: Condition['state']) => sayCondition({ code, state, evidence: [] })
      expect(said('not-met')).not.toBe(said('met'))
      expect(CONDITION_SHORT[code].length).toBeGreaterThan(3)
    }
  })
})

describe('what the finishing benches say', () => {
  it('of pressure: whole sentences, and a refusal is red', () => {
    const asked = fc.record({
      targetBar: fc.constantFrom(0.5, 2, 4, 6),
      residualSugarGPerL: fc.constantFrom(0, 3, 40),
      residualSpreadGPerL: fc.constantFrom(0, 5),
      abv: fc.constantFrom(9, 14),
      bottleRatedBar: fc.constantFrom(0, 4, 9)
    })
    const codes = new Set<string>()
    fc.assert(
      fc.property(asked, (a) => {
        const told = priming({ volumeL: 10, ...a })
        for (const x of told.findings) {
          codes.add(x.code)
          whole(sayPriming(x).text)
        }
        if (!told.allowed) expect(told.findings.some((x) => sayPriming(x).tone === 'stop')).toBe(true)
      })
    )
    expect(codes.size).toBe(7)
  })
  it('of sorbate: whole sentences, and each stop is red', () => {
    const asked = { volumeL: 10, abv: 9, ph: 3.9, freeSo2MgPerL: 2, malolacticDone: true, fermenting: true }
    const said = sorbateDose(asked).findings.map(saySorbate)
    said.forEach((s) => whole(s.text))
    expect(said.map((s) => s.tone)).toEqual(['stop', 'stop', 'stop', 'ask'])
  })
  it('of empty vessels', () => {
    const now = '2026-11-26T12:00:00.000Z'
    const barrel = {
      id: 'v',
      name: 'Oak',
      kind: 'barrel' as const,
      capacityL: 20,
      litres: 0,
      used: true,
      lastHeld: { name: 'W', until: now }
    }
    const said = [...vesselTasksOf([barrel], now), ...vesselTasksOf([{ ...barrel, cleanedAt: now }], now)].map(sayVessel)
    expect(said.map((s) => s.title)).toEqual(['Wash Oak', 'Sulphur Oak'])
    said.forEach((s) => whole(s.reason))
    whole(saySwelling(true))
    expect(saySwelling(false)).not.toBe(saySwelling(true))
  })
})
