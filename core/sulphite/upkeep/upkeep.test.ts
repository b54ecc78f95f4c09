import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type FreeDose, type FreeReading, freeSo2Ahead, sulphiteUpkeep } from '.'
import { normalFrom, seeded } from '../../units'

/**
 * A winter of a wine by other means than the forecast's own: day by day, a dose that binds over some days and not at once, a decay that is
 * quicker in a warm week and at a racking, a kit that reads whole milligrams.
 * Of wines that differ as craft 4.6 and common practice have it; of strangers, that lose much more or less and wander more.
 * @returns what was read and given until some day in it, and the level on the days after, when nobody gave anything
 */
function winter(seed: number, stranger: boolean) {
  const uniform = seeded(seed)
  const z = normalFrom(uniform)
  const decay = 0.005 * Math.exp((stranger ? 0.85 : 0.55) * z())
  const bound = Math.min(0.7, Math.max(0.05, 1 / 3 + 0.11 * z()))
  let [free, binding, warmth, nextLook, nextRack] = [20 + 25 * uniform(), 0, 0, 0, 40 + 30 * uniform()]
  const [readings, doses, after]: [FreeReading[], FreeDose[], number[]] = [[], [], []]
  const until = 5 + 170 * uniform()
  for (let days = 0; days <= until + 61; days++) {
    warmth = 0.95 * warmth + (stranger ? 0.16 : 0.12) * z()
    const bindsToday = binding * (1 - Math.exp(-1 / 3))
    binding -= bindsToday
    free = Math.max(0, free * Math.exp(-decay * Math.exp(warmth)) - bindsToday)
    if (days >= nextRack) {
      free *= 0.94 + 0.03 * z()
      nextRack += 60
    }
    if (days > until) after.push(free)
    else if (days >= nextLook) {
      const read = Math.max(0, Math.round(free + 3 * z()))
      readings.push({ days, freeMgPerL: read })
      nextLook += 21 + 21 * uniform()
      if (read < 22 && days < until - 15) {
        const addMgPerL = 15 + 15 * uniform()
        doses.push({ days, addMgPerL })
        free += addMgPerL
        binding += addMgPerL * bound
        nextLook = days + 14 + 7 * uniform()
      }
    }
  }
  return { readings, doses, after, until: Math.floor(until), read: (level: number) => Math.max(0, Math.round(level + 3 * z())) }
}

describe('how a wine keeps its sulphite', () => {
  it.each([
    ['ordinary', false],
    ['strange', true]
  ])('600 %s winters: the level, and what is read of it, lie in their bands about four times in five', (_kind, stranger) => {
    const held: Record<string, number> = { level30: 0, level60: 0, read30: 0, read60: 0 }
    const winters = 600
    for (let seed = 1; seed <= winters; seed++) {
      const { readings, doses, after, until, read } = winter(seed * 7919, stranger)
      const bands = freeSo2Ahead({ readings, doses }, [until + 30, until + 60])
      for (const [i, days] of ([30, 60] as const).entries()) {
        const [level, band] = [after[days - 1]!, bands[i]!]
        if (level >= band.low && level <= band.high) held[`level${days}`]!++
        const next = read(level)
        // A reading has its own error on top of the wine's band.
        const own = 1.2816 * 3
        if (next >= band.mid - Math.hypot(band.mid - band.low, own) && next <= band.mid + Math.hypot(band.high - band.mid, own))
          held[`read${days}`]!++
      }
    }
    for (const [what, times] of Object.entries(held)) {
      expect(times / winters, what).toBeGreaterThanOrEqual(0.74)
      expect(times / winters, what).toBeLessThanOrEqual(0.88)
    }
  })
})

describe('the day on which a wine falls below its level', () => {
  const asked = { ph: 3.5, targetMolecularMgPerL: 0.5 }
  it('one reading and the usual decay: ln(38 ÷ 25) ÷ 0.005 by hand', () => {
    const { belowTargetAtDays, targetFreeMgPerL, now } = sulphiteUpkeep({ ...asked, readings: [{ days: 0, freeMgPerL: 38 }] })
    expect(targetFreeMgPerL).toBeCloseTo(24.99, 1)
    expect(belowTargetAtDays!.mid).toBeGreaterThan(76)
    expect(belowTargetAtDays!.mid).toBeLessThan(92)
    expect(now).toMatchObject({ days: 0, below: false })
  })
  it.each([
    ['below already: now', { readings: [{ days: 10, freeMgPerL: 15 }] }, 10],
    ['nothing wanted: never', { readings: [{ days: 0, freeMgPerL: 30 }], targetMolecularMgPerL: 0 }, undefined]
  ])('%s', (_name, more, mid) => {
    expect(sulphiteUpkeep({ ...asked, ...more }).belowTargetAtDays?.mid).toBe(mid)
  })
  it('a wine that falls by 1 % a day over three months is known to', () => {
    const readings = [0, 30, 60, 90].map((days) => ({ days, freeMgPerL: 60 * Math.exp(-0.01 * days) }))
    const { decayPerDay } = sulphiteUpkeep({ ...asked, readings })
    expect(decayPerDay.low).toBeLessThan(0.01)
    expect(decayPerDay.high).toBeGreaterThan(0.0095)
    expect(decayPerDay.mid).toBeGreaterThan(0.008)
  })
  it('half of each dose binds: by hand from 20 to 40 after 40', () => {
    const readings = [
      { days: 0, freeMgPerL: 20 },
      { days: 7, freeMgPerL: 39 },
      { days: 30, freeMgPerL: 35 },
      { days: 40, freeMgPerL: 53 }
    ]
    const { boundShare } = sulphiteUpkeep({
      ...asked,
      readings,
      doses: [
        { days: 0, addMgPerL: 40 },
        { days: 30, addMgPerL: 40 }
      ]
    })
    expect(boundShare.mid).toBeGreaterThan(0.4)
    expect(boundShare.mid).toBeLessThan(0.56)
  })
  it('what rises with nothing given is said; with a dose in between it is not', () => {
    const readings = [
      { days: 0, freeMgPerL: 20 },
      { days: 30, freeMgPerL: 40 }
    ]
    expect(sulphiteUpkeep({ ...asked, readings }).findings).toEqual([{ code: 'rises', atDays: 30, fromMgPerL: 20, toMgPerL: 40 }])
    expect(sulphiteUpkeep({ ...asked, readings, doses: [{ days: 3, addMgPerL: 30 }] }).findings).toEqual([])
  })
  const history = fc.record({
    readings: fc.array(fc.record({ days: fc.integer({ min: 0, max: 200 }), freeMgPerL: fc.double({ min: 3, max: 80, noNaN: true }) }), {
      minLength: 1,
      maxLength: 6
    }),
    doses: fc.array(fc.record({ days: fc.integer({ min: 0, max: 200 }), addMgPerL: fc.double({ min: 5, max: 50, noNaN: true }) }), {
      maxLength: 3
    }),
    ph: fc.double({ min: 3, max: 3.9, noNaN: true }),
    targetMolecularMgPerL: fc.double({ min: 0.3, max: 0.8, noNaN: true })
  })
  it('for any history: bands in order, later for a higher last reading, and a little more in makes little more out', () => {
    fc.assert(
      fc.property(history, (h) => {
        const u = sulphiteUpkeep(h)
        for (const band of [u.decayPerDay, u.boundShare, u.now.free, ...(u.belowTargetAtDays ? [u.belowTargetAtDays] : [])]) {
          expect(band.low).toBeLessThanOrEqual(band.mid)
          expect(band.mid).toBeLessThanOrEqual(band.high)
        }
        const last = h.readings.reduce((a, b) => (b.days >= a.days ? b : a))
        const raised = (by: number) =>
          sulphiteUpkeep({ ...h, readings: h.readings.map((r) => (r === last ? { ...r, freeMgPerL: r.freeMgPerL + by } : r)) })
        expect(raised(5).now.free.mid).toBeGreaterThanOrEqual(u.now.free.mid - 1e-9)
        expect(Math.abs(raised(0.1).now.free.mid - u.now.free.mid)).toBeLessThan(0.5)
      }),
      { numRuns: 300 }
    )
  })
})
