import type { Composition } from './charge'
import { POTASSIUM_MOLAR_MASS } from './constants'

/**
 * Part of the strong ions of must and of wine that is potassium; the rest is ammonium (which yeast takes), magnesium, calcium and
 * sodium less their anions. From memory; smooth from one to the other.
 */
const SHARE = { must: 0.79, wine: 0.86, wineFromAbv: 10 } as const
export const potassiumShare = (abv: number): number => SHARE.must + (SHARE.wine - SHARE.must) * Math.min(1, abv / SHARE.wineFromAbv)

/** Potassium as far as the strong ions tell, mol/L. */
export const potassiumOf = (composition: Composition): number => Math.max(0, composition.strongIon) * potassiumShare(composition.abv)

/** The same in g/L. */
export const potassiumGPerL = (composition: Composition): number => potassiumOf(composition) * POTASSIUM_MOLAR_MASS
