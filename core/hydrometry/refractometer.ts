import { findRoot, within } from '../units'
import { actualAlcohol, trueExtractBrix } from './alcohol'
import { ETHANOL_DENSITY, waterDensity } from './density'
import { type SugarScales, sgFromBrix, sugarScales } from './sugar-scales'

export interface RefractometerReading extends SugarScales {
  /** Alcohol that the reading implies, % vol. */
  abv: number
  /** Published fits, for comparison: Novotny 2017, quadratic, and Bonham, cubic. Absent outside what they were made on. */
  novotnySg?: number
  bonhamSg?: number
  /** Half-width of the band around `sg`. */
  uncertaintySg: number
}

const WATER_20 = waterDensity(20) / 1000
/** What a gram of sucrose in a millilitre adds to the index of refraction (CRC Handbook: 1.3479 at 10 %, 1.3639 at 20 %; from memory). */
const SUCROSE_INDEX = 0.1433
/** Of ethanol, linear and quadratic (CRC Handbook: 1.3360 at 5 %, 1.3395 at 10 %, 1.3432 at 15 % by mass; from memory). */
const ETHANOL_INDEX = { linear: 0.056, quadratic: 0.093 } as const
/** The fits were made on beers of up to about so many °Brix, and on ferments well under way. */
const FITS = { originalBrix: 25, fall: 0.2 } as const

/**
 * By how much sugar and alcohol together raise the index of refraction above that of water, nD at 20 °C.
 * @param sugarGPerMl dissolved matter as sucrose
 * @param ethanolGPerMl alcohol
 */
export const refraction = (sugarGPerMl: number, ethanolGPerMl: number): number =>
  SUCROSE_INDEX * sugarGPerMl + ETHANOL_INDEX.linear * ethanolGPerMl + ETHANOL_INDEX.quadratic * ethanolGPerMl ** 2

const sucroseGPerMl = (brix: number, sg: number): number => (brix / 100) * sg * WATER_20

/** Alcohol and index of a ferment that began at one gravity and stands at another. */
function refractionAt(originalSg: number, sg: number): { abv: number, index: number } {
  const abv = actualAlcohol(originalSg, sg).balling
  const residue = trueExtractBrix(sg, abv)
  return { abv, index: refraction(sucroseGPerMl(residue, sgFromBrix(residue)), ((abv / 100) * ETHANOL_DENSITY) / 1000) }
}

/**
 * A refractometer during fermentation: the refractive index counts sugar and alcohol together. The gravity is the one at which the
 * extract that is left and the alcohol that was made (Balling, Tabarié) refract as the instrument shows; so it passes without a jump
 * from must, where it is the reading itself, to dry wine. Published fits on beers lie on both sides of it.
 * @param originalBrix reading before fermentation, 5 to 32 °Brix
 * @param currentBrix reading now, 0 to 32 °Brix
 * @param offsetBrix what the instrument shows in distilled water; subtracted from both
 * @returns all scales from the gravity found, the published fits and the band
 * @throws LimitError
 * @example correctRefractometer(24, 8.2).sg // 0.9935
 */
export function correctRefractometer(originalBrix: number, currentBrix: number, offsetBrix = 0): RefractometerReading {
  within('offsetBrix', offsetBrix, -5, 5)
  const i = within('originalBrix', originalBrix - offsetBrix, 5, 32)
  const f = within('currentBrix', currentBrix - offsetBrix, 0, Math.min(32, i + 0.5))
  const read = sgFromBrix(f)
  if (f >= i) return { ...sugarScales(f, 'brix'), abv: 0, uncertaintySg: 0.001 }
  const originalSg = sgFromBrix(i)
  const shown = refraction(sucroseGPerMl(f, read), 0)
  const lowest = 0.972
  // Lower than any ferment of this must can read.
  within('currentBrix', currentBrix, shown < refractionAt(originalSg, lowest).index ? currentBrix + 0.1 : 0, 40)
  const sg = findRoot((x) => refractionAt(originalSg, x).index - shown, lowest, originalSg, 1e-7).x
  const fall = (i - f) / i
  const novotny = 1.335e-5 * i * i - 3.239e-5 * i * f + 2.916e-5 * f * f - 2.421e-3 * i + 6.219e-3 * f + 1
  const bonham =
    1.001843 - 0.002318474 * i - 0.000007775 * i * i - 0.000000034 * i ** 3 + 0.00574 * f + 0.00003344 * f * f + 0.000000086 * f ** 3
  const inRange = i <= FITS.originalBrix && fall >= FITS.fall
  return {
    ...sugarScales(sg, 'sg'),
    abv: refractionAt(originalSg, sg).abv,
    ...(inRange && { novotnySg: novotny, bonhamSg: bonham }),
    // A tenth of a °Brix on each reading, and as the alcohol grows what the published fits part by.
    uncertaintySg: 0.001 + fall * Math.max(0.003, Math.abs(novotny - bonham))
  }
}
