import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decideMalolactic, malolacticConditions, malolacticCourse, readMalic, readPaper } from '.'
import { normalFrom, seeded } from '../units'

const good = { ph: 3.5, abv: 13, freeSo2MgPerL: 3, totalSo2MgPerL: 20, celsius: 20 }

describe('how well bacteria can work', () => {
  it('where all is as craft 3.9 has it, nothing holds them up', () => {
    expect(malolacticConditions(good)).toMatchObject({ score: 1, limiting: null, findings: [] })
  })
  it.each([
    ['cold', { celsius: 13 }, 'celsius', { code: 'too-cold', celsius: 13, to: 18 }],
    ['acid', { ph: 3.05 }, 'ph', { code: 'too-acid', ph: 3.05, to: 3.2 }],
    ['strong', { abv: 15 }, 'abv', { code: 'too-strong', abv: 15, most: 14 }],
    ['sulphited', { freeSo2MgPerL: 25 }, 'freeSo2', { code: 'free-sulphite', mgPerL: 25, most: 10 }],
    ['much in all', { totalSo2MgPerL: 70 }, 'totalSo2', { code: 'total-sulphite', mgPerL: 70, most: 40 }],
    ['hot', { celsius: 30 }, 'celsius', { code: 'too-warm', celsius: 30, to: 24 }]
  ])('%s is what limits, and it says to where', (_name, change, limiting, finding) => {
    const c = malolacticConditions({ ...good, ...change })
    expect(c.limiting).toBe(limiting)
    expect(c.findings).toContainEqual(finding)
    expect(c.score).toBeLessThan(0.5)
  })
  it('the packet wins', () => {
    const culture = { minPh: 3.0, toleranceAbv: 15.5, maxTotalSo2MgPerL: 60, minC: 14 }
    expect(malolacticConditions({ ph: 3.15, abv: 14.5, freeSo2MgPerL: 3, totalSo2MgPerL: 45, celsius: 15, culture })).toMatchObject({
      score: 1,
      findings: []
    })
  })
  it('nothing that gets better makes it worse, and a little makes a little', () => {
    const wine = fc.record({
      ph: fc.double({ min: 2.8, max: 4.2, noNaN: true }),
      abv: fc.double({ min: 8, max: 17, noNaN: true }),
      freeSo2MgPerL: fc.double({ min: 1, max: 60, noNaN: true }),
      totalSo2MgPerL: fc.double({ min: 5, max: 150, noNaN: true }),
      celsius: fc.double({ min: 5, max: 24, noNaN: true })
    })
    fc.assert(
      fc.property(wine, (w) => {
        const { score } = malolacticConditions(w)
        const better = [
          { ph: w.ph + 0.02 },
          { abv: w.abv - 0.1 },
          { freeSo2MgPerL: w.freeSo2MgPerL - 0.5 },
          { totalSo2MgPerL: w.totalSo2MgPerL - 1 }
        ]
        for (const change of [...better, ...(w.celsius < 23 ? [{ celsius: w.celsius + 0.2 }] : [])]) {
          const then = malolacticConditions({ ...w, ...change }).score
          expect(then).toBeGreaterThanOrEqual(score - 1e-12)
          expect(then - score).toBeLessThan(0.1)
        }
      }),
      { numRuns: 2000 }
    )
  })
})

describe('the course', () => {
  it('3 to 8 weeks where all is well (craft 3.9), longer where it is not', () => {
    const { endDays } = malolacticCourse({ score: 1, readings: [], atDays: 0 })
    expect(endDays.low).toBeGreaterThanOrEqual(20)
    expect(endDays.high).toBeLessThanOrEqual(60)
    expect(malolacticCourse({ score: 0.3, readings: [], atDays: 0 }).endDays.mid).toBeGreaterThan(endDays.mid * 1.5)
  })
  /** By Monod's growth of bacteria on their acid, not by the course's own form: few grow to many, and eat what is there. */
  function simulated(seed: number, score: number) {
    const uniform = seeded(seed)
    const z = normalFrom(uniform)
    const start = 1.2 + 2.4 * uniform()
    const growth = 0.22 * (0.3 + 0.7 * score) * Math.exp(0.3 * z())
    let [cells, malic] = [0.03 * Math.exp(0.5 * z()), start]
    const days: number[] = []
    for (let step = 0; step < 4000; step++) {
      if (step % 10 === 0) days.push(malic)
      const food = malic / (0.3 + malic)
      cells += 0.1 * (growth * food * cells * (1 - cells) + 0.002 * (1 - cells))
      malic = Math.max(0, malic - 0.1 * 0.18 * cells * food * (0.4 + 0.6 * score))
    }
    const read = (day: number) => ({ days: day, malicGPerL: Math.max(0, days[day]! * (1 + 0.08 * z()) + 0.06 * z()) })
    return { start, days, read, end: days.findIndex((m) => m <= 0.1) }
  }
  it('200 courses of another making end within the 80 % band about four times in five, from the third week on', () => {
    let held = 0
    for (let seed = 1; seed <= 200; seed++) {
      const score = 0.5 + (seed % 6) / 10
      const { start, read, end } = simulated(seed * 104729, score)
      const until = Math.min(end - 3, 21)
      const readings = [7, 14, 21].filter((d) => d <= until).map(read)
      const { endDays } = malolacticCourse({ score, readings, startGPerL: start, atDays: until })
      if (end >= endDays.low && end <= endDays.high) held++
    }
    expect(held / 200).toBeGreaterThanOrEqual(0.74)
    expect(held / 200).toBeLessThanOrEqual(0.92)
  })
  it.each([
    [
      'it stands',
      [
        { days: 10, malicGPerL: 1.6 },
        { days: 40, malicGPerL: 1.5 }
      ],
      ['stalled']
    ],
    [
      'it falls',
      [
        { days: 10, malicGPerL: 1.6 },
        { days: 40, malicGPerL: 0.5 }
      ],
      []
    ],
    [
      'it stands at its end',
      [
        { days: 40, malicGPerL: 0.25 },
        { days: 65, malicGPerL: 0.2 }
      ],
      []
    ],
    [
      'it rises',
      [
        { days: 10, malicGPerL: 1 },
        { days: 20, malicGPerL: 2 }
      ],
      ['rises']
    ],
    ['nobody looked', [], ['overdue']]
  ])('%s', (_name, readings, codes) => {
    expect(malolacticCourse({ score: 1, readings, startGPerL: 2, atDays: 90 }).findings.map((f) => f.code)).toEqual(codes)
  })
  it('a reading beyond every course still has an answer', () => {
    const { endDays, malicNow } = malolacticCourse({ score: 1, readings: [{ days: 300, malicGPerL: 14 }], startGPerL: 0.5, atDays: 300 })
    expect(endDays.low).toBeLessThanOrEqual(endDays.high)
    expect(Number.isFinite(malicNow.mid)).toBe(true)
  })
})

describe('what is read of it', () => {
  it.each([
    ['none', 'clear', 'complete'],
    ['none', 'faint', 'nearly'],
    ['none', 'none', 'cannot-tell'],
    ['faint', 'clear', 'nearly'],
    ['faint', 'faint', 'under-way'],
    ['clear', 'clear', 'under-way'],
    ['clear', 'none', 'not-begun']
  ] as const)('on paper malic %s and lactic %s: %s', (malic, lactic, verdict) => expect(readPaper(malic, lactic)).toBe(verdict))
  it.each([
    [0.1, 2, 'complete'],
    [0.3, 2, 'nearly'],
    [0.31, 2, 'under-way'],
    [1.9, 2, 'not-begun'],
    [1.9, undefined, 'under-way']
  ] as const)('%d g/L of %s: %s', (malic, start, verdict) => expect(readMalic(malic, start)).toBe(verdict))
})

describe('wanted or not', () => {
  const red = { style: 'red', stream: 'fresh', sweet: false, sparkling: false } as const
  it.each([
    [red, 'yes'],
    [{ ...red, stream: 'kit' }, 'no'],
    [{ ...red, sweet: true }, 'no'],
    [{ ...red, style: 'white' }, 'either'],
    [{ ...red, style: 'white', ph: 3.7 }, 'no'],
    [{ ...red, style: 'white', ph: 3.05 }, 'no']
  ] as const)('%j: %s', (asked, advice) => expect(decideMalolactic(asked).advice).toBe(advice))
})
