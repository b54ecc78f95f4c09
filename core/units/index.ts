export { DAY_MS, HOUR_MS, daysBetween, hoursBetween } from './time'
export { LimitError, assertNever, within, withinLimits } from './limits'
export {
  BAR_PER,
  GRAMS_PER_LITRE_PER,
  KILOGRAMS_PER,
  LITRES_PER,
  fromCelsius,
  fromGramsPerLitre,
  fromKilograms,
  fromLitres,
  toCelsius,
  toGramsPerLitre,
  toKilograms,
  toLitres
} from './factors'
export type { ConcentrationUnit, MassUnit, PressureUnit, TemperatureUnit, VolumeUnit } from './factors'
export { readNumber } from './typed-number'
export type { NumberProblem } from './typed-number'
export { ABV_PER_SG, POTENTIAL, readQuantity } from './read-quantity'
export type { Gallon, Quantity, QuantityKind, QuantityProblem, SugarUnit, Unit } from './read-quantity'
export { TEASPOON_ML, inSpoons } from './spoons'
export type { SpoonMeasure } from './spoons'
export { findRoot } from './find-root'
export type { Root } from './find-root'
export { fixedDraws, normalFrom, seeded } from './fixed-draws'
export { weightedBand } from './weighted-band'
export type { Band80 } from './weighted-band'
