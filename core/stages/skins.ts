import { type LotView, drynessOf, isWine } from '../ledger'
import { arrivesOnSkins } from '../must'
import { hoursSince } from './stage'

/** A red that nobody entered the pressing of is taken as pressed after so long as a wine, h. Ours. */
const PRESSED_BY_NOW_H = 60 * 24

/** It lies on its skins: nobody has pressed it, and nothing was done to it since that is done to pressed wine. */
export const isOnSkins = (lot: LotView): boolean =>
  lot.pressedAt === undefined
  && lot.stream !== 'test'
  && arrivesOnSkins(lot.stream, lot.style, lot.onSkins)
  && !(isWine(lot) && goneOnWithoutSkins(lot))

function goneOnWithoutSkins(lot: LotView): boolean {
  const over = drynessOf(lot)?.first ?? lot.wineSince
  if (over === undefined) return false
  return (
    lot.sulphited.some((dose) => dose.at > over)
    || (lot.series.freeSo2 ?? []).some((read) => read.at > over)
    || (lot.rackedAt !== undefined && lot.rackedAt > over)
    || hoursSince(over, lot.asOf) > PRESSED_BY_NOW_H
  )
}
