import { LimitError, findRoot, within } from '../units'
import { sucroseDensity, waterDensity } from './density'
import { type SugarScales, SG_MAX, SG_MIN, sgFromBrix, sugarScales } from './sugar-scales'

/** Cubic expansion of the hydrometer's soda-lime glass, 1/K (OIML R 44, alcohol hydrometers, uses 25·10⁻⁶; from memory). */
const GLASS_EXPANSION = 25e-6

export interface HydrometerReading extends SugarScales {
  /** Corrected minus as read, in SG. */
  correctionSg: number
}

/**
 * Corrects a hydrometer for the temperature of the sample, from the expansion of the sugar solution and of the glass.
 * The reading r means a density of r·ρ_water(calibration) in the float's own volume; the float grows with the
 * temperature, and the solution whose density at the sample's temperature matches is the answer.
 * For wine with alcohol the expansion is slightly larger; over ±10 K the error stays below 0.0005.
 * @param reading as read
 * @param scale `sg` or `brix`
 * @param sampleC temperature of the sample, 0 to 60 °C
 * @param calibrationC temperature printed on the hydrometer, 15 to 25 °C (15.56 °C = 60 °F)
 * @returns all scales at 20 °C, and the correction
 * @throws LimitError
 * @example correctHydrometer(1.089, 'sg', 8, 20).sg // 1.0863
 */
export function correctHydrometer(reading: number, scale: 'sg' | 'brix', sampleC: number, calibrationC: number): HydrometerReading {
  within('sampleC', sampleC, 0, 60)
  within('calibrationC', calibrationC, 15, 25)
  const readSg = scale === 'sg' ? within('sg', reading, SG_MIN, SG_MAX) : sgFromBrix(within('brix', reading, -6, 45))
  const density = (readSg * waterDensity(calibrationC)) / (1 + GLASS_EXPANSION * (sampleC - calibrationC))
  const brix = findRoot((b) => sucroseDensity(b, sampleC) - density, -8, 60, 1e-10)
  if (brix.status !== 'converged') throw new LimitError('reading', reading, scale === 'sg' ? SG_MIN : -6, scale === 'sg' ? SG_MAX : 45)
  const scales = sugarScales(sgFromBrix(within('brix', brix.x, -8, 50)), 'sg')
  return { ...scales, correctionSg: scales.sg - readSg }
}
