import { DAY_MS } from '../units'
import type { WayStepCode } from '../ledger'
import type { WayStep } from '../way'
import type { Need, NeedReason } from './needs'
import type { SupplyRow } from './rows'

/** A material that does not last: for whom and when it is first missing, and how much then. */
export interface RunsOut {
  material: string
  unit: SupplyRow['unit']
  /** ISO UTC. */
  at: string
  of: string
  name: string
  short: number
}

/** At which step a need arises. Nutrient goes in within days of the yeast. */
const STEP_OF: Record<NeedReason, WayStepCode> = {
  'first-sulphite': 'pitched',
  'acid': 'pitched',
  'sugar': 'pitched',
  'carbonate': 'pitched',
  'yeast': 'pitched',
  'rehydration': 'pitched',
  'nutrient': 'pitched',
  'enzyme': 'pitched',
  'staged-rest': 'pitched',
  'later-sulphite': 'sulphited'
}
/** From the arrival of fruit to the sulphite after its ferment, days: common practice, no source. */
const UNTIL_LATER_DAYS = 60

/**
 * When what is in store runs out: needs in the order in which they come, each taking its part of what can still be used.
 * @param rows of all materials, against the store
 * @param ways the steps of each lot, by its id
 * @param arrivals the days (YYYY-MM-DD) on which fruit is expected, by its id
 * @param now ISO UTC: what is due already is needed now
 * @returns one for each material that is short, the soonest first
 */
export function runsOutOf(
  rows: readonly SupplyRow[], ways: ReadonlyMap<string, readonly WayStep[]>, arrivals: ReadonlyMap<string, string>, now: string
): RunsOut[] {
  const whenOf = ({ of, reason }: Need): string => {
    const day = arrivals.get(of)
    const at = day === undefined
      ? ways.get(of)?.find((s) => s.code === STEP_OF[reason] && !s.doneAt)?.likely
      : new Date(Date.parse(day) + (reason === 'later-sulphite' ? UNTIL_LATER_DAYS : 0) * DAY_MS).toISOString()
    return at !== undefined && at > now ? at : now
  }
  return rows
    .filter((row) => row.short > 0)
    .flatMap((row): RunsOut[] => {
      let left = row.usable
      const dated = row.needs.map((need) => ({ need, at: whenOf(need) })).sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
      for (const { need, at } of dated) {
        if (need.amount > left + 1e-9) {
          const { material, unit } = row
          return [{ material, unit, at, of: need.of, name: need.name, short: need.amount - left }]
        }
        left -= need.amount
      }
      return []
    })
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.material < b.material ? -1 : 1))
}
