import { within } from '../units'
import { SO2_SHARE, type SulphiteSalt } from './dose'

export type FruitHealth = 'sound' | 'some-rot' | 'poor'

/** SO₂ at the crusher by the health of the fruit, mg/L, from 30 to 60: common practice, no source (craft 3.3). */
export const FIRST_SO2: Record<FruitHealth, number> = { sound: 30, 'some-rot': 45, poor: 60 }
/** From this pH on any fruit gets more: what is free protects less, and poor fruit binds most. Common practice, no source. */
const HIGH_PH = { red: 3.6, rose: 3.4, white: 3.4 } as const
const HIGH_PH_EXTRA = 10
/** Total SO₂ that malolactic bacteria bear, mg/L: 30 to 40 (craft 3.9, common practice); a ferment takes little of what is bound. */
const BEFORE_MALOLACTIC = 40

export interface FirstDose {
  mgPerL: number
  grams: number
  reasons: ('health' | 'high-ph' | 'ph-unknown' | 'malolactic')[]
}

/**
 * The first sulphite, at once and by the expected juice: never by the weight of the fruit. The pH decides later doses; here it
 * adds a little when it is known to be high.
 * @param juiceL expected juice, 0.1 to 100 000 L
 * @param health of the fruit
 * @param style red, rosé or white
 * @param salt what is weighed
 * @param ph when it was measured already, 2.5 to 4.5
 * @param malolactic whether malolactic is wanted: bacteria bear no more than so much in total
 * @throws LimitError
 * @example firstDose(76.7, 'sound', 'red', 'potassium-metabisulphite').grams // 3.99
 */
export function firstDose(
  juiceL: number,
  health: FruitHealth,
  style: keyof typeof HIGH_PH,
  salt: SulphiteSalt,
  ph?: number,
  malolactic = false
): FirstDose {
  within('juiceL', juiceL, 0.1, 100_000)
  const high = ph !== undefined && within('ph', ph, 2.5, 4.5) >= HIGH_PH[style]
  const byHealth = FIRST_SO2[health] + (high ? HIGH_PH_EXTRA : 0)
  const mgPerL = malolactic ? Math.min(BEFORE_MALOLACTIC, byHealth) : byHealth
  return {
    mgPerL,
    grams: (mgPerL * juiceL) / 1000 / SO2_SHARE[salt],
    reasons: [
      'health',
      ...(mgPerL < byHealth ? ['malolactic' as const] : []),
      ...(ph === undefined ? ['ph-unknown' as const] : high ? ['high-ph' as const] : [])
    ]
  }
}
