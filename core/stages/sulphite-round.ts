import { type LotView, isHeld, isWine, keptAt } from '../ledger'
import { TOTAL_LIMIT, TYPICAL_DECAY_PER_DAY } from '../sulphite'

/** From one round to the next: every 4 to 6 weeks, craft 3.10 (common practice), days. */
const NEXT_ROUND_DAYS = 35
/** A dose that a titration could not tell from none, mg/L: common practice, no source. */
const LEAST_ADD = 4
/** However fast a wine loses it: more than this above its level is not put in ahead. Ours. */
const MOST_AHEAD = 1.4

/** A wine on the month's round. */
export interface RoundDose {
  freeMgPerL: number
  targetMgPerL: number
  /** SO₂ to add so that it is still at its level at the next round; 0: it is left alone. */
  addMgPerL: number
  /** The total after it would pass the limit for such a wine. */
  overLimit: boolean
}

/** Kept with sulphite, and not a wine that bacteria work in or are to work in. */
export const isKept = (lot: LotView): boolean =>
  isHeld(lot) && isWine(lot) && lot.plan.sulphite !== 'none' && (lot.malolactic === 'done' || lot.malolactic === 'not-wanted')

/**
 * What a kept wine gets on the month's round: by its own decay it is to be at its level when the next comes.
 * @returns undefined for a wine that is not kept with sulphite, or of which pH or free SO₂ is not known
 */
export function roundDose(lot: LotView): RoundDose | undefined {
  if (!isKept(lot) || !lot.ph || !lot.freeSo2) return undefined
  const [freeMgPerL, targetMgPerL] = [lot.freeSo2.value, keptAt(lot)]
  const decay = lot.upkeep?.decayPerDay.mid ?? TYPICAL_DECAY_PER_DAY
  const aim = targetMgPerL * Math.min(MOST_AHEAD, Math.exp(decay * NEXT_ROUND_DAYS))
  const wanted = (aim - freeMgPerL) / (1 - lot.boundShare)
  const addMgPerL = wanted >= LEAST_ADD ? wanted : 0
  return {
    freeMgPerL,
    targetMgPerL,
    addMgPerL,
    overLimit: addMgPerL > 0 && (lot.totalSo2?.value ?? 0) + addMgPerL > TOTAL_LIMIT[lot.style]
  }
}
