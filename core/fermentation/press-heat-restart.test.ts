import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { heatBalance, learnLoss, pressDay, stopCauses, stuckRestart, targetBand, usualLoss } from '.'

describe('heat of a ferment', () => {
  it('agrees with the literature: a must of 220 g/L would warm by about 30 °C if no heat left it (Ribéreau-Gayon et al., 1.3 °C for 10 '
    + 'g/L; from memory)', () => {
    // 220 g/L over one day in one litre, no walls: W back to kJ, over 4 kJ/(L·K).
    const { madeW } = heatBalance({ volumeL: 1, sugarGPerLDay: 150, celsius: 25, targetC: 25, roomC: 25 })
    const perTenGrams = (madeW * 86.4) / 15 / 4
    expect(perTenGrams).toBeGreaterThan(1.2)
    expect(perTenGrams).toBeLessThan(1.5)
  })
  it('the ice takes up what the yeast makes over what the walls lose, by hand', () => {
    // 100 L × 40 g × 0.55 kJ = 2200 kJ a day, 25.5 W; walls 5 W/K × 4 K = 20 W;
    // 5.5 W × 86.4 = 472 kJ; a litre takes 334 + 37.8 + 4.18 × 17 = 443 kJ.
    const b = heatBalance({ volumeL: 100, sugarGPerLDay: 40, celsius: 24, targetC: 22, roomC: 18, lossWPerK: 5 })
    expect(b.madeW).toBeCloseTo(25.5, 1)
    expect(b.iceLPerDay).toBeCloseTo(1.07, 1)
    // 2 °C × 100 L × 4 kJ = 800 kJ.
    expect(b.iceLToBring).toBeCloseTo(1.81, 1)
    expect(b.heaterW).toBe(0)
  })
  it('wants ice or warmth, never both, and leaves it where neither is wanted', () => {
    const any = fc.record({
      volumeL: fc.double({ min: 1, max: 2000, noNaN: true }),
      sugarGPerLDay: fc.double({ min: 0, max: 120, noNaN: true }),
      celsius: fc.double({ min: 5, max: 38, noNaN: true }),
      targetC: fc.double({ min: 8, max: 32, noNaN: true }),
      roomC: fc.double({ min: 0, max: 35, noNaN: true })
    })
    fc.assert(
      fc.property(any, (asked) => {
        const b = heatBalance(asked)
        expect(Math.min(b.iceLPerDay, b.heaterW)).toBe(0)
        const more = heatBalance({ ...asked, sugarGPerLDay: Math.min(150, asked.sugarGPerLDay + 1) })
        expect(more.iceLPerDay).toBeGreaterThanOrEqual(b.iceLPerDay)
        expect(more.iceLPerDay - b.iceLPerDay).toBeLessThan(0.002 * asked.volumeL + 0.01)
      }),
      { numRuns: 500 }
    )
  })
  it('walls are learnt from a vessel’s own temperatures: simulated with 3 W/K it comes out near 3, with nothing seen at the usual', () => {
    const [volumeL, truth, room] = [60, 3, 15]
    let [celsius, sugar] = [20, 220]
    const looks: { hours: number, celsius: number }[] = []
    const left: number[] = []
    for (let h = 0; h <= 200; h++) {
      left.push(sugar)
      if (h % 12 === 0) looks.push({ hours: h, celsius })
      const taken = h < 24 ? 0.3 : Math.min(sugar, 1.6)
      sugar -= taken
      celsius += (taken * volumeL * 0.55 - truth * (celsius - room) * 3.6) / (4 * volumeL)
    }
    expect(learnLoss(looks, (h) => left[Math.min(200, Math.round(h))]!, room, volumeL)).toBeGreaterThan(2.3)
    expect(learnLoss(looks, (h) => left[Math.min(200, Math.round(h))]!, room, volumeL)).toBeLessThan(3.6)
    expect(learnLoss([], () => 0, room, volumeL)).toBeCloseTo(usualLoss(volumeL), 6)
  })
})

describe('press day', () => {
  it.each([
    ['at-dryness', 1.012, 8, undefined, false, 'wait-for-gravity'],
    ['at-dryness', 0.996, 9, undefined, true, 'press-now'],
    ['at-dryness', 0.996, 4, undefined, false, 'wait-for-days'],
    ['early', 1.012, 6, undefined, true, 'still-fermenting'],
    ['early', 1.04, 6, undefined, false, 'wait-for-gravity'],
    ['extended', 0.994, 12, undefined, false, 'wait-for-days'],
    ['extended', 0.994, 25, undefined, true, 'press-now'],
    ['at-dryness', 1.012, 8, 'harsh', true, 'press-now'],
    ['extended', 0.994, 40, undefined, true, 'skins-long']
  ] as const)('%s at %d after %d days, %s: %s, %s', (method, sg, daysOnSkins, tannin, ready, code) => {
    const day = pressDay({ mustL: 100, method, sg, daysOnSkins, ...(tannin && { tannin }) })
    expect(day.ready).toBe(ready)
    expect(day.findings.map((f) => f.code)).toContain(code)
  })
  it('free run and press wine are the wine, whatever the must; little of it stays together', () => {
    const day = pressDay({ mustL: 100, method: 'at-dryness', sg: 0.995, daysOnSkins: 9 })
    expect(day.freeRunL.mid + day.pressL.mid).toBeCloseTo(day.wineL.mid, 9)
    // Two thirds to three quarters of the must (craft 3.3).
    expect(day.wineL.mid).toBeGreaterThan(65)
    expect(day.findings).toContainEqual({ code: 'apart' })
    expect(pressDay({ wineL: 12, method: 'at-dryness', sg: 0.995, daysOnSkins: 9 }).findings).toContainEqual({ code: 'together' })
  })
})

describe('a restart', () => {
  it('the wine is all used, once, and the starter at most doubles', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 5000, noNaN: true }), (volumeL) => {
        const { steps } = stuckRestart({ volumeL, sg: 1.015, abv: 12 })
        expect(steps.reduce((sum, s) => sum + s.addWineL, 0)).toBeCloseTo(volumeL, 6)
        for (const s of steps.filter((x) => x.code === 'double')) expect(s.addWineL).toBeLessThanOrEqual(s.starterL / 2 + 1e-9)
        expect([...steps].sort((a, b) => a.atHours - b.atHours)).toEqual(steps)
      }),
      { numRuns: 200 }
    )
  })
  it.each([
    [{ celsius: 9 }, 'cold'],
    [{ celsius: 22, hottestC: 37 }, 'heat'],
    [{ nitrogenShortMgPerL: 90 }, 'nitrogen'],
    [{ toleranceAbv: 13, abv: 13.2 }, 'alcohol'],
    [{ freeSo2MgPerL: 40 }, 'sulphite'],
    [{}, 'unknown']
  ] as const)('%j: %s', (more, code) => {
    expect(stopCauses({ volumeL: 40, sg: 1.02, abv: 11, ...more })[0]!.code).toBe(code)
  })
  it('says when it is not worth it', () => {
    expect(stuckRestart({ volumeL: 40, sg: 1.01, abv: 15.8 }).findings.map((f) => f.code)).toContain('too-strong')
    expect(stuckRestart({ volumeL: 40, sg: 0.994, abv: 13 }).findings.map((f) => f.code)).toContain('nothing-to-restart')
  })
})

describe('the band to ferment in', () => {
  it.each([
    ['red', undefined, 20, 30],
    ['white', { min: 13, max: 24 }, 13, 18],
    ['white', { min: 20, max: 34 }, 20, 23],
    ['red', { min: 10, max: 18 }, 15, 18]
  ] as const)('%s with %j: %d to %d', (style, yeast, min, max) => expect(targetBand(style, yeast)).toEqual({ min, max }))
})
