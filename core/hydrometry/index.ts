export { ETHANOL_DENSITY, ethanolWaterDensity, sucroseDensity, waterDensity } from './density'
export {
  FERMENT_EXTRACT_PER_ETHANOL,
  SG_MAX,
  SG_MIN,
  SUGAR_FREE_EXTRACT_G_PER_L,
  brixFromSg,
  sgFromBrix,
  sugarScales
} from './sugar-scales'
export type { SugarScale, SugarScales } from './sugar-scales'
export { correctHydrometer } from './hydrometer'
export type { HydrometerReading } from './hydrometer'
export { correctRefractometer } from './refractometer'
export type { RefractometerReading } from './refractometer'
export { SUGAR_PER_PERCENT, actualAlcohol, potentialAlcohol, residualSugar, trueExtractBrix } from './alcohol'
export type { ActualAlcohol, PotentialAlcohol } from './alcohol'
