import { HOUR_MS } from '../../core/units'
import type { Draft, Fact } from '../../core/ledger'
import type { MustTruth } from '../../simulator'
import { openingOf } from '../follower/opening'
import { SCENARIOS as LOOP, type Scenario as Household, mustOf } from '../follower/scenarios'

/** A lot of a season: what it is in the ledger, and what is true of it. */
export interface PracticeLot {
  lotId: string
  must: MustTruth
}

/** A season to play: what comes in, where it is kept, and what the household has. Its words are the app's (`wording/practice.ts`). */
export interface PracticeScenario {
  code: ScenarioCode
  /** As the follower knows it: one household a lot. */
  households: readonly Household[]
  /** Hours that have gone by when the person comes to it. */
  begun?: number
}

export const SCENARIO_CODES = ['first-kit', 'warm-garage', 'cold-cellar', 'high-ph', 'rain', 'freezer', 'stuck', 'few-vessels'] as const
export type ScenarioCode = (typeof SCENARIO_CODES)[number]

const red = { stream: 'fresh', colour: 'red', litres: 30, plan: { malolactic: 'after-pressing' } } as const
const white = { stream: 'juice', colour: 'white', litres: 20, plan: { malolactic: 'none' } } as const
const FROM_LOOP = (name: string): Household => LOOP.find((s) => s.name === name)!

export const PRACTICE_SCENARIOS: readonly PracticeScenario[] = [
  { code: 'first-kit', households: [{ ...FROM_LOOP('kit, red'), name: 'Kit red' }] },
  { code: 'warm-garage', households: [{ ...red, name: 'Garage red', brix: 24, room: { mean: 22, swing: 7 } }] },
  { code: 'cold-cellar', households: [{ ...white, name: 'Cellar white', room: { mean: 11, swing: 5 } }] },
  { code: 'high-ph', households: [{ ...red, name: 'Ripe red', brix: 25.5, ph: 3.85, ta: 4.8 }] },
  { code: 'rain', households: [{ ...red, name: 'Rain harvest', brix: 18.5, ph: 3.35, ta: 8.2, rot: 0.22 }] },
  { code: 'freezer', households: [{ ...FROM_LOOP('frozen must, red'), name: 'Freezer red', litres: 23 }] },
  {
    code: 'stuck',
    households: [{ ...red, name: 'Stuck red', brix: 28, nitrogen: 50, room: { mean: 30, swing: 5 }, ph: 3.6, ta: 6 }],
    begun: 24 * 24
  },
  {
    code: 'few-vessels',
    households: [
      { ...red, name: 'Hill red', litres: 24 },
      { ...white, name: 'House white', litres: 19 },
      { ...white, name: 'Neighbour’s white', litres: 12, ph: 3.5, ta: 5.6 }
    ]
  }
]
export const scenarioOf = (code: string): PracticeScenario | undefined => PRACTICE_SCENARIOS.find((s) => s.code === code)

const lotIdOf = (index: number): string => `lot-practice-${index + 1}`
export const lotsOf = (scenario: PracticeScenario, seed: number): PracticeLot[] =>
  scenario.households.map((h, i) => ({ lotId: lotIdOf(i), must: mustOf(h, seed + i * 101) }))

/** Glass that stays when there is too little of it. */
const FEW = [23, 15, 5]

/**
 * What the ledger holds before the first move: the vessels, which the page names in the person's units, what the household owns, and what
 * came in.
 */
export function openingEntries(scenario: PracticeScenario, start: string): Draft<Fact>[] {
  const all = scenario.households.flatMap((household, i) => {
    const ofThis = openingOf(household).flatMap((draft): Draft<Fact>[] => {
      if (draft.type === 'vessel-added') {
        if (scenario.code === 'few-vessels' && draft.kind === 'demijohn' && (i > 0 || !FEW.includes(draft.capacityL))) return []
        // Two households share no vessel: each has its own bins.
        return [{ ...draft, vesselId: `${draft.vesselId}-${i + 1}` }]
      }
      if (draft.type === 'equipment-said') return i === 0 ? [draft] : []
      if (draft.type === 'lot-started') return [{ ...draft, lotId: lotIdOf(i), vesselId: `${draft.vesselId}-${i + 1}` }]
      return draft.type === 'lot-planned' ? [{ ...draft, lotId: lotIdOf(i) }] : []
    })
    // A handful of glasses is what a household has; the loop has them by the dozen.
    let glasses = 0
    return ofThis.filter((d) => d.type !== 'vessel-added' || d.kind !== 'demijohn' || ++glasses <= 9)
  })
  const dated = all.map((d) => ({ ...d, at: start }) as Draft<Fact>)
  if (scenario.code !== 'stuck') return dated
  const later = (hours: number) => new Date(Date.parse(start) + hours * HOUR_MS).toISOString()
  const lotId = lotIdOf(0)
  // What the neighbour did, and did not do: no nutrient, no look at the heat.
  return [
    ...dated,
    { type: 'inoculation', lotId, organism: 'yeast', culture: 'Yeast from a packet', grams: 5, at: later(20) }
  ]
}
/** When the person comes to it. */
export const beginsAt = ({ begun = 0 }: PracticeScenario, start: string): string =>
  new Date(Date.parse(start) + begun * HOUR_MS).toISOString()
