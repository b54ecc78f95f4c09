export { ETHANOL_DENSITY, ethanolWaterDensity, sucroseDensity, waterDensity } from './density'
export {
  FERMENT_EXTRACT_PER_ETHANOL,
  SG_MAX,
  SG_MIN,
  SUGAR_FREE_EXTRACT_G_PER_L,
  SUGAR_FREE_RANGE,
  brixFromSg,
  sgFromBrix,
  sugarScales
} from './sugar-scales'
export type { SugarScale, SugarScales } from './sugar-scales'
export { correctHydrometer } from './hydrometer'
export type { HydrometerReading } from './hydrometer'
export { correctRefractometer, refraction } from './refractometer'
export type { RefractometerReading } from './refractometer'
export { SUGAR_PER_PERCENT, actualAlcohol, potentialAlcohol, residualSugar, trueExtractBrix } from './alcohol'
export type { ActualAlcohol, Band, PotentialAlcohol } from './alcohol'
export { extractOf, gravityOf } from './gravity-of'
