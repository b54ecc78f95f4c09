import type { LotView } from '../ledger'
import type { MaterialKey } from '../materials'

/** What takes down a silica that went in before it (craft 3.11). */
export const SECOND = ['chitosan', 'gelatin', 'isinglass'] as const
const AGENTS = [...SECOND, 'casein', 'egg-white', 'bentonite', 'charcoal'] as const satisfies readonly MaterialKey[]

/** Which of several materials went in last. */
export const lastOf = (lot: Pick<LotView, 'putIn'>, keys: readonly string[]): { at: string, material: string } | undefined =>
  keys
    .flatMap((material) => {
      const at = lot.putIn.get(material)
      return at ? [{ at, material }] : []
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1))[0]

/** What it was fined with as a wine, and lies on since: neither racked nor filtered. Given to a must it comes off with the lees. */
export function finingUnder(lot: LotView): { at: string, material: string } | undefined {
  const agent = lot.alcoholic === 'dry' || lot.alcoholic === 'stopped' ? lastOf(lot, AGENTS) : undefined
  const began = lot.inoculatedAt ?? lot.startedAt
  if (!agent || agent.at < began) return undefined
  return [lot.rackedAt, lot.worked.get('filter')?.at].some((at) => at !== undefined && at > agent.at) ? undefined : agent
}

/** Any of what is used to fine. */
export const wasFined = (lot: LotView, first: string): boolean => lastOf(lot, [first, ...AGENTS]) !== undefined
