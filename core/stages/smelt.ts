import type { LotView } from '../ledger'
import { hoursSince } from './stage'

/** Smells that are faults of a wine, and not of its yeast. */
export const FAULTY = ['rotten-egg', 'vinegar', 'nail-varnish'] as const
export type Faulty = (typeof FAULTY)[number]

/** What a kept wine smelt of counts for so long, h: common practice, no source. */
export const SMELT_STANDS_H = 30 * 24

/** The fault that a kept wine smelt of when somebody last smelt it, not too long ago. */
export function faultOf(lot: Pick<LotView, 'smelt'>, now: string): Faulty | undefined {
  const { smelt } = lot
  return smelt && hoursSince(smelt.at, now) <= SMELT_STANDS_H ? FAULTY.find((fault) => smelt.smells.includes(fault)) : undefined
}
