import { within } from '../units'
import { type SugarScales, sugarScales } from './sugar-scales'

export interface RefractometerReading extends SugarScales {
  /** Which relation gave `sg`. */
  fit: 'no alcohol' | 'Novotny 2017, quadratic'
  /** The other published fits, for comparison: Terrill 2011, cubic, and Bonham, cubic. Absent without alcohol. */
  terrillSg?: number
  bonhamSg?: number
  /** Half-width of the band around `sg`: 0.002 of the fits, or half of what they disagree if that is more. */
  uncertaintySg: number
}

/** Below this fall of the refractometer, °Brix, the sample counts as free of alcohol. */
const NO_ALCOHOL_FALL = 0.3

/**
 * A refractometer during fermentation: the refractive index counts sugar and alcohol together, so the gravity is
 * computed from the first and the present reading. Three published fits, all made on beer and stretched here to must:
 * P. Novotny, Zymurgy 2017, quadratic (the one used); S. Terrill, 2011, cubic; L. Bonham, cubic. Coefficients from memory.
 * Halfway through a ripe must they part by up to 0.02; then the hydrometer decides.
 * @param originalBrix reading before fermentation, 5 to 32 °Brix
 * @param currentBrix reading now, 0 to 32 °Brix
 * @param offsetBrix what the instrument shows in distilled water; subtracted from both
 * @returns all scales from the gravity found, the second fit and the band
 * @throws LimitError
 * @example correctRefractometer(24, 8).sg // about 0.995
 */
export function correctRefractometer(originalBrix: number, currentBrix: number, offsetBrix = 0): RefractometerReading {
  within('offsetBrix', offsetBrix, -5, 5)
  const i = within('originalBrix', originalBrix - offsetBrix, 5, 32)
  const f = within('currentBrix', currentBrix - offsetBrix, 0, Math.min(32, i + 0.5))
  if (i - f < NO_ALCOHOL_FALL) return { ...sugarScales(f, 'brix'), fit: 'no alcohol', uncertaintySg: 0.001 }
  const novotny = 1.335e-5 * i * i - 3.239e-5 * i * f + 2.916e-5 * f * f - 2.421e-3 * i + 6.219e-3 * f + 1
  const terrill = 1 - 0.0044993 * i + 0.011774 * f + 0.00027581 * i * i - 0.0012717 * f * f - 0.00000728 * i ** 3 + 0.000063293 * f ** 3
  const bonham =
    1.001843 - 0.002318474 * i - 0.000007775 * i * i - 0.000000034 * i ** 3 + 0.00574 * f + 0.00003344 * f * f + 0.000000086 * f ** 3
  const sg = Math.min(novotny, sugarScales(f, 'brix').sg)
  return {
    ...sugarScales(within('currentBrix', sg, 0.97, 1.22), 'sg'),
    fit: 'Novotny 2017, quadratic',
    terrillSg: terrill,
    bonhamSg: bonham,
    uncertaintySg: Math.max(0.002, (Math.max(novotny, terrill, bonham) - Math.min(novotny, terrill, bonham)) / 2)
  }
}
