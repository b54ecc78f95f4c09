import { within } from '../units'
import { SO2_SHARE, type SulphiteSalt } from './dose'

export interface Tablet {
  /** Weight of one, g: 0.44 to 0.55 on the market (common practice); weigh ten and divide. */
  weightG: number
  salt: SulphiteSalt
  /** Part of the tablet that is sulphite and not binder. */
  activeShare?: number
}

export interface TabletDose {
  /** As computed, and to the nearest half that a knife can make. */
  exact: number
  rounded: number
  /** What the rounded number brings, mg/L. */
  addsMgPerL: number
}

/**
 * Tablets for an addition. A tablet of unknown salt or weight is not a dose: both must be given.
 * @param addMgPerL SO₂ to add, 0 to 300 mg/L
 * @param volumeL 0.1 to 100 000
 * @param tablet weight 0.2 to 2 g and salt
 * @throws LimitError
 * @example tabletsFor(67, 3.785, { weightG: 0.44, salt: 'potassium-metabisulphite' }).exact // 1.0: one to the US gallon
 */
export function tabletsFor(addMgPerL: number, volumeL: number, tablet: Tablet): TabletDose {
  within('addMgPerL', addMgPerL, 0, 300)
  within('volumeL', volumeL, 0.1, 100_000)
  const so2PerTablet =
    within('weightG', tablet.weightG, 0.2, 2) * within('activeShare', tablet.activeShare ?? 1, 0.3, 1) * SO2_SHARE[tablet.salt] * 1000
  const exact = (addMgPerL * volumeL) / so2PerTablet
  const rounded = Math.round(exact * 2) / 2
  return { exact, rounded, addsMgPerL: (rounded * so2PerTablet) / volumeL }
}
