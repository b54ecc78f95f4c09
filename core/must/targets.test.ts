import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LimitError } from '../units'
import { type Material, type TargetRequest, MUST_WINDOWS, findTargets } from '.'

const all: TargetRequest['available'] = { tartaric: true, 'potassium-bicarbonate': true, water: true, sucrose: true }
type More = Partial<Omit<TargetRequest, 'must'>> & { must?: Partial<TargetRequest['must']> }
const find = (style: 'red' | 'rose' | 'white', brix: number | undefined, ph: number, taGPerL: number, { must, ...more }: More = {}) =>
  findTargets({
    must: { ...(brix !== undefined && { brix }), ph, taGPerL, ...must },
    style,
    available: all,
    volumeL: 55,
    withBands: false,
    ...more
  })
const gives = (found: ReturnType<typeof find>) =>
  Object.fromEntries(found.additions.map((a) => [a.material, Number(a.perLitre.toPrecision(2))]))

describe('proposals that a winemaker would sign (their reasons stand in docs/decisions.md)', () => {
  // Ranges: what the trade would add, common practice; water L/L, the rest g/L.
  it.each<[string, ReturnType<typeof find>, Partial<Record<Material, [number, number]>>]>([
    ['a flat warm-year red gets tartaric acid so that it ends inside', find('red', 24.6, 3.71, 5.5), { tartaric: [1.5, 2.5] }],
    ['a red of pH 3.50 and TA 8.0 gets nothing: malolactic and cold take its acid', find('red', 23, 3.5, 8), {}],
    ['a ripe flat red gets a little water and acid', find('red', 25.9, 3.82, 4.9), { water: [0.03, 0.05], tartaric: [2, 3.2] }],
    ['a cool-year red is left to malolactic', find('red', 21.8, 3.4, 9), {}],
    ['no water to thin acid', find('red', 25.1, 3.3, 9.5), {}],
    [
      'a thin sharp white: sugar to its near edge, a little carbonate to pH 3.1',
      find('white', 18.5, 2.95, 12),
      { sucrose: [17, 22], 'potassium-bicarbonate': [0.7, 1.7] }
    ],
    ['a white at the edge of its pH with much acid: carbonate would push the pH out', find('white', 21, 3.4, 10), {}],
    ['low pH and low TA: left', find('white', 21.2, 3.02, 4.96), {}],
    ['a rosé in its windows', find('rose', 20.5, 3.3, 7.6), {}],
    [
      'a red wine after malolactic, 13 %: a little tartaric',
      find('red', undefined, 3.75, 5.2, { must: { abv: 13, malicGPerL: 0.1 }, malolactic: false }),
      { tartaric: [0.5, 1.3] }
    ],
    ['a very sharp red gets carbonate for its pH only', find('red', 23, 3.05, 10.5), { 'potassium-bicarbonate': [0.6, 1.6] }],
    ['very high pH and very high TA together: left, and the trade shown', find('red', 24, 3.95, 8.5), {}],
    ['a ripe must is thinned before it is acidified', find('red', 27.5, 3.75, 5.4), { water: [0.09, 0.13], tartaric: [1.6, 2.8] }]
  ])('%s', (_name, found, wanted) => {
    expect(Object.keys(gives(found)).sort()).toEqual(Object.keys(wanted).sort())
    for (const [material, [min, max]] of Object.entries(wanted)) {
      expect(gives(found)[material]).toBeGreaterThanOrEqual(min)
      expect(gives(found)[material]).toBeLessThanOrEqual(max)
    }
    expect(found.verdict).toBe(Object.keys(wanted).length > 0 ? 'add' : 'leave')
    expect(found.reasons.length).toBeGreaterThan(0)
  })
  it.each([
    [find('red', 24.6, 3.71, 5.5), 'brings-in'],
    [find('red', 25.1, 3.3, 9.5), 'course-mends'],
    [find('white', 21.2, 3.02, 4.96), 'low-ph-low-ta'],
    [find('rose', 20.5, 3.3, 7.6), 'in-windows'],
    [find('red', 24, 3.95, 8.5), 'would-harm'],
    [find('red', 24, 3.9, 5, { available: {} }), 'nothing-at-hand'],
    [find('red', 21.85, 3.4, 7), 'too-near-to-tell'],
    [find('red', 24, 3.4, 6.2), 'usual-fall']
  ] as const)('the reason is named', (found, code) => expect(found.reasons.map((r) => r.code)).toContain(code))
  it('three quarters first; an acidified red that will have malolactic ends inside its window of pH', () => {
    const found = find('red', 24.6, 3.71, 5.5, { withBands: true })
    expect(found.additions[0]!.stages[0]!.amount).toBeCloseTo(found.additions[0]!.total * 0.75, 9)
    expect(found.course.ph.mid).toBeLessThanOrEqual(MUST_WINDOWS.red.ph.max + 0.005)
    expect(found.course.ph.low).toBeLessThan(found.course.ph.mid)
    expect(found.course.taGPerL.high).toBeGreaterThan(found.course.taGPerL.mid)
    expect(found.missed).toEqual([])
  })
  it('where TA forbids the acid that the pH asks for, what pH first would cost stands beside', () => {
    const found = find('red', 24, 3.95, 8.5)
    expect(found.missed.map((m) => m.quantity)).toContain('ph')
    expect(found.trade!.predicted.ph).toBeLessThan(3.95)
  })
  it('only what is at hand, each up to its own limit, the next one after it', () => {
    const found = find('red', 24, 3.9, 5, { available: { tartaric: 0.8, malic: true }, malolactic: false, cold: false })
    expect(gives(found)).toMatchObject({ tartaric: 0.8 })
    expect(gives(found).malic).toBeGreaterThan(0.3)
  })
  it('malic acid is no acid for a lot whose bacteria would eat it', () =>
    expect(find('red', 24, 3.9, 5, { available: { malic: true } }).additions).toEqual([]))
  it('chalk says that it goes on working', () => {
    expect(find('white', 21, 2.95, 12, { available: { 'calcium-carbonate': true } }).findings.map((f) => f.code)).toContain('calcium-slow')
  })
  it.each<[TargetRequest['must'], Partial<TargetRequest>]>([
    [{ brix: 0, ph: 3.5, taGPerL: 6 }, {}],
    [{ brix: 24, ph: 35, taGPerL: 6 }, {}],
    [{ brix: 24, ph: 3.5, taGPerL: 6 }, { volumeL: 0 }],
    [{ brix: 24, ph: 3.5, taGPerL: 6 }, { windows: { ph: { min: 3.6, max: 3.3 } } }],
    [{ brix: 24, ph: 3.5, taGPerL: 6, abv: 30 }, {}]
  ])('%j is refused', (must, more) =>
    expect(() => findTargets({ must, style: 'red', available: all, volumeL: 10, ...more })).toThrow(LimitError)
  )
})

describe('over random plausible musts and wines the finder does no harm', () => {
  const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  const musts = fc.record({
    brix: real(17, 29),
    ph: real(2.85, 4.1),
    ta: real(3.5, 13),
    style: fc.constantFrom('red', 'rose', 'white'),
    malolactic: fc.boolean(),
    cold: fc.boolean()
  })
  const out = (value: number, { min, max }: { min: number, max: number }) => Math.max(0, min - value, value - max)
  const perLitre = (found: ReturnType<typeof find>, ...materials: Material[]) =>
    found.additions.filter((a) => materials.includes(a.material)).reduce((sum, a) => sum + a.perLitre, 0)
  const run = (m: { brix: number, ph: number, ta: number, style: 'red' | 'rose' | 'white', malolactic: boolean, cold: boolean }) =>
    find(m.style, m.brix, m.ph, m.ta, { malolactic: m.malolactic, cold: m.cold })

  it('nothing that held is moved out, nothing outside moves further out; edges are not passed; carbonate only where it belongs', () => {
    fc.assert(
      fc.property(musts, (m) => {
        const found = run(m)
        const { brix, ph, ta } = MUST_WINDOWS[m.style]
        const before = find(m.style, m.brix, m.ph, m.ta, { malolactic: m.malolactic, cold: m.cold, available: {} })
        const [acid, carbonate] = [perLitre(found, 'tartaric'), perLitre(found, 'potassium-bicarbonate')]
        const [water, sugar] = [perLitre(found, 'water'), perLitre(found, 'sucrose')]
        expect(acid * carbonate + water * sugar).toBe(0)
        // Dissolved sugar takes about 0.63 mL a gram; what it and water swell the must by, its acid is thinned by.
        const thinned = 1 - 1 / (1 + sugar * 0.00063 + water)
        // Judged now or where it will end, whichever it was right by. What was out already may be thinned by water and sugar.
        const worse = (from: number, to: number, w: { min: number, max: number }) => out(to, w) - out(from, w) * (water + sugar > 0 ? 3 : 1)
        expect(Math.min(worse(m.ph, found.predicted.ph, ph), worse(before.course.ph.mid, found.course.ph.mid, ph))).toBeLessThan(
          water + sugar > 0 ? 0.016 : 0.006
        )
        expect(
          Math.min(worse(m.ta, found.predicted.taGPerL, ta), worse(before.course.taGPerL.mid, found.course.taGPerL.mid, ta))
        ).toBeLessThan(m.ta * thinned + 0.06)
        // Sugar and water are for sugar alone, and stop at its near edge.
        if (sugar > 0) expect(found.predicted.brix!).toBeLessThan(brix.min + 0.02)
        if (water > 0) expect(found.predicted.brix!).toBeGreaterThan(brix.max - 0.02)
        if (m.brix <= brix.max) expect(water).toBe(0)
        if (m.brix >= brix.min) expect(sugar).toBe(0)
        if (carbonate > 0) {
          expect(found.predicted.ph).toBeLessThan(ph.max + 0.006)
          expect(found.predicted.taGPerL).toBeGreaterThan(ta.min - 0.06)
          if (m.malolactic || m.cold) expect(m.ph).toBeLessThan(ph.min)
        }
        // Acid is for a pH that ends high or a TA that is low, and stops at the edge that asked for it.
        if (acid > 0)
          expect(
            Math.max(found.course.ph.mid, found.predicted.ph) > ph.max - 0.006 || found.predicted.taGPerL < ta.min + 0.06,
            JSON.stringify({ m, found: gives(found) })
          ).toBe(true)
      }),
      { numRuns: 5000 }
    )
  })

  it('small changes in give small changes out: a hundredth in pH, a tenth in TA or Brix', () => {
    fc.assert(
      fc.property(musts, fc.constantFrom('ph', 'ta', 'brix'), (m, key) => {
        const step = key === 'ph' ? 0.01 : 0.1
        const [a, b] = [run(m), run({ ...m, [key]: m[key] + step })]
        expect(Math.abs(perLitre(a, 'tartaric') - perLitre(b, 'tartaric'))).toBeLessThan(0.45)
        expect(Math.abs(perLitre(a, 'potassium-bicarbonate') - perLitre(b, 'potassium-bicarbonate'))).toBeLessThan(0.45)
        expect(Math.abs(perLitre(a, 'sucrose') - perLitre(b, 'sucrose'))).toBeLessThan(4)
        expect(Math.abs(perLitre(a, 'water') - perLitre(b, 'water'))).toBeLessThan(0.05)
      }),
      { numRuns: 1000 }
    )
  })
})
