import { type LotView, drynessOf } from '../ledger'
import { goneOnSince } from './gone-on'
import { isOnSkins } from './skins'

/** When its ferment was over, as far as that is known: found dry, or a wine from when it was said to be one. */
export const wineFrom = (lot: LotView): string | undefined => drynessOf(lot)?.first ?? lot.wineSince

/**
 * From when it lies on lees only: it came off its skins, or was first found dry, whichever was later. What was read dry once may still be
 * falling, and racking takes its yeast away: that is not before dryness is proven, but for what was pressed.
 */
export function leesSince(lot: LotView): string | undefined {
  const dryness = drynessOf(lot)
  // Sulphited or given its bacteria since it was last read: it is a wine to those who make it.
  const goneOn = lot.alcoholic === 'dry' && goneOnSince(lot, lot.series.sg?.at(-1)?.at ?? lot.startedAt)
  const over = dryness?.first ?? (lot.alcoholic === 'stopped' || goneOn ? (lot.wineSince ?? lot.series.sg?.at(-1)?.at) : undefined)
  if (over === undefined) return undefined
  if (lot.pressedAt !== undefined && lot.pressedAt > over) return lot.pressedAt
  return lot.alcoholic === 'stopped' || dryness?.proven || goneOn ? over : undefined
}

/** Racked since it was a wine: what was done to the must took no lees of the ferment away. */
export function isOffLees(lot: LotView): boolean {
  if (isOnSkins(lot)) return false
  const since = leesSince(lot) ?? wineFrom(lot)
  // A wine that came from elsewhere came without its gross lees.
  if (lot.inoculatedAt === undefined && lot.originalSg === undefined) return true
  return lot.rackedAt !== undefined && (since === undefined || lot.rackedAt > since || wasPressedDry(lot, lot.rackedAt))
}

/** Racked after its press when next to nothing was left to ferment: the little that it fell since makes no gross lees. */
function wasPressedDry({ pressedAt, series }: LotView, rackedAt: string): boolean {
  const read = series.sg?.findLast((p) => p.at <= rackedAt)
  return pressedAt !== undefined && rackedAt > pressedAt && read !== undefined && read.value <= NEXT_TO_NOTHING
}
/** SG. About 10 g/L of sugar, a twentieth of what there was: our own, as the lees are. */
const NEXT_TO_NOTHING = 1
