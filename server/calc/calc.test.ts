import { Validator } from '@seriousme/openapi-schema-validator'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import type { FermentForecast } from '../../core/fermentation'
import { openApi } from '../openapi/document'
import { CALCULATIONS, runCalculation } from '.'

const run = (name: string, body: unknown) => runCalculation(CALCULATIONS.get(name)!, body)
const answer = (name: string, body: unknown) => {
  const result = run(name, body)
  if (!result.ok) throw new Error(JSON.stringify(result.refusal))
  return result.answer as Record<string, number> & Record<string, Record<string, number>>
}

it('is described as OpenAPI 3.1 that an independent validator accepts, every calculation with its body', async () => {
  const document = openApi()
  expect(await new Validator().validate(structuredClone(document))).toMatchObject({ valid: true })
  const paths = Object.keys(document.paths)
  for (const name of CALCULATIONS.keys()) expect(paths).toContain(`/api/calc/${name}`)
})

describe('the calculations over HTTP', () => {
  it.each([
    ['sugar-scales', { value: 20, scale: 'brix' }, { sg: 1.083 }],
    ['hydrometer', { reading: 1.089, scale: 'sg', sampleC: 20, calibrationC: 20 }, { sg: 1.089 }],
    ['titration', { sampleMl: 15, titrantMl: 6, normality: 0.2 }, { taGPerL: 6.003, taPercent: 0.6 }],
    ['alcohol', { originalSg: 1.09, currentSg: 0.996 }, { factor131: 12.34, factor129: 12.13 }],
    [
      'sulphite-dose',
      { ph: 3.5, volumeL: 100, targetMolecularMgPerL: 0.8, salt: 'potassium' },
      { targetFreeMgPerL: 40, addMgPerL: 40, grams: 6.93 }
    ],
    [
      'sulphite-dose',
      { ph: 3.5, volumeL: 100, targetFreeMgPerL: 30, freeMgPerL: 10, salt: 'sodium-metabisulphite', boundShare: 0.5 },
      { addMgPerL: 40, grams: 5.93 }
    ],
    ['water-addition', { volumeL: 20, brix: 26, targetBrix: 24 }, { litres: 1.85 }],
    ['sugar-addition', { volumeL: 20, brix: 20, targetBrix: 22, with: 'sucrose' }, { grams: 554 }],
    [
      'blend',
      {
        parts: [
          { volumeL: 10, abv: 12 },
          { volumeL: 30, abv: 14 }
        ]
      },
      { abv: 13.5, volumeL: 40 }
    ],
    ['yeast-pitch', { volumeL: 80 }, { yeastG: 20, waterMl: 200 }],
    ['first-sulphite', { juiceL: 76.7, health: 'sound', style: 'red' }, { mgPerL: 30, grams: 3.99 }],
    ['vessel-fit', { capacityL: 150, litres: 100, room: 'cap' }, { neededL: 125 }],
    ['kit-water', { volumeL: 16, sg: 1.122, targetSg: 1.085 }, { expectSg: 1.092 }],
    ['arrival-yield', { stream: 'frozen', style: 'white', amount: 40 }, { mustL: 40 }],
    ['enzyme', { volumeL: 40 }, { grams: 1.2 }],
    ['clock', { kind: 'settle', begunAt: '2026-10-01T08:00:00Z', now: '2026-10-02T02:00:00Z' }, { hoursGone: 18 }],
    ['test-ferment', {}, { juiceL: 3.25 }],
    ['free-so2', { method: 'aspiration', sampleMl: 20, titrantMl: 2, normality: 0.01 }, { freeMgPerL: 32 }],
    // 2200 kJ a day over 86.4 ks; see core/fermentation.
    ['ice-for-cooling', { volumeL: 100, sugarGPerLDay: 40, celsius: 24, targetC: 22, roomC: 18, lossWPerK: 5 }, { madeW: 25.5, lostW: 20 }],
    ['stuck-restart', { volumeL: 40, sg: 1.02, abv: 11 }, { yeastG: 20, waterMl: 200 }],
    ['priming', { volumeL: 10, targetBar: 0, abv: 11, residualSugarGPerL: 12, bottleRatedBar: 0 }, { sugarGPerL: 0, grams: 0 }],
    [
      'sorbate-dose',
      { volumeL: 20, abv: 12, ph: 3.5, freeSo2MgPerL: 40, malolacticDone: false, fermenting: false },
      { sorbicMgPerL: 150, grams: 4.02 }
    ],
    ['pasteurise', { celsius: 60, minutes: 30 }, { units: 30 }],
    ['bottles', { volumeL: 5, sizes: [{ ml: 750 }, { ml: 375 }] }, { leftMl: 125 }],
    ['malolactic-conditions', { ph: 3.5, abv: 13, freeSo2MgPerL: 2, totalSo2MgPerL: 20, celsius: 20 }, { score: 1 }],
    // One reading says nothing of the decay: the usual 0.5 % a day stands.
    [
      'sulphite-upkeep',
      { ph: 3.5, style: 'red', readings: [{ days: 0, freeMgPerL: 38 }] },
      { targetFreeMgPerL: 24.99, decayPerDay: 0.005, boundShare: 0.33 }
    ],
    // 18 L go into 10, 5 and 3: by hand.
    [
      'racking-plan',
      {
        wines: [{ id: 'a', litres: 18 }],
        vessels: [
          { id: 'v', capacityL: 20, wineId: 'a', litres: 18 },
          { id: 's', capacityL: 10 },
          { id: 't', capacityL: 5 },
          { id: 'u', capacityL: 3 }
        ]
      },
      { airL: 0, moveCount: 3, withoutVesselL: 0, gap: 0 }
    ],
    // (216.2 − 20) ÷ 16.83, by hand.
    ['potential-alcohol', { brix: 20 }, { abv: 11.66 }]
  ])('%s %j', (name, body, wanted) => {
    for (const [field, value] of Object.entries(wanted)) expect(answer(name, body)[field], field).toBeCloseTo(value, value > 100 ? 0 : 1)
  })
  it('finishing answers lists: glasses, parts of a blend, and what the cold does', () => {
    expect(answer('fining-trial', { rates: [0, 0.5], stockGPerL: 50, glassMl: 100 }).glasses![1]).toEqual({ rate: 0.5, stockMl: 1 })
    const parts = [{ id: 'a', availableL: 20, abv: 11 }, { id: 'b', availableL: 20, abv: 14 }]
    const blend = answer('blend-target', { parts, target: { volumeL: 15, abv: 12 } })
    expect(blend.parts).toEqual([{ id: 'a', litres: expect.closeTo(10, 2) }, { id: 'b', litres: expect.closeTo(5, 2) }])
    const cold = answer('cold-stability', { ph: 3.4, taGPerL: 6.8, abv: 12, celsius: -4 })
    expect(cold.after!.taGPerL).toBeLessThan(6.6)
    expect(cold.stableAtCelsius).toBeGreaterThan(5)
  })
  it('acids answers before, after and findings', () => {
    const a = answer('acids', {
      ph: 3.71,
      taGPerL: 5.5,
      changes: [
        { kind: 'tartaric', gPerL: 1.5 },
        { kind: 'water', litresPerLitre: 0.05 },
        { kind: 'blend', litresPerLitre: 0.1, with: { ph: 3.2, taGPerL: 8 } }
      ]
    })
    expect(a.before).toMatchObject({ ph: expect.closeTo(3.71, 5), taGPerL: expect.closeTo(5.5, 5) })
    expect(a.after!.ph).toBeLessThan(3.6)
    expect(a.findings).toBeInstanceOf(Array)
  })
  it('ripening answers lines and days, acid-ways the way of each move', () => {
    const now = '2026-09-05T12:00:00Z'
    expect(
      answer('ripening', {
        samples: [
          { at: '2026-09-01T12:00:00Z', brix: 20 },
          { at: now, brix: 21 }
        ],
        style: 'red',
        now
      }).crossings![0]
    ).toMatchObject({ quantity: 'brix', day: expect.closeTo(4.42, 2) })
    const ways = answer('acid-ways', { ph: 3.7, taGPerL: 5.5, steps: 3 })
    expect(Object.keys(ways)).toEqual(['tartaric', 'potassium-bicarbonate', 'water', 'malolactic', 'cold'])
    expect(ways.tartaric).toHaveLength(4)
  })
  it('targets takes a list or limits of what there is', () => {
    const windows = { ph: { min: 3.3, max: 3.6 }, ta: { min: 6, max: 7.5 } }
    const must = { brix: 24.4, ph: 3.71, taGPerL: 5.5, volumeL: 77, windows }
    expect(answer('targets', { ...must, available: ['tartaric'] }).additions).toHaveLength(1)
    expect(answer('targets', { ...must, available: { tartaric: 0.2 } }).missed).not.toHaveLength(0)
  })
  it.each([
    ['sulphite-dose', { ph: 35, volumeL: 23, targetFreeMgPerL: 30, salt: 'potassium' }, 'ph'],
    ['sulphite-dose', { ph: 3.5, volumeL: 23, salt: 'potassium' }, 'targetMolecularMgPerL'],
    ['sulphite-dose', { ph: '3.5', volumeL: 23, targetFreeMgPerL: 30 }, 'ph'],
    ['titration', { sampleMl: 0, titrantMl: 6, normality: 0.2 }, 'sampleMl'],
    ['sugar-scales', { value: 20, scale: 'bricks' }, 'scale'],
    ['sugar-scales', { value: 20, scale: 'brix', more: 1 }, 'more'],
    ['blend', { parts: [{ volumeL: 1 }] }, 'parts'],
    ['acids', { ph: 3.5, taGPerL: 6, changes: [{ kind: 'tartaric', gPerL: 'x' }] }, 'changes.0.gPerL'],
    ['alcohol', null, 'body'],
    ['kit-water', { volumeL: 16, sg: 1.122, targetSg: 1.2 }, 'targetSg'],
    ['clock', { kind: 'settle', begunAt: 'noon', now: 'now' }, 'begunAt'],
    ['test-ferment', { massKg: 90 }, 'massKg'],
    ['priming', { volumeL: 10, targetBar: 30, abv: 11 }, 'targetBar'],
    ['bottles', { volumeL: 10, sizes: [] }, 'sizes'],
    ['bottles', { volumeL: 1, sizes: [{ ml: 750 }], lossL: 2 }, 'lossL'],
    ['fining-trial', { rates: [-1], stockGPerL: 50, glassMl: 100 }, 'rates.0'],
    ['blend-target', { parts: [{ id: 'a', availableL: 5 }, { id: 'b', availableL: 5 }], target: { volumeL: 5, ph: 3.5 } }, 'parts.0.ph'],
    ['blend-target', { parts: [{ id: 'a', availableL: 5 }, { id: 'b', availableL: 5 }], target: { volumeL: 50 } }, 'target.volumeL']
  ])('%s %j is refused at %s', (name, body, field) => {
    const result = run(name, body)
    expect(result.ok ? 'taken' : result.refusal.field).toBe(field)
  })
  it('figures that lead to nothing finite are refused at their field, not answered with null', () => {
    const result = run('ripening', {
      samples: [
        { at: '2026-09-01T12:00:00Z', brix: 1e308 },
        { at: '2026-09-05T12:00:00Z', brix: -1e308 }
      ],
      style: 'red',
      now: '2026-09-06T12:00:00Z'
    })
    expect(result).toMatchObject({ ok: false, refusal: { field: 'samples.0.brix' } })
  })
  it('acids and the finder answer with bands, a verdict, its reasons and the course', () => {
    const acids = answer('acids', {
      ph: 3.75,
      taGPerL: 5.2,
      abv: 13,
      malicGPerL: 0.1,
      style: 'red',
      changes: [{ kind: 'cold', celsius: -2 }]
    })
    const { bands } = acids.after as unknown as {
      bands: { ph: { low: number, mid: number, high: number }, acidsGPerL: Record<string, { low: number }> }
    }
    expect(bands.ph.low).toBeLessThan(bands.ph.mid)
    expect(bands.acidsGPerL.tartaric!.low).toBeGreaterThan(0)
    const must = answer('acids', { ph: 3.5, taGPerL: 6.5, brix: 24, style: 'red', changes: [{ kind: 'ferment', toAbv: 13 }] })
    expect(must.after!.acidsGPerL).toMatchObject({ succinic: expect.closeTo(1.1, 0) })
    const found = answer('targets', { brix: 24.6, ph: 3.71, taGPerL: 5.5, style: 'red', malolactic: true, cold: true }) as unknown as {
      verdict: string
      reasons: unknown[]
      course: { ph: { mid: number } }
    }
    expect(found).toMatchObject({ verdict: 'add', course: { ph: { mid: expect.closeTo(3.6, 1) } } })
    expect(found.reasons).not.toHaveLength(0)
    expect(answer('targets', { brix: 23, ph: 3.5, taGPerL: 8, style: 'red' })).toMatchObject({ verdict: 'leave', additions: [] })
    expect(
      answer('blend', {
        parts: [
          { volumeL: 1, ph: 3.2, taGPerL: 8 },
          { volumeL: 1, ph: 3.7, taGPerL: 5 }
        ]
      }).bands!.ph
    ).toMatchObject({ low: expect.any(Number) })
  })
  it.each([
    [{ ph: 3.5, taGPerL: 6, brix: 23 }, 'windows'],
    [{ ph: 3.5, taGPerL: 6, brix: 23, windows: { ph: { min: 3.6, max: 3.3 } } }, 'windows.ph.min']
  ])('targets %j is refused at %s', (body, field) => {
    const result = run('targets', body)
    expect(result.ok ? 'taken' : result.refusal.field).toBe(field)
  })
  it('every body has a JSON Schema, and every number in it its limits', () => {
    const open = (at: unknown, path: string): string[] => {
      if (typeof at !== 'object' || at === null) return []
      const { type, minimum, maximum } = at as Record<string, unknown>
      const own = (type === 'number' || type === 'integer') && (minimum === undefined || maximum === undefined) ? [path] : []
      return [...own, ...Object.entries(at).flatMap(([key, inside]) => open(inside, `${path}.${key}`))]
    }
    for (const c of CALCULATIONS.values()) {
      const schema = z.toJSONSchema(c.schema, { io: 'input' })
      expect(schema, c.name).toMatchObject({ type: 'object' })
      expect(open(schema, c.name)).toEqual([])
    }
  })
})

describe('a refusal says where, as it was sent, and why, in words', () => {
  it.each([
    [
      'blend',
      {
        parts: [
          { volumeL: 10, ph: 3.4, taGPerL: 6 },
          { volumeL: 0, ph: 3.5, taGPerL: 6 }
        ]
      },
      'parts.1.volumeL',
      /must be at least/
    ],
    // Narrower than the schema's: the core says so, at the place as it was sent.
    ['sulphite-dose', { ph: 3.4, volumeL: 0.01, targetFreeMgPerL: 30 }, 'volumeL', /must lie between/],
    ['potential-alcohol', {}, 'brix', /^is missing$/],
    ['potential-alcohol', { brix: 'much' }, 'brix', /^must be a number$/],
    ['potential-alcohol', { brix: 22, colour: 'red' }, 'colour', /no such field/],
    ['potential-alcohol', { brix: 90 }, 'brix', /^must be at most 45$/]
  ])('%s with %j: %s', (name, body, field, reason) => {
    const answer = run(name, body)
    expect(answer.ok ? undefined : answer.refusal.field).toBe(field)
    expect(answer.ok ? '' : answer.refusal.reason).toMatch(reason)
    expect(answer.ok ? '' : answer.refusal.reason).not.toMatch(/Invalid|expected|pattern|regular/)
  })
})

describe('the forecast over HTTP', () => {
  const forecast = (body: object) => run('ferment-forecast', { originalBrix: 23, readings: [], ...body })
  it('answers from nothing but the must, in order and at least every 12 hours', () => {
    const result = forecast({})
    if (!result.ok) throw new Error(JSON.stringify(result.refusal))
    const a = result.answer as FermentForecast
    expect(a.oneThirdGone!.lowHours).toBeLessThan(a.oneThirdGone!.highHours)
    expect(a.oneThirdGone!.midHours).toBeLessThan(a.dry!.midHours)
    expect(a.endSg.mid).toBeGreaterThan(0.985)
    expect(a.endSg.mid).toBeLessThan(1.0)
    expect(a.expected.at(-1)!.hours).toBeGreaterThanOrEqual(a.dry!.highHours - 12)
    for (let i = 1; i < a.expected.length; i++) expect(a.expected[i]!.hours - a.expected[i - 1]!.hours).toBeLessThanOrEqual(12)
    expect(a).toMatchObject({ fits: true, findings: [] })
  })
  it('a ferment that stands with sugar left is stuck, by either scale', () => {
    const sgs = [1.085, 1.06, 1.035, 1.0345, 1.035, 1.0345].map((sg, i) => ({ hours: 24 * (i + 1), sg, celsius: 24 }))
    const brix = sgs.map(({ sg, ...r }) => ({ ...r, brix: (sg - 1) * 250 }))
    for (const readings of [sgs, brix])
      expect(forecast({ readings })).toMatchObject({ ok: true, answer: { dry: null, findings: [{ code: 'stuck' }] } })
  })
  it.each([
    [{ originalSg: 1.09 }, 'originalSg'],
    [{ readings: [{ hours: 3 }] }, 'readings.0'],
    [{ readings: [{ hours: 3, sg: 9 }] }, 'readings.0.sg'],
    [{ yanMgPerL: -1 }, 'yanMgPerL'],
    [{ originalBrix: 3 }, 'originalSg']
  ])('%j is refused at %s', (more, field) => expect(forecast(more)).toMatchObject({ ok: false, refusal: { field } }))
  it('a thermometer gone mad changes nothing', () => {
    const sane = [1.085, 1.06].map((sg, i) => ({ hours: 24 * (i + 1), sg }))
    expect(forecast({ readings: sane.map((r) => ({ ...r, celsius: 200 })) })).toEqual(forecast({ readings: sane }))
  })
})
