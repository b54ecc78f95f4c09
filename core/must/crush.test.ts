import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ACID_MOVES, MOVE_SIZES, changeOf, fitAcids, movePath, predictAcids } from '../acids'
import { vesselFit } from '../cellar'
import { brixFromSg, sgFromBrix } from '../hydrometry'
import { firstDose } from '../sulphite'
import { LimitError } from '../units'
import { addSugar, addWater, clockAt, concentrateMakes, enzymeAdvice, kitWater, testFerment, yieldOfArrival } from '.'

describe('what arrives and what it comes to (craft 2 and 3.3, common practice)', () => {
  it.each([
    ['fresh', 'red', 118, 76.7, [70.8, 82.6], 100.3],
    ['fresh', 'white', 100, 60, [55, 65], 60],
    ['frozen', 'red', 40, 28, [26, 30], 40],
    ['frozen', 'white', 40, 40, [36, 38], 40],
    ['kit', 'red', 23, 23, [21.39, 22.31], 23],
    ['test', 'white', 5, 3.25, [3, 3.5], 4.25]
  ] as const)('%s for a %s, %d: juice %d', (stream, style, amount, juice, wine, must) => {
    const found = yieldOfArrival(stream, style, amount)
    expect([found.juice.value, found.wine.low, found.wine.high, found.mustL].map((v) => Number(v.toFixed(3)))).toEqual([
      juice,
      ...wine,
      must
    ])
    expect(found.juice.low).toBeLessThan(juice)
    expect(found.juice.high).toBeGreaterThan(juice)
  })
  it('frozen must is what is in its pails: a red’s juice is juice, a white’s skins are skins', () => {
    // What one's own fruit gave goes before what is usual, for the wine as for the juice.
    const own = yieldOfArrival('fresh', 'red', 100, true, [0.5, 0.585, 0.67])
    expect([own.juice, own.wine.low / yieldOfArrival('fresh', 'red', 100).wine.low]).toEqual(
      [{ value: 58.5, low: 50, high: 67 }, expect.closeTo(0.9, 9)])
    expect(yieldOfArrival('frozen', 'red', 40, false)).toEqual(yieldOfArrival('juice', 'red', 40))
    expect(yieldOfArrival('frozen', 'white', 40, true)).toEqual(yieldOfArrival('frozen', 'red', 40))
  })
  it.each([
    [150, 100, 'cap', 'fits', 125],
    [110, 100, 'cap', 'tight', 125],
    [99, 100, 'cap', 'too-small', 125],
    [300, 100, 'cap', 'roomy', 125],
    [45, 40, 'foam', 'fits', 44.444],
    [41, 40, 'foam', 'tight', 44.444],
    [40, 40, 'none', 'fits', 40]
  ] as const)('a vessel of %d L for %d L with room for the %s: %s', (capacity, litres, room, verdict, needed) => {
    const found = vesselFit(capacity, litres, room)
    expect(found.verdict).toBe(verdict)
    expect(found.neededL).toBeCloseTo(needed, 3)
  })
  it.each([
    ['sound', undefined, 30, 3.994],
    ['sound', 3.71, 40, 5.326],
    ['some-rot', 3.4, 45, 5.991],
    ['poor', 3.5, 60, 7.985],
    ['poor', 3.9, 70, 9.316]
  ] as const)('first sulphite for %s fruit at pH %s: %d mg/L of the expected juice', (health, ph, mgPerL, grams) => {
    // By hand: mg/L × 76.7 L ÷ 1000 ÷ 0.5763 g SO₂ per g.
    const dose = firstDose(76.7, health, 'red', 'potassium-metabisulphite', ph)
    expect(dose.mgPerL).toBe(mgPerL)
    expect(dose.grams).toBeCloseTo(grams, 2)
  })
})

describe('the waits (craft 3.3 and 3.5, common practice)', () => {
  const begun = '2026-10-01T08:00:00.000Z'
  const after = (hours: number) => new Date(Date.parse(begun) + hours * 3_600_000).toISOString()
  it.each([
    ['settle', 18, 'too-soon'],
    ['settle', 24, 'open'],
    ['settle', 73, 'over'],
    ['cold-soak', 95, 'open'],
    ['cold-soak', 97, 'over'],
    ['yeast-after-sulphite', 11.9, 'too-soon'],
    ['yeast-after-sulphite', 12, 'open'],
    ['yeast-after-sulphite', 25, 'over'],
    ['enzyme-after-sulphite', 5, 'too-soon'],
    ['enzyme-after-sulphite', 6, 'open']
  ] as const)('%s after %d h: %s', (kind, hours, phase) => {
    expect(clockAt(kind, begun, after(hours)).phase).toBe(phase)
  })
  it('a clock that began in no instant is refused', () => {
    expect(() => clockAt('settle', 'yesterday', begun)).toThrow(LimitError)
  })
  it('enzyme is kept from sulphite, bentonite, cold and alcohol', () => {
    expect(enzymeAdvice({ volumeL: 40 })).toEqual({ grams: 1.2, findings: [] })
    expect(enzymeAdvice({ volumeL: 40, hoursSinceSulphite: 2, bentonite: true, mustC: 6, fermenting: true }).findings).toEqual([
      { code: 'sulphite-too-near', hoursLeft: 4 },
      { code: 'bentonite-removes-it' },
      { code: 'too-cold', mustC: 6, worksC: 10 },
      { code: 'alcohol-forms' }
    ])
  })
})

describe('water for a kit', () => {
  it('cans of concentrate: three parts of water to one of 68 °Brix are a must of 21 (common practice), and cans add up', () => {
    const four = concentrateMakes(4, 1, 68, sgFromBrix(21))
    expect(four.waterL / four.syrupL).toBeCloseTo(3, 0)
    // Its sugar is still there, by weight: 68 g in 100 g of 1.337 kg/L (ICUMSA), 21 g in 100 g of 1.087.
    expect(four.mustL * 1.0867 * 0.21).toBeCloseTo(4 * 1.337 * 0.68, 1)
    const half = concentrateMakes(0.5, 1, 68, sgFromBrix(21))
    expect(half.mustL * 8).toBeCloseTo(four.mustL, 9)
    // After the first water a hydrometer reads it, and what is wanting is the rest.
    const brix = (4 * 1.337 * 68) / (4 * 1.337 + four.firstL * 0.998)
    const rest = kitWater(four.syrupL + four.firstL, sgFromBrix(brix), sgFromBrix(21), 2)
    expect(rest).toMatchObject({ verdict: 'add', last: true })
    if (rest.verdict === 'add') expect(rest.litres / (four.waterL - four.firstL)).toBeCloseTo(1, 1)
  })
  it('goes in by three quarters first, then all of the rest', () => {
    const first = kitWater(16, 1.122, 1.085, 1)
    expect(first).toMatchObject({ verdict: 'add', last: false })
    if (first.verdict !== 'add') return
    expect(first.stageL / first.litres).toBeCloseTo(0.75, 9)
    expect(kitWater(16 + first.stageL, first.expectSg, 1.085, 2)).toMatchObject({ verdict: 'add', last: true })
  })
  it('poured as it says it ends on target, wherever it starts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 1.1, max: 1.2, noNaN: true }),
        fc.double({ min: 1.07, max: 1.095, noNaN: true }),
        (litres, sg, target) => {
          const one = kitWater(litres, sg, target, 1)
          if (one.verdict !== 'add') return
          const two = kitWater(litres + one.stageL, one.expectSg, target, 2)
          if (two.verdict !== 'add') return
          // Sugar is conserved: Brix × mass before and after.
          const sugar = (l: number, g: number) => l * g * brixFromSg(g)
          const endL = litres + one.stageL + two.stageL
          expect(kitWater(endL, Math.max(0.99, sgFromBrix(brixFromSg(target))), target, 3).verdict).toBe('on-target')
          expect(Math.abs(sugar(endL, target) / sugar(litres, sg) - 1)).toBeLessThan(0.01)
        }
      )
    )
  })
  it('too much water is called too much, with the sugar that would bring it back', () => {
    const over = kitWater(24, 1.079, 1.085, 2, 23)
    expect(over.verdict).toBe('too-thin')
    if (over.verdict !== 'too-thin') return
    expect(over.sugarBackG).toBeCloseTo(addSugar(24, brixFromSg(1.079), brixFromSg(1.085), 'sucrose').grams, 6)
    // 6 of 85 points too few: about 7 % of what stands there should not be.
    expect(over.overWaterL).toBeGreaterThan(1.4)
    expect(over.overWaterL).toBeLessThan(2)
  })
  it('a syrup too strong for any hydrometer is refused, not guessed at', () => {
    expect(() => kitWater(10, 1.3, 1.085, 1)).toThrow(LimitError)
  })
  it('within what a hydrometer can tell is on target', () => {
    for (const sg of [1.083, 1.085, 1.087]) expect(kitWater(23, sg, 1.085, 2).verdict).toBe('on-target')
    expect(kitWater(23, 1.0829, 1.085, 2).verdict).toBe('too-thin')
    // However thin it is and however little there is: more water in it the thinner, all of it at the last, and no jump on the way.
    for (const litres of [0.1, 1, 23]) {
      const over = Array.from({ length: 90 }, (_, i) => kitWater(litres, 1.082 - i * 0.00102, 1.085, 2)).map((w) =>
        w.verdict === 'too-thin' ? w.overWaterL / litres : Number.NaN
      )
      for (const [i, share] of over.entries()) expect(share - (over[i - 1] ?? 0)).toBeGreaterThanOrEqual(-1e-9)
      for (const [i, share] of over.entries()) expect(share - (over[i - 1] ?? share)).toBeLessThan(0.03)
      expect(over.at(-1)).toBeCloseTo(1, 6)
    }
    expect(kitWater(23, 1.0871, 1.085, 2).verdict).toBe('add')
  })
  it('the line on the pail is a hint: it says what the gravity would be there', () => {
    const found = kitWater(16, 1.122, 1.085, 1, 24)
    // 16 L at 1.122 (28.44 °Brix) hold 319 g/L by the table of sucrose, filled to 24 L 213 g/L, which is 1.0817; at 1.085, 222 g/L, 23.0 L.
    expect(found.lineHint?.sgAtLine).toBeCloseTo(1.0816, 3)
    const byGravityL = addWater(16, brixFromSg(1.122), brixFromSg(1.085)).newVolumeL
    expect(24 - found.lineHint!.differenceL).toBeCloseTo(byGravityL, 1)
  })
})

describe('a test ferment', () => {
  it('of 5 kg doses its 3.25 L in its week, the sulphite as a stock solution', () => {
    const test = testFerment(5, 'potassium-metabisulphite')
    expect(test.days.map((d) => [d.day, d.step])).toEqual([
      [0, 'crush-and-sulphite'],
      [1, 'pitch'],
      [2, 'feed'],
      [3, 'punch'],
      [4, 'watch'],
      [6, 'press'],
      [7, 'judge']
    ])
    const [sulphite] = test.days[0]!.additions
    expect(sulphite!.grams).toBeCloseTo((30 * 3.25) / 1000 / 0.57632, 3)
    expect(sulphite!.stockMl).toBeCloseTo(sulphite!.grams * 10, 9)
    expect(test.days[1]!.additions[0]!.grams).toBeCloseTo(0.975, 6)
    expect(() => testFerment(0.5, 'potassium-metabisulphite')).toThrow(LimitError)
  })
})

describe('the map of acids', () => {
  const readings = { ph: 3.71, taGPerL: 5.5 }
  const start = fitAcids(readings).composition
  it.each(ACID_MOVES)('the way of %s starts at the must and ends where the model says', (move) => {
    const way = movePath(start, move, 6)
    expect(way).toHaveLength(7)
    expect(way[0]!.ph).toBeCloseTo(3.71, 3)
    const end = predictAcids(readings, [changeOf(move, MOVE_SIZES[move].max, start)]).after
    expect(way[6]!.ph).toBeCloseTo(end.ph, 6)
    expect(way[6]!.taGPerL).toBeCloseTo(end.taGPerL, 6)
  })
  it.each([
    ['tartaric', -1, 1],
    ['potassium-bicarbonate', 1, -1],
    ['water', 1, -1],
    ['malolactic', 1, -1]
  ] as const)('%s moves pH by %d and TA by %d, as the trade knows it', (move, ph, ta) => {
    const way = movePath(start, move)
    for (let i = 1; i < way.length; i++) {
      expect(Math.sign(way[i]!.taGPerL - way[i - 1]!.taGPerL)).toBe(ta)
      expect((way[i]!.ph - way[i - 1]!.ph) * ph).toBeGreaterThan(-1e-9)
    }
  })
})
