import { lotAt } from '../../core/ledger'
import { Hand } from '../follower/hand'
import { lotId as followed } from '../follower/scenarios'
import { run } from '../follower/season'
import { BEARS_G_PER_L, type Kept } from './acts'
import { type PracticeScenario, lotsOf } from './scenarios'
import { type Verdict, judge } from './verdict'

/**
 * How a lot ends for somebody who does what Presk asks and nothing else, judged on the follower's own wine: what they do with their hands
 * (ice, a heater) stands in no ledger, so living their entries again would be another wine.
 */
export function blindly(scenario: PracticeScenario, seed: number, lotId: string): Verdict | undefined {
  const index = lotsOf(scenario, seed).findIndex((l) => l.lotId === lotId)
  const household = scenario.households[index]
  if (!household) return undefined
  const hand = new Hand(household, seed + index * 101)
  const season = run(hand)
  const litres = season.bottles * 0.75
  const bearsGPerL = household.plan?.sparkling ? BEARS_G_PER_L.sparkling : BEARS_G_PER_L.still
  const bottles: Kept['bottles'] = season.filled
    ? [{ entryId: 'followed', wine: season.filled, count: season.bottles, litres, fermented: 0, bearsGPerL }]
    : []
  const mostL = Math.max(hand.wine.must.litres, litres + hand.wine.litres)
  const { plan } = lotAt(season.lot, hand.now())
  const entries = season.history.entries.map((e) => ('lotId' in e && e.lotId === followed ? { ...e, lotId } : e))
  return judge({ lotId, kept: { wine: hand.wine, spilledL: 0, mostL, bottles }, plan, entries })
}
