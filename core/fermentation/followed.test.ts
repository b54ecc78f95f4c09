import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { floatReadings } from '../../server/instruments/float'
import { type SentReading, followReadings, windowAfter } from './followed'

const START = '2026-10-10T08:00:00.000Z'
const plus = (hours: number) => new Date(Date.parse(START) + hours * 3_600_000).toISOString()
const asked = { seed: 7, startAt: START, from: START, to: plus(24 * 9), originalSg: 1.095, celsius: 24 }
const sent = floatReadings(asked)

describe('a simulated float', () => {
  it('is the same for the same seed and time, whenever and in whatever pieces it is asked', () => {
    const halves = [...floatReadings({ ...asked, to: plus(50) }), ...floatReadings({ ...asked, from: plus(50.01) })]
    expect(halves).toEqual(sent)
    expect(floatReadings({ ...asked, seed: 8 })).not.toEqual(sent)
  })
  it('has gaps, nonsense and doubles, as such things have', () => {
    expect(sent.length).toBeGreaterThan(400)
    expect(sent.length).toBeLessThan(24 * 9 * 4)
    const { findings } = followReadings(sent, START, asked.to)
    expect(findings.map((f) => f.code)).toEqual(expect.arrayContaining(['nonsense', 'twice', 'gap']))
  })
})

describe('what is followed is kept thinned', () => {
  const clean = followReadings(sent, START, asked.to)
  it('four a day or fewer, falling as a ferment does', () => {
    expect(clean.kept.length).toBeLessThanOrEqual(4 * 9 + 1)
    expect(clean.kept.length).toBeGreaterThan(20)
    const sg = clean.kept.flatMap((k) => k.sg ?? [])
    for (let i = 1; i < sg.length; i++) expect(sg[i]! - sg[i - 1]!).toBeLessThan(0.0025)
    expect(sg[0]! - sg.at(-1)!).toBeGreaterThan(0.06)
  })
  it('garbage, duplicates, another order and two-year gaps change nothing but a finding', () => {
    const garbage: fc.Arbitrary<SentReading> = fc.oneof(
      fc.constantFrom<SentReading>(
        { at: null },
        { at: 'yesterday', sg: 1.05 },
        { at: plus(30), sg: 99 },
        { at: plus(31), sg: null, celsius: -127 },
        { at: plus(24 * 700), sg: 1.01 },
        { at: plus(-24 * 700), sg: 1.01 },
        { at: plus(33), sg: Number.NaN },
        undefined as never,
        { at: 12, sg: 1.02, celsius: 20 } as never
      ),
      fc.record({ at: fc.string(), sg: fc.anything(), celsius: fc.anything() })
    )
    fc.assert(
      fc.property(
        fc.array(garbage, { maxLength: 30 }),
        fc.array(fc.nat(sent.length - 1), { maxLength: 30 }),
        fc.boolean(),
        (rubbish, doubles, backwards) => {
          const all = [...sent, ...doubles.map((i) => sent[i]!), ...rubbish]
          expect(followReadings(backwards ? all.reverse() : all, START, asked.to).kept).toEqual(clean.kept)
        }
      ),
      { numRuns: 60 }
    )
  })
  it('fetched hour by hour it keeps the same as fetched at once', () => {
    const kept: typeof clean.kept = []
    let since = START
    for (let h = 1; h <= 24 * 9; h++) {
      const piece = followReadings(floatReadings({ ...asked, from: since, to: plus(h) }), since, plus(h))
      kept.push(...piece.kept)
      if (piece.kept.length > 0) since = windowAfter(piece.kept.at(-1)!.at)
    }
    // Spikes are judged by their neighbours; at a window's edge the later ones are not there yet.
    expect(kept.map((k) => k.at)).toEqual(clean.kept.map((k) => k.at))
    kept.forEach((k, i) => expect(Math.abs((k.sg ?? 0) - (clean.kept[i]!.sg ?? 0))).toBeLessThan(0.0005))
  })
})
