import type { LotView } from '../ledger'
import { type FirstDose, type FruitHealth, type SulphiteSalt, firstDose } from '../sulphite'
import { LEAST_ADD } from './sulphite-dose'

/**
 * The first sulphite of a must, less what is in it already: one answer for crush day and the bench.
 * @param given what is typed at the bench over what the ledger says
 * @throws LimitError
 */
export function firstDoseOf(
  lot: LotView,
  health: FruitHealth,
  salt: SulphiteSalt,
  given: { volumeL?: number, ph?: number } = {}
): FirstDose & { toAddMgPerL: number } {
  const ph = given.ph ?? lot.ph?.value
  const litres = given.volumeL ?? lot.volume.value
  const dose = firstDose(litres, health, lot.style, salt, ph !== undefined && ph >= 2.5 && ph <= 4.5 ? ph : undefined,
    lot.malolactic === 'to-come')
  // What no titration tells from none is no second dose.
  const short = dose.mgPerL - (lot.totalSo2?.value ?? 0)
  const toAddMgPerL = short < LEAST_ADD ? 0 : short
  return { ...dose, toAddMgPerL, grams: dose.grams * (toAddMgPerL / dose.mgPerL) }
}
