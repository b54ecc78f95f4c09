import { sucroseDensity, waterDensity } from '../hydrometry'
import { within } from '../units'

export interface MixedMust {
  brix: number
  /** What a litre of the must becomes. */
  litresPerLitre: number
}

/**
 * A must with sugar and water stirred into it, by mass: Brix is g in 100 g; the volume follows from the density of the mixture.
 * @param brix of the must, 0 to 45
 * @param sugarGPerL sucrose for a litre of must, 0 to 500 g
 * @param waterLPerL water for a litre of must, 0 to 5 L
 * @throws LimitError
 * @example mixedMust(24, 0, 0.1).brix // 22.0
 */
export function mixedMust(brix: number, sugarGPerL: number, waterLPerL: number): MixedMust {
  const mustG = sucroseDensity(within('brix', brix, 0, 45), 20)
  const sugarG = within('sugarGPerL', sugarGPerL, 0, 500)
  const totalG = mustG + sugarG + within('waterLPerL', waterLPerL, 0, 5) * waterDensity(20)
  const after = (100 * ((mustG * brix) / 100 + sugarG)) / totalG
  return { brix: after, litresPerLitre: totalG / sucroseDensity(after, 20) }
}
