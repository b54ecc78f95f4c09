import { describe, expect, it } from 'vitest'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { findingsOf, malolacticEndedAt, tasksOf } from '..'
import { type Entry, foldCellar, lotAt } from '../../ledger'

const lotId = 'lot-malo-1'
const { at, now, entry, read } = ledgerBefore(Date.UTC(2026, 11, 20, 12), DAY, lotId)
const plan = (malolactic: 'with-yeast' | 'on-skins' | 'blocked' | 'none') => entry(79, { type: 'lot-planned', lotId, malolactic })
const bacteria = (daysAgo: number) => entry(daysAgo, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B' })
const paper = (daysAgo: number, malic: 'none' | 'faint' | 'clear', lactic: 'none' | 'faint' | 'clear') =>
  entry(daysAgo, { type: 'observation', lotId, what: 'chromatogram', text: 'x', spots: { malic, lactic } })
const sulphite = (daysAgo: number) =>
  entry(daysAgo, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 4, so2Share: 0.576 })
const pressed = (daysAgo: number) =>
  entry(daysAgo, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId }, outL: 50, inL: 45 })
const must = [
  entry(80, { type: 'lot-started', lotId, name: 'L', stream: 'fresh', style: 'red', varieties: [], volumeL: 50, volumeIs: 'measured' }),
  read(80, 'sg', 1.095),
  read(80, 'ph', 3.5),
  read(80, 'ta', 6.4),
  entry(79, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' })
]
const racked = entry(63, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 45, inL: 43 })
const red = [...must, read(70, 'sg', 0.993), read(67, 'sg', 0.993), pressed(66), read(65, 'malic', 2.2), racked]

function seen(entries: readonly Entry[]) {
  const cellar = foldCellar(entries)
  const lot = lotAt(cellar.lots.get(lotId)!, now)
  return {
    lot,
    tasks: tasksOf(lot, cellar, now),
    found: findingsOf(lot, cellar, now).filter((f) => /malolactic|sulphite-odd/.test(f.code))
  }
}

describe('malolactic, asked for in its time', () => {
  it('with what bacteria find', () => {
    const [task] = seen(red).tasks
    expect(task).toMatchObject({ code: 'start-malolactic', action: { to: 'malolactic' } })
    expect((task as { score: number }).score).toBeGreaterThan(0.8)
    // So cold that bacteria would hardly begin: it is asked whether it is still wanted, and warming it is the first way.
    expect(seen([...red, read(2, 'temperature', 12)]).tasks[0]).toMatchObject({
      code: 'malolactic-wanted',
      limiting: 'celsius',
      waysOut: [{ code: 'begin-malolactic' }, { code: 'warm-it' }, { code: 'no-malolactic' }, { code: 'wait' }]
    })
    expect(seen([...red, read(2, 'temperature', 12)]).found[0]).toMatchObject({
      code: 'malolactic-held-up',
      by: { code: 'too-cold', celsius: 12, to: 18 }
    })
  })
  const fermenting = entry(0.9, {
    type: 'lot-started',
    lotId,
    name: 'L',
    stream: 'fresh',
    style: 'red',
    varieties: [],
    volumeL: 50,
    volumeIs: 'measured'
  })
  it.each([
    ['with the yeast, a day after it', 30 / 24, 'with-yeast', 1.08, true],
    ['with the yeast, hours after it', 10 / 24, 'with-yeast', 1.09, false],
    ['on the skins, nearly dry', 6, 'on-skins', 1.003, true],
    ['on the skins, in the middle of it', 4, 'on-skins', 1.04, false],
    ['after pressing: not in the ferment', 6, undefined, 1.003, false]
  ] as const)('%s', (_name, yeastDays, timing, sg, asked) => {
    const entries = [
      { ...fermenting, at: at(9), id: 'entry-m-0' },
      read(9, 'sg', 1.095),
      ...(timing ? [{ ...plan(timing), at: at(8) }] : []),
      entry(yeastDays, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' }),
      read(0.1, 'sg', sg)
    ]
    expect(seen(entries).tasks.some((t) => t.code === 'start-malolactic')).toBe(asked)
  })
})

describe('malolactic, followed', () => {
  it('every second week, and twice as often near its end', () => {
    const far = seen([...red, bacteria(20), read(5, 'malic', 1.8)]).tasks[0]
    expect(far).toMatchObject({ code: 'follow-malolactic', urgency: 'wait', nearly: false })
    expect(seen([...red, bacteria(40), read(8, 'malic', 0.4)]).tasks[0]).toMatchObject({ code: 'follow-malolactic', urgency: 'soon' })
  })
  it('a paper counts as a look, a later test speaks before it', () => {
    expect(seen([...red, bacteria(20), paper(2, 'faint', 'faint')]).tasks[0]).toMatchObject({ urgency: 'wait' })
    expect(seen([...red, bacteria(40), paper(2, 'none', 'clear')]).lot.malolactic).toBe('done')
    expect(seen([...red, bacteria(40), paper(2, 'none', 'clear'), read(1, 'malic', 0.8)]).lot.malolactic).toBe('under-way')
    expect(seen([...red, bacteria(40), read(3, 'malic', 0.8), paper(2, 'faint', 'clear')]).lot.malolactic).toBe('nearly')
  })
  it.each([
    ['stands', [bacteria(60), read(40, 'malic', 1.6), read(10, 'malic', 1.55)], 'stalled'],
    ['rises', [bacteria(60), read(40, 'malic', 0.8), read(10, 'malic', 1.6)], 'rises']
  ] as const)('one that %s is said', (_name, more, code) => {
    expect(seen([...red, ...more]).found[0]).toMatchObject({ code: 'malolactic-course', wrong: { code } })
  })
})

it('a test that finds sugar is not asked for again: it is decided on, and no bacteria go in', () => {
  const unsure = [...must, read(70, 'sg', 0.999), read(67, 'sg', 0.999), pressed(66), entry(60, { type: 'lot-amended', lotId,
    alcoholic: 'dry' }), racked]
  const told = (...more: Entry[]) => seen([...unsure, ...more]).tasks.find((t) => t.code === 'sugar-before-bacteria')
  const tested = told(read(2, 'sugar', 11))
  expect(tested).toMatchObject({ tested: 11, action: { to: 'restart' } })
  expect(tested!.waysOut!.map((w) => w.code)).toEqual(['restart', 'leave-sweet', 'no-malolactic', 'wait'])
  expect(told(read(2, 'sugar', 1))).toBeUndefined()
  // A restart that took none of it is not the first thing offered again.
  const since = [read(9, 'sg', 0.993), read(6, 'sg', 0.993)]
  const again = (sugar: number) => told(read(20, 'sugar', 11), entry(14, { type: 'inoculation', lotId, organism: 'yeast', culture: 'R',
    grams: 20 }), ...since, read(2, 'sugar', sugar))?.waysOut?.[0]?.code
  expect([again(10), again(6)]).toEqual(['leave-sweet', 'restart'])
  // Restarted, it ferments on; read dry again and tested the next day, it is left its week.
  const restart = entry(1.5, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Restart', grams: 20 })
  const nextDay = [restart, read(0.5, 'sg', 0.993), read(0.4, 'sugar', 8)]
  expect(told(read(2, 'sugar', 11), restart)).toBeUndefined()
  expect(told(read(2, 'sugar', 11), ...nextDay)?.urgency ?? 'wait').toBe('wait')
})

it('a wine that was a ferment until lately gets a week and another test before new yeast; one that stands still does not', () => {
  const lately = [...must, read(16, 'sg', 0.999), read(13, 'sg', 0.999), pressed(12), entry(12, { type: 'lot-amended', lotId,
    alcoholic: 'dry' })]
  const told = (...more: Entry[]) => seen([...lately, ...more]).tasks.find((t) => t.code === 'sugar-before-bacteria')
  expect(told(read(2, 'sugar', 6))).toMatchObject({ goesOn: true, urgency: 'wait', action: { to: 'measure', what: 'sugar' } })
  expect(told(read(8, 'sugar', 6))).toMatchObject({ goesOn: true, urgency: 'soon' })
  expect(told(read(9, 'sugar', 11), read(2, 'sugar', 6))).toMatchObject({ goesOn: true })
  // Two tests a week apart that agree.
  expect(told(read(9, 'sugar', 7), read(2, 'sugar', 6))).toMatchObject({ tested: 6, action: { to: 'restart' } })
  expect(told(read(9, 'sugar', 7), read(2, 'sugar', 6))).not.toHaveProperty('goesOn')
  // Nobody racks it off the yeast that it is to wait for.
  const racks = (...more: Entry[]) => seen([...lately, ...more]).tasks.some((t) => t.code === 'rack-gross-lees')
  expect([racks(read(2, 'sugar', 6)), racks(read(2, 'sugar', 1))]).toEqual([false, true])
})

it('a sugar test that the gravity has left behind is no reason for anything', () => {
  const tail = [...must, read(31, 'sg', 0.9975), read(30, 'sugar', 7), read(24, 'sg', 0.993), read(21, 'sg', 0.993), pressed(20)]
  const told = (...more: Entry[]) => seen([...tail, ...more]).tasks.map((t) => t.code)
  expect(told()).not.toContain('sugar-before-bacteria')
  // One that was done at the end stands, whatever the gravity was before.
  expect(told(read(20, 'sugar', 7))).toContain('sugar-before-bacteria')
})

const warmed = (days: number) => entry(days, { type: 'operation', lotId, what: 'warm' })
describe('malolactic that has come to a stand: what is offered first', () => {
  const still = [read(9, 'malic', 2.1), read(2, 'malic', 2.1)]
  const pitched = red.map((e) => ({ ...e, at: at(200 - (67 - (Date.parse(now) - Date.parse(e.at)) / 86_400_000)), written: e.written }))
  it.each([
    ['nothing was tried, and it is cold', [...red, bacteria(50), read(2, 'temperature', 14), ...still], 'warm-it'],
    ['it is warm as it is', [...red, bacteria(50), read(2, 'temperature', 20), ...still], 'another-culture'],
    ['it was warmed', [...red, bacteria(50), warmed(45), read(2, 'temperature', 14), ...still], 'another-culture'],
    ['warmed, and fresh ones went in', [...red, bacteria(60), warmed(55), bacteria(46), ...still], 'block-malolactic'],
    ['half a year', [...pitched, bacteria(190), read(2, 'temperature', 14), ...still], 'block-malolactic']
  ] as const)('%s', (_what, entries, first) => {
    const stands = seen(entries).tasks.find((t) => t.code === 'malolactic-stands')
    expect(stands?.waysOut?.[0]?.code).toBe(first)
  })
})

describe('malolactic, over', () => {
  it.each([
    ['a little higher than the test that found it gone', 0.2, 'done'],
    ['more than a test is off by', 0.6, 'under-way']
  ] as const)('a later test that reads %s', (_what, then, malolactic) => {
    const { lot } = seen([...red, bacteria(60), read(9, 'malic', 0.4), read(6, 'malic', 0.05), read(2, 'malic', then)])
    expect(lot.malolactic).toBe(malolactic)
    if (malolactic === 'done') expect(malolacticEndedAt(lot)).toBe(at(6))
  })
  const over = [...red, bacteria(50), read(6, 'malic', 0.05)]
  it('its new pH is measured, then it is sulphited, within days; then it is kept', () => {
    expect(malolacticEndedAt(seen(over).lot)).toBe(at(6))
    const first = seen(over).tasks[0]
    expect(first).toMatchObject({ code: 'sulphite-after-malolactic', urgency: 'now', phMeasured: false })
    // Within the first days its new pH is measured first; one that lies open for a week is dosed by the old one rather than not at all.
    expect(first!.action).toMatchObject({ to: 'sulphite' })
    const fresh = seen([...red, bacteria(50), read(2, 'malic', 0.05)]).tasks.find((t) => t.code === 'sulphite-after-malolactic')!
    expect([fresh.code, fresh.action]).toEqual(['sulphite-after-malolactic', { to: 'measure', lotId, what: 'ph' }])
    // By the acid model pH rises by 0.1 to 0.3 (craft 4.5).
    expect((first as { ph: number }).ph).toBeGreaterThan(3.55)
    expect((first as { ph: number }).ph).toBeLessThan(3.85)
    expect(seen([...over, read(5, 'ph', 3.64)]).tasks[0]).toMatchObject({ phMeasured: true, action: { to: 'sulphite' } })
    expect(seen([...over, read(5, 'ph', 3.64), sulphite(4)]).tasks.map((t) => t.code)).not.toContain('sulphite-after-malolactic')
  })
  it('those who keep it without sulphite are not asked', () => {
    expect(seen([...over, entry(5, { type: 'lot-planned', lotId, sulphite: 'none' })]).tasks.map((t) => t.code)).not.toContain(
      'sulphite-after-malolactic'
    )
  })
})

describe('malolactic, blocked', () => {
  it('says what is still wanting, and at last that no more can be done', () => {
    const blocked = [...red, plan('blocked')]
    expect(seen(blocked).found[0]).toMatchObject({
      code: 'malolactic-blocked',
      free: false,
      racked: true,
      cold: false,
      filtered: false,
      urgency: 'soon'
    })
    const all = [
      ...blocked,
      read(5, 'freeSo2', 42),
      entry(30, { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL: 45, inL: 44 }),
      read(2, 'temperature', 9),
      entry(1, { type: 'operation', lotId, what: 'filter', sterile: true })
    ]
    expect(seen(all).found[0]).toMatchObject({ free: true, racked: true, cold: true, filtered: true, urgency: 'note' })
  })
})
