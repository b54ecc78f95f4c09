import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError, normalFrom, seeded } from '../units'
import { NORRIS, NORRIS_CERTIFIED } from './norris.fixture'
import { bandAt, ripening, straightLine } from '.'

describe('a straight line through samples', () => {
  it('gives the certified values of the NIST data set Norris', () => {
    const line = straightLine(NORRIS)
    for (const key of ['slope', 'intercept', 'residualSd'] as const) expect(line[key]).toBeCloseTo(NORRIS_CERTIFIED[key], 10)
  })
  it('needs two days', () => {
    expect(() => straightLine([[1, 2]])).toThrow(LimitError)
    expect(() =>
      straightLine([
        [1, 2],
        [1, 3]
      ])
    ).toThrow(LimitError)
  })
  it('has a band that is narrowest in the middle of the samples and grows both ways', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 18, max: 26, noNaN: true }), { minLength: 3, maxLength: 8 }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (values, step) => {
          const line = straightLine(values.map((y, i) => [i * 3, y] as const))
          const half = (x: number) => bandAt(line, line.meanX + x, 0.4).half
          expect(half(0)).toBeLessThan(half(step))
          expect(half(step)).toBeCloseTo(half(-step), 9)
        }
      )
    )
  })
  it('puts four of five new samples into its band', () => {
    // mulberry32, turned normal by Box and Muller: the same numbers in every run.
    let seed = 7
    const random = () => {
      seed = (seed + 0x6d2b79f5) | 0
      let t = Math.imul(seed ^ (seed >>> 15), 1 | seed)
      t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
      return ((t ^ (t >>> 14)) >>> 0) / 4294967296
    }
    const normal = () => {
      const [u, v] = [random() || 0.5, random()]
      return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v)
    }
    let inside = 0
    for (let trial = 0; trial < 2000; trial++) {
      const line = straightLine(Array.from({ length: 6 }, (_, i) => [i, 20 + i * 0.2 + normal()] as const))
      const { value, half } = bandAt(line, 8, 0)
      if (Math.abs(20 + 8 * 0.2 + normal() - value) <= half) inside++
    }
    expect(inside / 2000).toBeGreaterThan(0.76)
    expect(inside / 2000).toBeLessThan(0.84)
  })
})

describe('how a block ripens', () => {
  const now = '2026-09-09T12:00:00.000Z'
  const day = (n: number) => new Date(Date.parse(now) + n * 86_400_000).toISOString()
  const windows = { brix: { min: 22, max: 25 }, ta: { min: 6, max: 7.5 } }
  const samples = [
    { at: day(-8), brix: 19, ph: 3.42, ta: 9.5 },
    { at: day(-4), brix: 20, ph: 3.5, ta: 8.7 },
    { at: day(0), brix: 21, ph: 3.58, ta: 7.9 }
  ]
  const of = (kind: 'target' | 'limit', quantity: 'brix' | 'ph' | 'ta') =>
    ripening(samples, 'red', windows, now).crossings.find((c) => c.kind === kind && c.quantity === quantity)!

  it.each([
    // By hand: 0.25 °Brix, 0.02 pH and −0.2 g/L a day, slowing over 22, 30 and 16 days: −lasts × ln(1 − straight ÷ lasts).
    ['target', 'brix', 4.42],
    ['limit', 'ph', 13.7],
    ['target', 'ta', 2.14],
    ['limit', 'ta', 14.4]
  ] as const)('the %s of %s comes in %d days', (kind, quantity, days) => {
    expect(of(kind, quantity).day).toBeCloseTo(days, 1)
  })
  it('says how much sooner and later it may be', () => {
    const sugar = of('target', 'brix')
    expect(sugar.earliest!).toBeLessThan(4)
    expect(sugar.latest!).toBeGreaterThan(4)
  })
  it('draws no line through a single sample, and names no day that is weeks away', () => {
    expect(ripening(samples.slice(0, 1), 'red', windows, now)).toEqual({ trends: [], crossings: [] })
    const flat = ripening(
      [
        { at: day(-4), brix: 20 },
        { at: day(0), brix: 20 }
      ],
      'red',
      windows,
      now
    )
    expect(flat.crossings.find((c) => c.kind === 'target')).not.toHaveProperty('day')
  })
})

/** Curves of the literature's kinds, none of them the one that is drawn: what a berry sample would read on a day. */
type Curve = Record<'brix' | 'ph' | 'ta', (t: number) => number>
const CURVES: Record<string, (random: () => number) => Curve> = {
  logistic: (random) => {
    const [top, slow, middle] = [21 + 6.5 * random(), 9 + 7 * random(), 8 + 8 * random()]
    return {
      brix: (t) => 6 + (top - 6) / (1 + Math.exp(-(t - middle) / slow)),
      ph: (t) => 2.85 + 0.95 * (1 - Math.exp(-t / (slow * 3))),
      ta: (t) => 4.5 + 18 * Math.exp(-t / (slow * 1.6))
    }
  },
  'toward a ceiling': (random) => {
    const [top, slow] = [21 + 6.5 * random(), 14 + 12 * random()]
    return {
      brix: (t) => top - (top - 7) * Math.exp(-t / slow), ph: (t) => 2.9 + 0.0145 * t, ta: (t) => 4.5 + 18 * Math.exp(-t / slow)
    }
  },
  straight: (random) => {
    const pace = 0.6 + 0.8 * random()
    return { brix: (t) => 12 + 0.25 * pace * t, ph: (t) => 2.9 + 0.017 * pace * t, ta: (t) => 15 - 0.2 * pace * t }
  }
}
describe.each(Object.entries(CURVES))('a block that ripens otherwise than foretold (%s), with weather and rain', (_name, curve) => {
  it('a new sample after one and two weeks lies in its band about four times in five', () => {
    const held = new Map<string, number[]>()
    const base = Date.parse('2026-09-09T12:00:00.000Z')
    for (let i = 0; i < 300; i++) {
      const random = seeded(i * 31 + 7)
      const z = normalFrom(random)
      const of = curve(random)
      const [now, count, gap] = [28 + 20 * random(), 3 + Math.floor(random() * 3), 3 + Math.floor(random() * 4)]
      const noise = { brix: 0.4, ph: 0.05, ta: 0.4 }
      const weather = { brix: 0.17, ph: 0.013, ta: 0.13 }
      const walks = Object.fromEntries(Object.entries(weather).map(([key, sd]) => {
        let x = 0
        return [key, Array.from({ length: 80 }, () => (x = 0.93 * x + sd * z() - (key === 'brix' && random() < 0.02 ? 0.8 : 0)))]
      })) as Record<keyof typeof noise, number[]>
      const sampled = (key: keyof typeof noise, t: number) => of[key](t) + walks[key][Math.round(t)]! + noise[key] * z()
      const samples = Array.from({ length: count }, (_, k) => {
        const t = now - (count - 1 - k) * gap
        const at = new Date(base + (t - now) * 86_400_000).toISOString()
        return { at, brix: sampled('brix', t), ph: sampled('ph', t), ta: sampled('ta', t) }
      })
      const { trends } = ripening(samples, 'red', { brix: { min: 22, max: 25 }, ta: { min: 6, max: 7.5 } }, new Date(base).toISOString())
      for (const { quantity, ahead } of trends) {
        for (const days of [7, 14]) {
          const off = Math.abs(sampled(quantity, now + days) - ahead[days]!.value)
          const key = `${quantity} ${days}`
          held.set(key, [...(held.get(key) ?? []), off <= ahead[days]!.half ? 1 : 0])
        }
      }
    }
    for (const [key, all] of held) {
      const share = all.reduce((a, b) => a + b, 0) / all.length
      expect(share, key).toBeGreaterThan(0.7)
      expect(share, key).toBeLessThan(0.92)
    }
  })
})
