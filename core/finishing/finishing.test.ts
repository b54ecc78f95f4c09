import fc from 'fast-check'
import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { applyChange, fitAcids, solveEquilibrium } from '../acids'
import { sgFromBrix } from '../hydrometry'
import { LimitError } from '../units'
import {
  type BlendSource,
  blindOrder,
  blendTarget,
  bottleMix,
  bottlePressure,
  co2Solubility,
  coldFor,
  coldStability,
  finingTrial,
  minutesFor,
  pasteurisationUnits,
  priming,
  sorbateDose,
  stockFor,
  sweetLadder,
  trialRates
} from '.'

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('pressure in a bottle', () => {
  // Agabaliantz, as told for a wine of 12.5 % vol, g/L under one atmosphere; from memory.
  it.each([
    [0, 2.98],
    [4, 2.55],
    [8, 2.21],
    [10, 2.07],
    [12, 1.93],
    [15, 1.73],
    [20, 1.44],
    [25, 1.21]
  ])('at %d °C a litre takes up %d g', (celsius, grams) => expect(Math.abs(co2Solubility(celsius) / grams - 1)).toBeLessThan(0.02))
  it('24 g/L of sugar make about six bar in a cool cellar, four grams a bar (craft 4.8, common practice)', () => {
    const cellar = { residualSugarGPerL: 0, abv: 11, fermentedAtCelsius: 20, bottleRatedBar: 12 }
    const six = priming({ volumeL: 0.75, targetBar: 6, servedAtCelsius: 10, ...cellar })
    expect(six.sugarGPerL).toBeGreaterThan(21)
    expect(six.sugarGPerL).toBeLessThan(26)
    const cool = { volumeL: 1, servedAtCelsius: 12, ...cellar }
    const [more, less] = [priming({ ...cool, targetBar: 5 }), priming({ ...cool, targetBar: 4 })]
    expect(more.sugarGPerL - less.sugarGPerL).toBeGreaterThan(3.5)
    expect(more.sugarGPerL - less.sugarGPerL).toBeLessThan(4.5)
    expect(six.abvAdded).toBeCloseTo(1.4, 1)
  })
  it('what it is primed to is what stands in the bottle; warmth adds, and sugar that is left counts to the gram', () => {
    const some = fc.record({ targetBar: num(1, 6), residual: num(0, 60), served: num(4, 16), fermented: num(8, 25) })
    fc.assert(
      fc.property(some, ({ targetBar, residual, served, fermented }) => {
        const room = { servedAtCelsius: served, fermentedAtCelsius: fermented, warmestCelsius: 28 }
        // A bottle that holds anything: what is tried is the sugar.
        const asked = { volumeL: 10, targetBar, abv: 11, residualSugarGPerL: 0, bottleRatedBar: 20, ...room }
        const dry = priming(asked)
        const sweet = priming({ ...asked, residualSugarGPerL: residual })
        const at = (p: typeof dry, c: number) => p.barAt.find((b) => b.celsius === c)!.bar
        expect(at(sweet, 28)).toBeGreaterThanOrEqual(at(sweet, 20))
        if (!dry.allowed || !sweet.allowed) return
        if (sweet.sugarGPerL > 0) {
          expect(at(sweet, served)).toBeCloseTo(targetBar, 6)
          // Stoichiometry: C6H12O6 gives 2 CO2, and 342 g of sucrose make 360 g of hexose.
          expect((dry.sugarGPerL - sweet.sugarGPerL) * 0.514).toBeCloseTo(residual * 0.489, 6)
        }
        else if (residual > 0) {
          expect(at(sweet, served)).toBeGreaterThanOrEqual(targetBar - 1e-6)
          expect(sweet.findings.map((f) => f.code)).toContain('sugar-enough')
        }
      })
    )
  })
  it.each([
    ['a bottle for it', { targetBar: 5, bottleRatedBar: 10 }, true, []],
    ['a still bottle', { targetBar: 5 }, false, ['bottle-not-rated']],
    ['a still bottle, said as nought', { targetBar: 3, bottleRatedBar: 0 }, false, ['bottle-not-rated']],
    ['a bottle that is too weak in the warmth', { targetBar: 5, bottleRatedBar: 6 }, false, ['over-rated']],
    [
      'sugar left over in a still bottle',
      { targetBar: 0, residualSugarGPerL: 12 },
      false,
      ['bottle-not-rated', 'sugar-enough', 'still-level']
    ],
    ['a bottle that holds it, if nothing more is in it', { targetBar: 5, bottleRatedBar: 10 }, true, []],
    [
      'the same, of which the sugar is not tested',
      { targetBar: 5, bottleRatedBar: 10, residualSpreadGPerL: 5 },
      false,
      ['over-rated', 'sugar-untested']
    ],
    ['strong already', { targetBar: 5, bottleRatedBar: 12, abv: 14 }, true, ['yeast-unsure']]
  ])('%s', (_name, more, allowed, codes) => {
    const told = priming({ volumeL: 10, abv: 11, residualSugarGPerL: 0, ...more })
    expect([told.allowed, told.findings.map((f) => f.code)]).toEqual([allowed, codes])
    // Nothing is weighed for a bottle that is not made for it.
    expect(told.grams > 0).toBe(allowed)
  })
  it('nothing refused turns allowed by more sugar in it or a weaker bottle', () => {
    fc.assert(
      fc.property(num(0, 8), num(0, 40), num(0, 14), (targetBar, residual, rated) => {
        const asked = { volumeL: 1, targetBar, abv: 11, residualSugarGPerL: residual, bottleRatedBar: rated }
        if (!priming(asked).allowed) {
          expect(priming({ ...asked, residualSugarGPerL: residual + 20 }).allowed).toBe(false)
          expect(priming({ ...asked, bottleRatedBar: Math.max(0, rated - 1) }).allowed).toBe(false)
        }
      })
    )
  })
  it('figures that cannot be are refused', () => {
    expect(() => priming({ volumeL: -1, targetBar: 5, residualSugarGPerL: 0, abv: 11 })).toThrow(LimitError)
    expect(() => priming({ volumeL: 1, targetBar: 5, abv: 11, residualSugarGPerL: -3 })).toThrow(LimitError)
    expect(() => bottlePressure(Number.NaN, 10)).toThrow(LimitError)
  })
})

describe('sorbate', () => {
  const asked = { volumeL: 20, abv: 12, ph: 3.3, freeSo2MgPerL: 35, malolacticDone: false, fermenting: false }
  it.each([
    ['a white with its sulphite', {}, []],
    ['after malolactic', { malolacticDone: true }, ['after-malolactic']],
    ['still fermenting', { fermenting: true }, ['still-fermenting']],
    ['without sulphite', { freeSo2MgPerL: 0 }, ['without-sulphite']],
    // The level of a white at pH 3.3 is 25.5: no titration at home tells 24 from it, and 23 is less.
    ['with as good as its level', { freeSo2MgPerL: 24 }, []],
    ['with less than its level', { freeSo2MgPerL: 23 }, ['without-sulphite']],
    [
      'all three',
      { malolacticDone: true, fermenting: true, freeSo2MgPerL: 0 },
      ['after-malolactic', 'still-fermenting', 'without-sulphite']
    ]
  ])('%s', (_name, more, codes) => {
    const told = sorbateDose({ ...asked, ...more })
    expect(told.findings.map((f) => f.code)).toEqual(codes)
    expect(told.allowed).toBe(codes.length === 0)
    expect(told.grams > 0).toBe(codes.length === 0)
  })
  it('between 100 and the limit of 200 mg/L (OIV), less with more alcohol, more at a higher pH; grams by its molar masses', () => {
    fc.assert(
      fc.property(num(5, 17), num(2.8, 4), (abv, ph) => {
        const told = sorbateDose({ ...asked, abv, ph, freeSo2MgPerL: 200 })
        expect(told.sorbicMgPerL).toBeGreaterThanOrEqual(100)
        expect(told.sorbicMgPerL).toBeLessThanOrEqual(200)
        expect(told.grams).toBeCloseTo((told.sorbicMgPerL * 20 * (150.22 / 112.13)) / 1000, 2)
        expect(sorbateDose({ ...asked, abv: abv + 0.5, ph, freeSo2MgPerL: 200 }).sorbicMgPerL).toBeLessThanOrEqual(told.sorbicMgPerL)
        expect(sorbateDose({ ...asked, abv, ph: ph + 0.1, freeSo2MgPerL: 200 }).sorbicMgPerL).toBeGreaterThanOrEqual(told.sorbicMgPerL)
      })
    )
  })
})

describe('syrup of equal weights', () => {
  it('holds half of its weight in sugar, by the density that the hydrometry has (ICUMSA SPS-4)', () =>
    expect(sweetLadder(100)[2]!.syrupMl).toBeCloseTo(1 / (0.5 * sgFromBrix(50) * 0.9982), 1))
})

describe('pasteurising', () => {
  // A unit is a minute at 60 °C; z = 6.95 °C makes it tenfold (beer literature).
  it.each([
    [60, 1, 1],
    [60, 20, 20],
    [66.95, 1, 10],
    [53.05, 100, 10]
  ])('%d °C for %d min: %d units', (celsius, minutes, units) => expect(pasteurisationUnits(celsius, minutes)).toBeCloseTo(units, 1))
  it('minutes and units are each other’s way back', () => {
    fc.assert(
      fc.property(
        num(45, 80),
        num(1, 500),
        (c, u) => Math.abs(pasteurisationUnits(c, Math.min(600, minutesFor(u, c))) - u) < 1e-6 || minutesFor(u, c) > 600
      )
    )
  })
})

describe('bottles from a volume', () => {
  it.each([
    [
      5,
      [{ ml: 750 }, { ml: 375 }],
      0,
      [
        [750, 6],
        [375, 1]
      ],
      125
    ],
    [22.4, [{ ml: 750 }], 0.4, [[750, 29]], 250],
    [
      3,
      [{ ml: 750, available: 2 }, { ml: 500 }],
      0,
      [
        [750, 2],
        [500, 3]
      ],
      0
    ],
    [0.2, [{ ml: 750 }], 0, [], 200]
  ] as const)('%d L', (volumeL, sizes, lossL, bottles, leftMl) => {
    const mix = bottleMix(volumeL, sizes, lossL)
    expect([mix.bottles.map((b) => [b.ml, b.count]), mix.leftMl]).toEqual([bottles, leftMl])
  })
  it('the same as every way that there is: least left, then fewest bottles', () => {
    const size = fc.record({
      ml: fc.constantFrom(100, 187, 250, 375, 500, 700, 750, 1000, 1500),
      available: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined })
    })
    const sizes = fc.uniqueArray(size, { selector: (s) => s.ml, minLength: 1, maxLength: 3 })
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), sizes, (ml, of) => {
        const best = { left: ml, bottles: 0 }
        const look = (i: number, rest: number, bottles: number): void => {
          if (rest < best.left || (rest === best.left && bottles < best.bottles)) Object.assign(best, { left: rest, bottles })
          if (i === of.length) return
          for (let n = 0; n <= (of[i]!.available ?? 99) && n * of[i]!.ml <= rest; n++) look(i + 1, rest - n * of[i]!.ml, bottles + n)
        }
        look(0, ml, 0)
        const told = bottleMix(
          ml / 1000,
          of.map((s) => ({ ml: s.ml, ...(s.available !== undefined && { available: s.available }) }))
        )
        expect([told.leftMl, told.bottles.reduce((sum, b) => sum + b.count, 0)]).toEqual([best.left, best.bottles])
      }),
      { numRuns: 300 }
    )
  })
  it('never more than there is, in volume or in store, however large', () => {
    const mix = bottleMix(2000, [{ ml: 750, available: 100 }, { ml: 1500 }])
    expect([mix.bottles, mix.leftMl]).toEqual([[{ ml: 1500, count: 1333 }], 500])
    const few = bottleMix(2000, [{ ml: 750 }, { ml: 1500, available: 100 }])
    expect(few.bottles.reduce((sum, b) => sum + b.count * b.ml, few.leftMl)).toBe(2_000_000)
    expect(few.bottles.find((b) => b.ml === 1500)!.count).toBe(100)
    expect(few.leftMl).toBeLessThan(750)
    expect(() => bottleMix(5, [])).toThrow(LimitError)
    expect(() => bottleMix(5, [{ ml: 750 }, { ml: 750 }])).toThrow(LimitError)
  })
})

describe('a bench trial', () => {
  it('rates from none over the least that is usual to the most', () => {
    expect(trialRates({ min: 0.25, max: 1 }, 4)).toEqual([0, 0.25, 0.63, 1])
    expect(trialRates({ min: 0.25, max: 1 }, 2)).toEqual([0, 1])
    expect(() => trialRates({ min: 0.25, max: 1 }, 1)).toThrow(LimitError)
  })
  it('blind: every glass once, the same for the same trial, and not as they were filled for every trial', () => {
    const trials = ['bentonite4lot-a', 'bentonite4lot-b', 'gelatin4lot-a', 'casein5', 'egg-white6', 'oak3']
    for (const name of trials) {
      expect([...blindOrder(6, name)].sort()).toEqual([0, 1, 2, 3, 4, 5])
      expect(blindOrder(6, name)).toEqual(blindOrder(6, name))
    }
    expect(new Set(trials.map((name) => blindOrder(6, name).join())).size).toBeGreaterThan(3)
  })
  it('a ladder of sweetness: 10 g/L in 100 mL is a gram of sugar, 1.6 mL of syrup', () => {
    const ladder = sweetLadder(100)
    expect(ladder.find((g) => g.gPerL === 10)!.syrupMl).toBeCloseTo(1 / 0.615, 6)
    expect(ladder.map((g) => g.gPerL)).toEqual([...ladder.map((g) => g.gPerL)].sort((a, b) => a - b))
  })
  it('millilitres of stock for each glass', () =>
    expect(finingTrial([0, 0.25, 0.5, 1], 50, 100).glasses.map((g) => g.stockMl)).toEqual([0, 0.5, 1, 2]))
  it('a stock so strong that the least glass takes half a millilitre or more', () => {
    fc.assert(
      fc.property(num(0.01, 2), num(20, 500), (rate, glass) => {
        const [least] = finingTrial([rate], stockFor([0, rate], glass), glass).glasses
        expect(least!.stockMl >= 0.5 || stockFor([rate], glass) === 1).toBe(true)
      })
    )
    expect(() => finingTrial([-1], 50, 100)).toThrow(LimitError)
  })
})

describe('cold', () => {
  it.each([
    [12, -5],
    [10, -4],
    [14, -6]
  ])('a wine of %d % vol is kept near %d °C (craft 3.11)', (abv, celsius) => expect(coldFor(abv)).toBe(celsius))
  it('ordinary wines lose 0.3 to 1 g/L of TA; pH falls where it was low and rises where it was high (craft 3.11, 4.5)', () => {
    for (const [ph, ta, abv] of [
      [3.2, 7.5, 12],
      [3.4, 6.8, 12],
      [3.8, 5.6, 13.5]
    ] as const) {
      const told = coldStability({ ph, taGPerL: ta, abv }, -4)
      expect(ta - told.after.taGPerL).toBeGreaterThan(0.2)
      expect(ta - told.after.taGPerL).toBeLessThan(1.1)
      // 188 g of bitartrate take one proton: 75 g of TA as tartaric.
      expect(ta - told.after.taGPerL).toBeCloseTo((told.bitartrateFallsGPerL * 75.04) / 188.18, 1)
      if (ph < 3.5) expect(told.after.ph).toBeLessThan(ph)
      if (ph > 3.75) expect(told.after.ph).toBeGreaterThan(ph)
      expect(told.stableAfterCelsius).toBeLessThan(told.stableAtCelsius)
      expect(told.stableAtCelsius).toBeLessThan(18)
    }
  })
  it('colder takes no less, and where crystals show a tenth of a gram falls beyond what fell at 18 °C', () => {
    fc.assert(
      fc.property(num(3, 3.9), num(5, 9), num(9, 15), num(-5, 12), (ph, taGPerL, abv, celsius) => {
        const at = (c: number) => coldStability({ ph, taGPerL, abv }, c)
        const told = at(celsius)
        expect(at(Math.max(-5, celsius - 3)).bitartrateFallsGPerL).toBeGreaterThanOrEqual(told.bitartrateFallsGPerL - 1e-6)
        if (told.stableAtCelsius < 19.9 && told.stableAtCelsius > -5)
          expect(at(told.stableAtCelsius).bitartrateFallsGPerL - at(18).bitartrateFallsGPerL).toBeCloseTo(0.1, 1)
        // Three weeks of a cold keep it from throwing more at the same cold.
        expect(told.stableAfterCelsius).toBeLessThanOrEqual(Math.max(-4.9, celsius))
      }),
      { numRuns: 40 }
    )
  })
})

const source = (id: string): fc.Arbitrary<BlendSource> =>
  fc.record({ id: fc.constant(id), availableL: num(2, 30), abv: num(10, 15), ph: num(3, 3.9), taGPerL: num(5, 9), sg: num(0.99, 1.01) })

describe('a blend for what is wanted', () => {
  it('by hand: a third of the strong one', () => {
    const found = blendTarget(
      [
        { id: 'a', availableL: 20, abv: 11 },
        { id: 'b', availableL: 20, abv: 14 }
      ],
      { volumeL: 15, abv: 12 }
    )
    expect(found.parts.map((p) => p.litres.toFixed(2))).toEqual(['10.00', '5.00'])
    expect(found.missed).toEqual([])
  })
  it('what cannot come from them is named, and the nearest is told', () => {
    const found = blendTarget(
      [
        { id: 'a', availableL: 20, abv: 11 },
        { id: 'b', availableL: 5, abv: 14 }
      ],
      { volumeL: 20, abv: 13 }
    )
    expect(found.parts.map((p) => p.litres.toFixed(1))).toEqual(['15.0', '5.0'])
    expect(found.missed).toEqual([{ quantity: 'abv', wanted: 13, got: expect.closeTo(11.75, 2) }])
  })
  it('litres add up, none is more than there is, and what any mixture comes to is found', () => {
    const three = fc.tuple(source('a'), source('b'), source('c'))
    fc.assert(
      fc.property(three, fc.tuple(num(0.1, 1), num(0.1, 1), num(0.1, 1)), (sources, weights) => {
        // A mixture that can be is what is wanted: it has to be found, or one that tastes the same.
        const most = Math.min(...sources.map((s, i) => s.availableL / weights[i]!))
        const litres = sources.map((_, i) => weights[i]! * most)
        const volumeL = litres.reduce((a, b) => a + b, 0)
        const mean = (q: 'abv' | 'sg') => sources.reduce((sum, s, i) => sum + s[q]! * litres[i]!, 0) / volumeL
        const found = blendTarget(sources, { volumeL, abv: mean('abv'), sg: mean('sg') })
        expect(found.parts.reduce((sum, p) => sum + p.litres, 0)).toBeCloseTo(volumeL, 6)
        found.parts.forEach((p, i) => expect(p.litres).toBeLessThanOrEqual(sources[i]!.availableL + 1e-6))
        expect(found.missed).toEqual([])
      }),
      { numRuns: 100 }
    )
  })
  it('pH and TA of the mixture as near as the best of a grid of all mixtures, each mixed and solved by itself', () => {
    fc.assert(
      fc.property(fc.tuple(source('a'), source('b'), source('c')), num(3.1, 3.8), num(5.5, 8.5), (sources, ph, taGPerL) => {
        const all = sources.map((s) => ({ ...s, availableL: 10 }))
        const far = (p: { ph: number, taGPerL: number }) => ((p.ph - ph) / 0.02) ** 2 + ((p.taGPerL - taGPerL) / 0.1) ** 2
        const { predicted, parts } = blendTarget(all, { volumeL: 10, ph, taGPerL })
        const fitted = sources.map((s) => fitAcids({ ph: s.ph!, taGPerL: s.taGPerL!, abv: s.abv! }).composition)
        const mixed = (litres: readonly number[]) => {
          const used = litres.flatMap((l, i) => (l > 0.001 ? [{ l, c: fitted[i]! }] : []))
          const [first, ...rest] = used
          let [volume, composition] = [first!.l, first!.c]
          for (const { l, c } of rest) {
            composition = applyChange(composition, { kind: 'blend', with: c, litresPerLitre: l / volume }).composition
            volume += l
          }
          return solveEquilibrium(composition)
        }
        expect(mixed(parts.map((p) => p.litres)).ph).toBeCloseTo(predicted.ph!, 3)
        const found = far({ ph: predicted.ph!, taGPerL: predicted.taGPerL! })
        for (let i = 0; i <= 10; i++)
          for (let k = 0; i + k <= 10; k++) expect(found).toBeLessThanOrEqual(far(mixed([i, k, 10 - i - k])) + 1e-3)
      }),
      { numRuns: 12 }
    )
  })
  it('alcohol that a general linear solver says can be reached, is', async () => {
    const { solve } = await highs()
    fc.assert(
      fc.property(fc.tuple(source('a'), source('b'), source('c'), source('d')), num(10, 15), num(3, 40), (sources, abv, volumeL) => {
        if (sources.reduce((sum, s) => sum + s.availableL, 0) < volumeL) return
        const lp = `Minimize\n obj: t\nSubject To\n sum: ${sources.map((s) => s.id).join(' + ')} = ${volumeL}
 up: ${sources.map((s) => `${s.abv} ${s.id}`).join(' + ')} - t <= ${abv * volumeL}
 down: ${sources.map((s) => `${s.abv} ${s.id}`).join(' + ')} + t >= ${abv * volumeL}
Bounds\n${sources.map((s) => ` 0 <= ${s.id} <= ${s.availableL}`).join('\n')}\nEnd`
        const off = solve(lp).ObjectiveValue / volumeL
        expect(Math.abs(blendTarget(sources, { volumeL, abv }).predicted.abv! - abv)).toBeCloseTo(off, 2)
      }),
      { numRuns: 60 }
    )
  })
  it('less wine than is wanted is refused', () => {
    expect(() =>
      blendTarget(
        [
          { id: 'a', availableL: 2, abv: 11 },
          { id: 'b', availableL: 2, abv: 12 }
        ],
        { volumeL: 5, abv: 11.5 }
      )
    ).toThrow(LimitError)
    expect(() =>
      blendTarget(
        [
          { id: 'a', availableL: 2 },
          { id: 'b', availableL: 2 }
        ],
        { volumeL: 3, ph: 3.5 }
      )
    ).toThrow(LimitError)
  })
})
