import { describe, expect, it } from 'vitest'
import { judge } from '../../practice/follower/judge'
import { SCENARIOS, SHARED } from '../../practice/follower/scenarios'
import { season, sharedSeason } from '../../practice/follower/season'

/**
 * The closed loop: a person does what Presk asks and nothing else, and what is judged is the wine as it truly is. A sample here; all of
 * them over many seeds in `npm run bench -- loop`.
 */
const SAMPLE = [
  ['red, usual', 1], ['red, ripe', 2], ['red, cold cellar', 3], ['red, nothing to test with', 3], ['red, kept without sulphite', 1],
  ['white, usual', 1], ['white, sweet with sorbate', 2], ['white, sweet, pasteurised', 1], ['white, sparkling', 1],
  ['rosé, usual', 2], ['kit, red', 1], ['juice, white', 3], ['concentrate in cans, red, no kits', 51],
  // A gravity with two digits swapped once made 9 % vol of alcohol that was none, and the malolactic was given up for it.
  ['red, one reading in fifteen typed wrong', 66],
  // A dose that locked malic acid was asked about with the bottling, weeks later.
  ['red, ripe', 54],
  // Sugar that a slow yeast was still taking was a reason to give up malolactic.
  ['red, hungry', 64],
  ['juice with honey, white', 61], ['white, refractometer found off', 62], ['red, into a small new barrel', 63],
  ['white, spoons and no scale', 61]
] as const
const MOST_TASKS = 95
const MOST_TOP_UPS = 15

describe('a season by nothing but what Presk asks', () => {
  it.each(SAMPLE)('%s, seed %d: bottled, sound, and not asked to death', (name, seed) => {
    const one = season(SCENARIOS.find((s) => s.name === name)!, seed)
    const verdict = judge(one)
    expect(verdict.faults).toEqual([])
    expect(verdict.bottled).toBe(true)
    expect(verdict.taskCount).toBeLessThanOrEqual(MOST_TASKS)
    expect(verdict.topUps).toBeLessThanOrEqual(MOST_TOP_UPS)
    // Whatever is asked, somebody who follows knows what it means; and nothing that Presk planned is refused by its ledger.
    expect([...one.unknown]).toEqual([])
    expect([...one.nagged]).toEqual([])
    // Nothing that the wine needed was passed over, asked too early, or taken back.
    expect(one.advice).toEqual({ silent: [], outOfOrder: [], contradicted: [] })
    expect(one.refused).toEqual([])
  })
  it('two lots that share odd glass, a ledger and one pair of hands: both bottled and sound', () => {
    for (const one of sharedSeason(SHARED[0]!, 51)) {
      const { faults, bottled } = judge(one)
      const { name } = one.scenario
      expect({ name, faults, bottled, refused: one.refused }).toEqual({ name, faults: [], bottled: true, refused: [] })
    }
  })
  it('the same scenario and seed give the same season', () => {
    const of = () => season(SCENARIOS.find((s) => s.name === 'kit, white')!, 4).history.entries.map((e) => ({ ...e }))
    expect(of()).toEqual(of())
  })
})
