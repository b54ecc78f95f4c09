import type { LotView } from '../ledger'
import { hoursSince } from './stage'

/** What smelt of these is walked to last: tools carry acetic bacteria and wild yeasts on. Common practice, no source. */
const CARRIED = ['vinegar', 'nail-varnish'] as const
/** A smell speaks for so long, h. */
const SMELT_H = 7 * 24

/** What the order of a walk asks of a lot. */
type Walked = Pick<LotView, 'contents' | 'smelt'>

/** Whether what is in it could be carried to the next vessel. */
export const isCarried = (lot: Pick<LotView, 'smelt'>, now: string): boolean =>
  lot.smelt !== undefined
  && lot.smelt.at <= now
  && hoursSince(lot.smelt.at, now) <= SMELT_H
  && CARRIED.some((s) => lot.smelt!.smells.includes(s))

/**
 * The order to walk in: from vessel to vessel as they stand, what has no vessel after them, and last what could be carried on.
 * @param lots in any order
 * @param vesselIds as the vessels stand
 * @param now ISO UTC
 */
export function walkingOrder<L extends Walked>(lots: readonly L[], vesselIds: readonly string[], now: string): L[] {
  const at = (id: string) => (vesselIds.includes(id) ? vesselIds.indexOf(id) : vesselIds.length)
  const place = (lot: L) => Math.min(...[...lot.contents.keys()].map(at))
  return [...lots].sort((a, b) => Number(isCarried(a, now)) - Number(isCarried(b, now)) || place(a) - place(b))
}
