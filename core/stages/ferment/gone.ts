import type { LotView } from '../../ledger'
import { arrivesOnSkins } from '../../must'

/** Gravity of a wine whose sugar is gone: where the share that is gone is one. */
const END_SG = 0.994

/** Share of the sugar that is gone at the last look, 0 to 1. */
export function goneShare(lot: LotView): number {
  if (!lot.sg || !lot.originalSg || lot.originalSg.value <= END_SG) return 0
  return Math.min(1, Math.max(0, (lot.originalSg.value - lot.sg.value) / (lot.originalSg.value - END_SG)))
}

export type Phase = 'early' | 'middle' | 'late'
/** Before one third air and nutrient help, after two thirds they harm (craft 3.7). */
export const phaseOf = (lot: LotView): Phase => (goneShare(lot) < 1 / 3 ? 'early' : goneShare(lot) < 2 / 3 ? 'middle' : 'late')

/** It lies on its skins: nobody has pressed it. */
export const isOnSkins = (lot: LotView): boolean =>
  lot.pressedAt === undefined && lot.stream !== 'test' && arrivesOnSkins(lot.stream, lot.style, lot.onSkins)
