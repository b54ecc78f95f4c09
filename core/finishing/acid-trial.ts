import { type AcidReadings, type Band, type DeacidifyingSalt, predictAcids } from '../acids'
import { within } from '../units'

export type TriedAcid = 'tartaric' | 'malic' | 'citric' | 'lactic' | DeacidifyingSalt
export const TRIED_ACIDS = ['tartaric', 'malic', 'citric', 'lactic', 'potassium-bicarbonate'] as const satisfies readonly TriedAcid[]
/** A wine is touched up, not corrected: rates of a taste trial, g/L. Common practice, no source. */
export const WINE_ACID_DOSE = { min: 0.25, max: 1 } as const

export interface AcidGlass {
  rate: number
  ph: number
  taGPerL: number
  bands: { ph: Band, taGPerL: Band }
}

/**
 * What pH and TA a wine would have with so much of an acid or a carbonate, for each glass of a taste trial.
 * @param rates g/L, 0 to 5
 * @throws LimitError
 * @example acidTrial({ ph: 3.7, taGPerL: 5.2, abv: 13 }, 'tartaric', [0, 0.5, 1])
 */
export function acidTrial(wine: AcidReadings, acid: TriedAcid, rates: readonly number[]): AcidGlass[] {
  return rates.map((rate) => {
    const { after } = predictAcids(wine, within('rate', rate, 0, 5) > 0 ? [{ kind: acid, gPerL: rate }] : [])
    return { rate, ph: after.ph, taGPerL: after.taGPerL, bands: { ph: after.bands.ph, taGPerL: after.bands.taGPerL } }
  })
}
