import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import {
  type LadleSource,
  type LeesSource,
  type LeesTarget,
  NUTRIENTS,
  PITCH,
  YEASTS,
  chooseYeast,
  judgeWild,
  ladleReuse,
  leesReuse,
  nutrientPlan,
  pitchPlan,
  starterPlan,
  wildStarter
} from '.'

const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('choosing a yeast', () => {
  const wish = { style: 'red' as const, potentialAbv: 14.5, temperatureC: { min: 20, max: 28 }, malolacticWanted: true }
  it('a yeast whose tolerance lies below the potential alcohol is ruled out and says why', () => {
    const found = chooseYeast({ ...wish, potentialAbv: 15.8 })
    for (const c of found.filter((c) => c.card.toleranceAbv < 15.8)) {
      expect(c.fit).toBe('unsuited')
      expect(c.reasons.map((r) => r.code)).toContain('stops-sweet')
    }
    expect(found[0]!.card.toleranceAbv).toBeGreaterThan(15.8)
  })
  it('a cool cellar calls for a yeast that bears it, malolactic for one that allows it', () => {
    expect(
      chooseYeast({ style: 'white', potentialAbv: 12, temperatureC: { min: 12, max: 16 } })[0]!.card.temperatureC.min
    ).toBeLessThanOrEqual(12)
    const white = chooseYeast({ style: 'white', potentialAbv: 12, temperatureC: { min: 13, max: 18 }, malolacticWanted: true })
    expect(white.find((c) => c.card.key === 'cool-white')!.reasons.map((r) => r.code)).toContain('hinders-malolactic')
  })
  it('knows the person’s own cards', () => {
    const own = { ...YEASTS[0]!, key: 'mine', name: 'My packet' }
    expect(chooseYeast(wish, [own]).map((c) => c.card.key)).toEqual(['mine'])
  })
  it('a must of 30 % vol is refused', () => expect(() => chooseYeast({ ...wish, potentialAbv: 30 })).toThrow(LimitError))
})

describe('pitching (craft 3.6: common practice, no source)', () => {
  it('77 L: 19 g of yeast in 190 mL with 24 g of nutrient', () => {
    const plan = pitchPlan(77, 20)
    expect([plan.yeastG, plan.waterMl, plan.rehydrationNutrientG].map(Math.round)).toEqual([19, 193, 24])
  })
  it('no step cools by more than 5 °C, the last stands within 5.5 °C of the must, never above what kills, and heat is conserved', () => {
    fc.assert(
      fc.property(real(1, 300), real(4, 36), (volumeL, mustC) => {
        const { steps, waterMl } = pitchPlan(volumeL, mustC)
        let [ml, heat] = [waterMl, waterMl * PITCH.rehydrateC]
        for (let i = 1; i < steps.length; i++) {
          expect(steps[i - 1]!.celsius - steps[i]!.celsius).toBeLessThanOrEqual(PITCH.stepC + 1e-9)
          expect(steps[i]!.atMin).toBeGreaterThanOrEqual(steps[i - 1]!.atMin)
          if (steps[i]!.what === 'add-must') {
            ml += steps[i]!.ml!
            heat += steps[i]!.ml! * mustC
            expect(heat / ml).toBeCloseTo(steps[i]!.celsius, 6)
          }
        }
        expect(Math.abs(steps.at(-1)!.celsius - mustC)).toBeLessThanOrEqual(PITCH.largestGapC)
        expect(steps[0]!.celsius).toBeLessThan(PITCH.killsC)
      })
    )
  })
  it.each([
    [8, 0.25, 'must-cold'],
    [34, 0.25, 'must-hot'],
    [20, 0.1, 'rate-unusual']
  ] as const)('a must at %d °C with %d g/L is remarked on: %s', (mustC, gPerL, code) => {
    expect(pitchPlan(77, mustC, gPerL).findings.map((f) => f.code)).toContain(code)
  })
  it('no must is refused', () => expect(() => pitchPlan(0, 20)).toThrow(LimitError))
})

describe('a starter shared over lots', () => {
  it('grows at most fourfold a step, ends at a twentieth of the must, and is shared by volume', () => {
    fc.assert(
      fc.property(real(1, 50), fc.array(real(5, 300), { minLength: 1, maxLength: 6 }), (yeastG, lots) => {
        const plan = starterPlan(yeastG, lots)
        const total = lots.reduce((a, b) => a + b, 0)
        plan.steps.forEach((s, i) => i > 0 && expect(s.volumeL).toBeLessThanOrEqual(plan.steps[i - 1]!.volumeL * 4 + 1e-9))
        expect(plan.steps.at(-1)!.volumeL).toBeGreaterThanOrEqual(total * 0.05 - 1e-9)
        expect(plan.shares.reduce((a, s) => a + s.starterL, 0)).toBeCloseTo(plan.steps.at(-1)!.volumeL, 6)
      })
    )
  })
  it('no lots is refused', () => expect(() => starterPlan(5, [])).toThrow(LimitError))
})

describe('nutrient', () => {
  it('ammonium phosphate is 21.2 % nitrogen (stoichiometry)', () => expect(NUTRIENTS[0]!.nitrogenMgPerG).toBeCloseTo(212, 0))
  it('the plan gives what is missing, half and half, and nothing after two thirds', () => {
    fc.assert(
      fc.property(real(18, 26), fc.constantFrom('low', 'medium', 'high'), real(0, 300), (brix, need, yan) => {
        const plan = nutrientPlan(50, brix, need, yan)
        const given = plan.additions.reduce((s, a) => s + a.nitrogenMgPerL, 0)
        const short = plan.findings.filter((f) => f.code === 'limit-reached').at(-1)?.shortMgPerL ?? 0
        expect(given).toBeGreaterThanOrEqual(plan.missingMgPerL - short - 0.01)
        expect(given).toBeLessThanOrEqual(plan.missingMgPerL + 0.01)
        const early = plan.additions.filter((a) => a.when === '24-h-after-pitching').reduce((s, a) => s + a.grams, 0)
        expect(early * 2).toBeCloseTo(
          plan.additions.reduce((s, a) => s + a.grams, 0),
          6
        )
        for (const n of NUTRIENTS)
          expect(plan.additions.filter((a) => a.nutrient === n.key).reduce((s, a) => s + a.gPerL, 0)).toBeLessThanOrEqual(
            n.limitGPerL + 1e-9
          )
      })
    )
  })
  it('worked by hand: 24.4 °Brix is 249 g/L to ferment, medium need 224, 140 there, 84 missing', () => {
    const plan = nutrientPlan(77, 24.4, 'medium', 140)
    expect(plan.needMgPerL).toBeCloseTo((0.244 * 1102.8 - 20) * 0.9, 0)
    expect(plan.missingMgPerL).toBeCloseTo((0.244 * 1102.8 - 20) * 0.9 - 140, 0)
    expect(plan.additions[0]).toMatchObject({ nutrient: 'complex-nutrient', when: '24-h-after-pitching' })
  })
  it('a rich must needs none; an unmeasured one says what was assumed', () => {
    expect(nutrientPlan(50, 20, 'low', 400).findings.map((f) => f.code)).toEqual(['enough'])
    expect(nutrientPlan(50, 22, 'low').findings.map((f) => f.code)).toContain('yan-assumed')
  })
  it.each([
    [0, 22, 100],
    [50, 60, 100],
    [50, 22, -5]
  ])('%d L, %d °Brix, YAN %d is refused', (v, b, y) => expect(() => nutrientPlan(v, b, 'low', y)).toThrow(LimitError))
})

describe('a starter of wild yeast', () => {
  it('is a twentieth of the must', () => expect(wildStarter(80).starterL).toBeCloseTo(4, 9))
  it.each([
    ['works, and smells clean', 1.06, 90, ['bread'], 'ready'],
    ['has hardly begun', 1.085, 60, ['fruit'], 'wait'],
    ['nothing after eight days', 1.088, 192, ['fruit'], 'gave-up'],
    ['nearly dry', 1.005, 120, ['bread'], 'past'],
    ['works, and smells of vinegar', 1.06, 90, ['bread', 'vinegar'], 'throw-away'],
    ['smells of nail varnish before it works', 1.088, 40, ['nail-varnish'], 'throw-away']
  ] as const)('%s', (_, sg, hours, smells, verdict) => expect(judgeWild({ originalSg: 1.09, sg, hours, smells })).toBe(verdict))
})

describe('yeast used again', () => {
  const source: LeesSource = { ended: 'dry', abv: 12, daysDry: 2, style: 'red', smelt: ['clean'] }
  const target: LeesTarget = { mustL: 50, style: 'red', potentialAbv: 12.5, malolacticWanted: true }
  it.each<[string, Partial<LeesSource>, Partial<LeesTarget>, string, string | undefined]>([
    ['a clean red, dry two days ago', {}, {}, 'good', undefined],
    ['one that stuck', { ended: 'stuck' }, {}, 'never', 'stuck'],
    ['one that smelt', { smelt: ['rotten-egg'] }, {}, 'never', 'smelt'],
    ['one that was strong', { abv: 14.6 }, {}, 'never', 'tired'],
    ['weeks after', { daysDry: 20 }, {}, 'never', 'old'],
    ['a red into a white', {}, { style: 'white' }, 'never', 'colour'],
    ['with bacteria into one that is to have none', { bacteria: true }, { malolacticWanted: false }, 'never', 'bacteria-unwanted'],
    ['with bacteria into one that wants them', { bacteria: true }, {}, 'with-care', 'bacteria-come-along'],
    ['into a strong must', {}, { potentialAbv: 14.2 }, 'with-care', 'strong-must'],
    ['sulphited', { freeSo2MgPerL: 25 }, {}, 'with-care', 'sulphited']
  ])('%s', (_, s, t, verdict, code) => {
    const found = leesReuse({ ...source, ...s }, { ...target, ...t })
    expect(found.verdict).toBe(verdict)
    expect(found.findings.map((f) => f.code)).toEqual(code ? [code] : [])
  })
  it.each<[string, Partial<LadleSource>, Partial<LeesTarget>, string, string | undefined]>([
    ['a red in the middle of its ferment', {}, {}, 'good', undefined],
    ['one that has only begun', { sg: 1.084 }, {}, 'with-care', 'too-early'],
    ['one that is nearly dry', { sg: 1.004 }, {}, 'with-care', 'too-late'],
    ['one that nobody read', { originalSg: undefined as never }, {}, 'with-care', 'unread'],
    ['one that smells', { smelt: ['vinegar'] }, {}, 'never', 'smelt'],
    ['a red into a white', {}, { style: 'white' }, 'never', 'colour'],
    ['a cup of it for a barrel', { heldL: 1 }, { mustL: 225 }, 'with-care', 'too-little']
  ])('working must: %s', (_, s, t, verdict, code) => {
    const found = ladleReuse({ style: 'red', originalSg: 1.09, sg: 1.045, abv: 6, heldL: 60, smelt: ['bread'], ...s }, { ...target, ...t })
    expect(found.verdict).toBe(verdict)
    expect(found.findings.map((f) => f.code)).toEqual(code ? [code] : [])
    // A twentieth at 6 % vol: 0.05 ÷ 1.05 of it.
    expect(found.bringsAbv).toBeCloseTo(0.286, 3)
  })
  it('a hundredth to a fiftieth of the must, and hardly any alcohol along', () => {
    const { litres, bringsAbv } = leesReuse(source, target)
    expect(litres).toEqual({ min: 0.5, max: 1 })
    expect(bringsAbv).toBeLessThan(0.25)
  })
})
