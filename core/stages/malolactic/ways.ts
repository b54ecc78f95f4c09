import type { Finding } from '../../findings'
import type { LotView } from '../../ledger'
import type { MalolacticSays } from './says'

export type Says = Finding<MalolacticSays>

/** What was decided holds for so many days. */
export const [HELPED_DAYS, WAIT_DAYS] = [28, 28] as const
/** A look speaks for where malolactic is for so long, h. Ours. */
export const FRESH_H = 21 * 24

export const benchOf = (lot: LotView) => ({ to: 'malolactic', lotId: lot.id }) as const
export const block = (lot: LotView) =>
  ({ code: 'block-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'blocked' }] }) as const
export const noMalolactic = (lot: LotView) =>
  ({ code: 'no-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'none' }] }) as const
export const warm = (lot: LotView) =>
  ({ code: 'warm-it', drafts: [{ type: 'operation', lotId: lot.id, what: 'warm' }], days: HELPED_DAYS }) as const
export const culture = (lot: LotView) => ({ code: 'another-culture', action: benchOf(lot), days: HELPED_DAYS }) as const
