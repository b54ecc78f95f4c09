import type { LotView } from '../ledger'
import type { MaterialKey } from '../materials'

/** Of the pair the first part: silica, and an hour to a day later what takes it down (craft 3.11). */
export const FIRST = 'silica-sol' satisfies MaterialKey
export const SECOND = ['chitosan', 'gelatin', 'isinglass'] as const
/** What takes something down with it. */
const AGENTS = [...SECOND, 'casein', 'egg-white', 'bentonite', 'charcoal'] as const satisfies readonly MaterialKey[]

/** All finings that go into a wine for its haze. */
export const FININGS = [FIRST, ...AGENTS] as const

/** Which of several materials went in last. */
export const lastOf = (lot: Pick<LotView, 'putIn'>, keys: readonly string[]): { at: string, material: string } | undefined =>
  keys
    .flatMap((material) => {
      const at = lot.putIn.get(material)
      return at ? [{ at, material }] : []
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1))[0]

/** What it was fined with as a wine and is still on: neither racked nor filtered since. Given to a must it comes off with the lees. */
export function finingUnder(lot: LotView): { at: string, material: string } | undefined {
  const agent = lot.alcoholic === 'dry' || lot.alcoholic === 'stopped' ? lastOf(lot, AGENTS) : undefined
  const began = lot.inoculatedAt ?? lot.startedAt
  if (!agent || agent.at < began) return undefined
  return [lot.rackedAt, lot.worked.get('filter')?.at].some((at) => at !== undefined && at > agent.at) ? undefined : agent
}
