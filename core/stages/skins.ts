import type { LotView } from '../ledger'
import { arrivesOnSkins } from '../must'

/** It lies on its skins: nobody has pressed it. */
export const isOnSkins = (lot: LotView): boolean =>
  lot.pressedAt === undefined && lot.stream !== 'test' && arrivesOnSkins(lot.stream, lot.style, lot.onSkins)
