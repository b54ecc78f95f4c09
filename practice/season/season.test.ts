import { describe, expect, it } from 'vitest'
import { correctRefractometer } from '../../core/hydrometry'
import { type Draft, type Entry, historyOf } from '../../core/ledger'
import { entrySchema } from '../../core/ledger/schema'
import { Hand } from '../follower/hand'
import { lotId as followed } from '../follower/scenarios'
import { run } from '../follower/season'
import { PRACTICE_SCENARIOS, SCENARIO_CODES, World, beginsAt, blindly, decisionsOf, handReads, lotsOf, openingEntries, scenarioOf, truthOf,
  verdictOf, without } from '.'

const START = '2026-09-20T08:00:00.000Z'
const HOUR = 3_600_000
const at = (hours: number) => new Date(Date.parse(START) + hours * HOUR).toISOString()
let count = 0
const written = (drafts: readonly Draft[]): Entry[] =>
  drafts.map((d) => {
    const id = `practice-${String(++count).padStart(6, '0')}`
    return entrySchema.parse({ id, device: 'test', at: START, written: START, ...d })
  })
const opened = (code: (typeof SCENARIO_CODES)[number], seed = 3) => {
  const scenario = scenarioOf(code)!
  return { scenario, entries: written(openingEntries(scenario, START)), world: new World(scenario, seed, START) }
}
const LOT = 'lot-practice-1'
const yeast = (grams: number, hours: number): Draft =>
  ({ type: 'inoculation', lotId: LOT, organism: 'yeast', culture: 'Yeast', grams, at: at(hours) })

describe('a season in practice', () => {
  it.each(SCENARIO_CODES)('%s opens without a word from the ledger, and each lot is a must of the simulator', (code) => {
    const { scenario, entries, world } = opened(code)
    expect(historyOf(entries).cellar.problems).toEqual([])
    const there = world.to(entries, beginsAt(scenario, START))
    expect([...there.kept.keys()]).toEqual(lotsOf(scenario, 3).map((l) => l.lotId))
    for (const { wine } of there.kept.values()) for (const [key, value] of Object.entries(wine)) if (typeof value === 'number')
      expect(value, key).toSatisfy(Number.isFinite)
  })
  it('the same entries on the same seed are the same season, however often the clock was stopped', () => {
    const { entries, world } = opened('warm-garage')
    const all = [...entries, ...written([yeast(8, 6), { type: 'operation', lotId: LOT, what: 'cool', at: at(80) } as Draft])]
    let stepped = world
    for (let h = 1; h <= 400; h += 7) stepped = stepped.to(all, at(h))
    stepped = stepped.to(all, at(400))
    const once = new World(world.scenario, world.seed, START).to(all, at(400))
    expect(stepped.kept.get(LOT)!.wine).toEqual(once.kept.get(LOT)!.wine)
    expect(handReads(stepped, LOT, 'sg')).toBe(handReads(once, LOT, 'sg'))
  })
  it('an entry that is struck was never done, and one that is added late was done then', () => {
    const { entries, world } = opened('cold-cellar')
    const grams: Draft = { type: 'addition', lotId: LOT, material: 'potassium-metabisulphite', unit: 'g', actual: 2, at: at(30) }
    const [dose] = written([grams])
    const struck = written([{ type: 'correction', targetId: dose!.id, reason: 'no', replacement: null, at: at(40) }])
    const base = world.to(entries, at(50))
    const none = truthOf(base.kept.get(LOT)!, 10)
    const late = base.to([...entries, dose!], at(50))
    expect(truthOf(late.kept.get(LOT)!, 10).totalSo2).toBeGreaterThan(none.totalSo2 + 30)
    expect(truthOf(late.to([...entries, dose!, ...struck], at(50)).kept.get(LOT)!, 10)).toEqual(none)
  })
  // What is done to the wine is what was logged, by the molar masses: independent of the simulator's own hands.
  it.each<[string, Draft, (t: ReturnType<typeof truthOf>) => number, number]>([
    ['3 g of tartaric acid in a litre', { type: 'addition', lotId: LOT, material: 'tartaric', unit: 'g', actual: 60 },
      (t) => t.tartaric, 3],
    ['sulphite is 57.6 % SO₂', { type: 'addition', lotId: LOT, material: 'potassium-metabisulphite', unit: 'g', actual: 2 },
      (t) => t.totalSo2, 57.6],
    ['a gram of cane sugar is 1.053 g of what yeast eats', { type: 'addition', lotId: LOT, material: 'sugar', unit: 'g', actual: 200 },
      (t) => t.sugar, 10.5]
  ])('%s', (_name, draft, figure, difference) => {
    const { entries, world } = opened('cold-cellar')
    const before = figure(truthOf(world.to(entries, START).kept.get(LOT)!, 10))
    const after = figure(truthOf(new World(world.scenario, 3, START).to([...entries, ...written([draft])], START).kept.get(LOT)!, 10))
    expect(Math.abs(after - before - difference)).toBeLessThan(0.02 * difference + 0.05)
  })
  it('the stuck red is stuck: more than three weeks on, sweet, and hardly moving', () => {
    const scenario = scenarioOf('stuck')!
    const stuck = [1, 2, 3, 4, 5, 6, 7, 8].filter((seed) => {
      const entries = written(openingEntries(scenario, START))
      const there = new World(scenario, seed, START).to(entries, beginsAt(scenario, START))
      const { sugar } = there.kept.get(LOT)!.wine
      return sugar > 12 && sugar - there.to(entries, at(24 * 28)).kept.get(LOT)!.wine.sugar < 16
    })
    expect(stuck.length).toBeGreaterThanOrEqual(7)
  })
  it('a pail filled to its brim runs over in the wild days, and what ran over is lost', () => {
    const { entries, world } = opened('freezer')
    const bin = entries.find((e) => e.type === 'vessel-added' && e.capacityL < 30 && e.kind === 'demijohn' && e.capacityL >= 23)!
    const move: Draft = {
      type: 'transfer', purpose: 'rack', from: { lotId: LOT, vesselId: 'vessel-bin-0-1' },
      to: { lotId: LOT, vesselId: (bin as { vesselId: string }).vesselId },
      outL: 23, inL: 23, at: at(30)
    }
    const over = world.to([...entries, ...written([move, yeast(6, 40)])], at(24 * 9))
    expect(over.mishaps.map((m) => m.code)).toContain('ran-over')
    expect(over.kept.get(LOT)!.wine.litres).toBeLessThan(22)
  })
  it('a wine bottled sweet, with yeast in it, bursts by the end of its first summer; a dry one keeps', () => {
    const bottled = (hours: number) => {
      const { entries } = opened('first-kit')
      const fill: Draft = { type: 'bottling', lotId: LOT, bottles: [{ sizeMl: 750, count: 20 }], closure: 'cork', at: at(hours) }
      const all = [...entries, ...written([yeast(5, 5), fill])]
      return verdictOf(new World(scenarioOf('first-kit')!, 3, START).to(all, at(hours + 1)), LOT, all)!.faults.map((f) => f.code)
    }
    expect(bottled(24 * 5)).toContain('burst')
    expect(bottled(24 * 60)).not.toContain('burst')
  })
  it('what a decision was worth is the season without it', () => {
    const { entries, world } = opened('warm-garage')
    const tartaric: Draft = { type: 'addition', lotId: LOT, material: 'tartaric', unit: 'g', actual: 45, at: at(5) }
    const all = [...entries, ...written([yeast(8, 6), tartaric])]
    const end = world.to(all, at(24 * 60))
    const groups = decisionsOf(historyOf(all).facts.map((f) => f.fact), LOT)
    expect(groups.map((g) => g[0]!.type).sort()).toEqual(['addition', 'inoculation'])
    const acid = without(end, all, LOT, groups.find((g) => g[0]!.type === 'addition')!)!
    expect(acid.with.truth.ph).toBeLessThan(acid.without.truth.ph - 0.05)
    const pitch = without(end, all, LOT, groups.find((g) => g[0]!.type === 'inoculation')!)!
    expect(pitch.without.truth.sugar).toBeGreaterThan(pitch.with.truth.sugar)
    expect(pitch.worth).toBeGreaterThanOrEqual(0)
  })
  it('a refractometer in a ferment, corrected as the bench does, gives its gravity to within what the bench says', () => {
    const { entries, world } = opened('cold-cellar')
    const all = [...entries, ...written([yeast(6, 20)])]
    const at0 = truthOf(world.to(all, at(1)).kept.get(LOT)!, 10).refracts
    for (let h = 60; h < 700; h += 40) {
      const is = truthOf(world.to(all, at(h)).kept.get(LOT)!, 10)
      const told = correctRefractometer(at0, Math.max(0, is.refracts))
      expect(Math.abs(told.sg - is.sg), `hour ${h}`).toBeLessThan(Math.max(0.005, 1.5 * told.uncertaintySg))
    }
  })
  it('followed blindly a season ends well', () => {
    const verdicts = PRACTICE_SCENARIOS.filter((s) => s.code !== 'few-vessels' && s.code !== 'stuck').map((s) => blindly(s, 2, LOT)!)
    for (const v of verdicts)
      expect(v.faults.filter((f) => ['burst', 'vinegar', 'oxidised', 'not-bottled', 'malic-left'].includes(f.code)), v.lotId).toEqual([])
    expect(verdicts.reduce((sum, v) => sum + v.score, 0) / verdicts.length).toBeGreaterThan(85)
  })
  // The follower keeps a wine of its own, moved by its own hands: what its entries make of ours has to be the same wine.
  it('a followed kit lived again from its entries is the follower’s wine, packets and all', () => {
    const scenario = scenarioOf('first-kit')!
    const hand = new Hand(scenario.households[0]!, 2)
    const { history, filled } = run(hand)
    const entries = JSON.parse(JSON.stringify(history.entries).replaceAll(followed, LOT)) as Entry[]
    const again = new World(scenario, 2, new Date(hand.start).toISOString()).to(entries, entries.findLast((e) => e.type === 'bottling')!.at)
    const [is, was] = [again.kept.get(LOT)!.bottles[0]!.wine, filled!]
    for (const key of ['sugar', 'ethanol', 'total', 'sorbate'] as const) {
      const off = Math.abs(is[key] - was[key]) / Math.max(3, was[key])
      expect(off, `${key}: ${is[key]} for ${was[key]}`).toBeLessThan(0.12)
    }
    expect(is.sorbate).toBeGreaterThan(80)
  })
  it('a racking in two parts is one racking', () => {
    const { entries, world } = opened('high-ph')
    const glass = entries.flatMap((e) => (e.type === 'vessel-added' && e.kind === 'demijohn' ? [e.vesselId] : []))
    const part = (outL: number, i: number): Draft => ({
      type: 'transfer', purpose: 'rack', from: { lotId: LOT, vesselId: 'vessel-bin-0-1' }, to: { lotId: LOT, vesselId: glass[i]! },
      outL, inL: outL, at: at(24 * 30)
    })
    const after = (...drafts: Draft[]) =>
      truthOf(new World(world.scenario, 3, START).to([...entries, ...written([yeast(8, 20), ...drafts])], at(24 * 30)).kept.get(LOT)!, 16)
    const [none, once, twice] = [after(), after(part(30, 0)), after(part(18, 1), part(12, 3))]
    expect(once.gas).toBeLessThan(none.gas)
    // The second part is a part of what is there, so some of it is racked twice over: close, not the same.
    expect(Math.abs(once.gas - twice.gas)).toBeLessThan(0.35 * (none.gas - once.gas))
  })
})
