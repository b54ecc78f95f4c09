import { describe, expect, it } from 'vitest'
import type { LeesFinding } from '~~/core/yeast'
import { expectedAt } from '~~/core/stages'
import { axisAround } from '~/composables/useChartClothes'
import { sayIn } from './forecast'
import { sayFollowed } from './followed'
import { sayPress } from './press'
import { sayCause, sayRestartFinding, sayRestartStep } from './restart'
import { sayBrought } from './yeast-sources'

const f = {
  temperature: (c: number) => ({ text: String(c), unit: '°C' }),
  volume: (l: number) => ({ text: l.toFixed(1), unit: 'L' }),
  powder: (g: number) => ({ text: g.toFixed(0), unit: 'g' }),
  words: (s: { text: string, unit: string }) => `${s.text} ${s.unit}`,
  material: (key: string) => key
}

describe('an instant that is forecast, as a person says it', () => {
  const startAt = new Date(2026, 9, 1, 8).toISOString()
  it.each([
    [
      'near and narrow: by parts of the day',
      { lowHours: 34, midHours: 37, highHours: 40 },
      20,
      'Fri 2 Oct, in the evening',
      'give or take 3 h'
    ],
    ['at night', { lowHours: 40, midHours: 43, highHours: 46 }, 20, 'Sat 3 Oct, at night', 'give or take 3 h'],
    ['wide: by days', { lowHours: 150, midHours: 180, highHours: 230 }, 100, 'Thu 8 Oct', 'Wed 7 Oct to Sat 10 Oct'],
    ['far off is no evening', { lowHours: 176, midHours: 180, highHours: 183 }, 20, 'Thu 8 Oct', '']
  ])('%s', (_, band, nowH, mid, around) => expect(sayIn(band, nowH, startAt)).toEqual({ mid, band: around }))
})

describe('what is expected now', () => {
  const sg = (mid: number) => ({ low: mid - 0.002, mid, high: mid + 0.003 })
  const known = {
    startAt: '2026-10-01T00:00:00.000Z',
    forecast: {
      expected: [
        { hours: 0, sg: sg(1.09) },
        { hours: 12, sg: sg(1.07) }
      ]
    }
  } as never
  it.each([
    ['2026-10-01T06:00:00.000Z', 1.08],
    ['2026-10-01T09:00:00.000Z', 1.075]
  ])('%s is read between the points', (now, mid) => expect(expectedAt(known, now)!.mid).toBeCloseTo(mid, 9))
  it.each(['2026-09-30T00:00:00.000Z', '2026-10-02T00:00:00.000Z'])('%s is beyond what was forecast', (now) =>
    expect(expectedAt(known, now)).toBeUndefined()
  )
  it('nothing forecast, nothing expected', () => expect(expectedAt(undefined, '2026-10-01T06:00:00.000Z')).toBeUndefined())
})

describe('an axis around its values', () => {
  it.each([
    [
      [1.095, 1.043, 0.995],
      [0.005, 0.01, 0.02, 0.05]
    ],
    [[1.052], [0.005, 0.01, 0.02]],
    [
      [14, 15.5, 14],
      [2, 5, 10]
    ]
  ])('%j are inside, on round steps', (values, steps) => {
    const { min, max, tickAmount } = axisAround(values, steps) as { min: number, max: number, tickAmount: number }
    const [low, high, step] = [Math.min(...values), Math.max(...values), (max - min) / tickAmount]
    expect(min).toBeLessThanOrEqual(low)
    expect(max).toBeGreaterThanOrEqual(high)
    // No further around them than a step: the curve fills its room.
    expect(Math.max(low - min, max - high)).toBeLessThanOrEqual(step + 1e-9)
    expect(steps.some((s) => Math.abs(s - step) < 1e-9)).toBe(true)
    expect(tickAmount).toBeLessThanOrEqual(6)
  })
  it('nothing to draw has no axis', () => expect(axisAround([], [1])).toEqual({}))
})

describe('words of the ferment', () => {
  it.each([
    [sayCause({ code: 'cold', celsius: 13, belowC: 18 }, f), /13 °C, and its yeast needs 18 °C/],
    [sayCause({ code: 'nitrogen', shortMgPerL: 86 }, f), /about 90 mg\/L/],
    [sayCause({ code: 'alcohol', abv: 14.62, toleranceAbv: 14 }, f), /14\.6 % vol, and the card says 14 %/],
    [sayRestartFinding({ code: 'too-strong', abv: 15.2 }), /At 15\.2 % vol a restart seldom works/],
    [sayPress({ code: 'wait-for-gravity', toSg: 1.02 }), /waits for 1\.020 or lower/],
    [sayPress({ code: 'wait-for-days', days: 5.2 }), /6 more days/],
    [sayFollowed({ code: 'gap', hours: 13.7, from: '2026-10-01T00:00:00.000Z' }), /^silent for 14 h$/],
    [sayFollowed({ code: 'nonsense', count: 1 }), /^(1|one) reading that cannot be right$/i]
  ])('%s', (said, words) => expect(said).toMatch(words))
  it('every step of a restart says its amounts', () => {
    const of = { yeastG: 17, waterMl: 340, nutrientG: 21, hullsG: 9, holdC: 22 }
    const step = { atHours: 0, addWineL: 1.7, addWaterL: 0.4, addSugarG: 40, starterL: 3.4 }
    expect(sayRestartStep({ ...step, code: 'rehydrate' } as never, f, of)).toMatch(/17 g .* 21 g .* 340 mL .* 38 °C/)
    expect(sayRestartStep({ ...step, code: 'first-cup' } as never, f, of)).toMatch(/1\.7 L .* 0\.4 L .* 40 g .* 22 °C/)
    expect(sayRestartStep({ ...step, code: 'double' } as never, f, of)).toMatch(/1\.7 L more .* 3\.4 L/)
  })
  it.each<[LeesFinding, RegExp]>([
    [{ code: 'tired', abv: 14.63, weight: 'never' }, /14\.6 % vol/],
    [{ code: 'old', days: 20.4, weight: 'never' }, /^Dry for 20 days/],
    [{ code: 'strong-must', abv: 14.2, weight: 'care' }, /14\.2 % vol/],
    [{ code: 'sulphited', freeMgPerL: 24.6, weight: 'care' }, /25 mg\/L/]
  ])('%j', (finding, words) => expect(sayBrought(finding)).toMatch(words))
})
