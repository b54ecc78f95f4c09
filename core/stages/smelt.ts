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

/** What its fault asks for was done since it was smelt: whether it helped is known when somebody smells it again. */
export function isHelped(lot: Pick<LotView, 'smelt' | 'rackedAt' | 'lastSulphiteAt' | 'toppedAt'>, fault: Faulty): boolean {
  const { smelt } = lot
  const since = (at: string | undefined) => smelt !== undefined && at !== undefined && at > smelt.at
  return fault === 'rotten-egg' ? since(lot.rackedAt) : since(lot.lastSulphiteAt) || since(lot.toppedAt)
}
