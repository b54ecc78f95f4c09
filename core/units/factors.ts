/**
 * Plain unit factors, exact by definition: litre and kilogram (SI), international pound 0.453 592 37 kg (1959),
 * US gallon 231 in³, imperial gallon 4.546 09 L (UK Weights and Measures Act 1985).
 * Checked against a general-purpose units library in `units.test.ts`.
 */
export const LITRES_PER = {
  L: 1,
  mL: 0.001,
  hL: 100,
  'US gal': 3.785411784,
  'imp gal': 4.54609,
  'US qt': 0.946352946,
  'US pt': 0.473176473,
  'US cup': 0.2365882365,
  'imp qt': 1.1365225,
  'imp pt': 0.56826125,
  'US fl oz': 0.0295735295625,
  'imp fl oz': 0.0284130625
} as const

export const KILOGRAMS_PER = {
  kg: 1,
  g: 0.001,
  mg: 0.000001,
  lb: 0.45359237,
  oz: 0.028349523125
} as const

/** g/L in one of each. mg/L and ppm are taken as the same, which holds for dilute solutions of density near 1. */
export const GRAMS_PER_LITRE_PER = {
  'g/L': 1,
  'mg/L': 0.001,
  ppm: 0.001,
  '%': 10,
  'g/hL': 0.01,
  'lb/1000 US gal': (0.45359237 * 1000) / (1000 * 3.785411784)
} as const

/** Bar in one of each: the pound-force per square inch, 6894.757 Pa by definition of its parts. */
export const BAR_PER = { bar: 1, psi: 0.06894757 } as const

export type PressureUnit = keyof typeof BAR_PER
export type VolumeUnit = keyof typeof LITRES_PER
export type MassUnit = keyof typeof KILOGRAMS_PER
export type ConcentrationUnit = keyof typeof GRAMS_PER_LITRE_PER
export type TemperatureUnit = '°C' | '°F'

/**
 * Litres to another unit of volume.
 * @example fromLitres(23, 'US gal') // 6.076
 */
export const fromLitres = (volumeL: number, unit: VolumeUnit): number => volumeL / LITRES_PER[unit]

/** A volume in its unit to litres. @example toLitres(1, 'imp gal') // 4.54609 */
export const toLitres = (value: number, unit: VolumeUnit): number => value * LITRES_PER[unit]

/** Kilograms to another unit of mass. @example fromKilograms(1, 'lb') // 2.2046 */
export const fromKilograms = (massKg: number, unit: MassUnit): number => massKg / KILOGRAMS_PER[unit]

/** A mass in its unit to kilograms. */
export const toKilograms = (value: number, unit: MassUnit): number => value * KILOGRAMS_PER[unit]

/** A concentration in its unit to g/L; "%" is g per 100 mL. @example toGramsPerLitre(0.62, '%') // 6.2 */
export const toGramsPerLitre = (value: number, unit: ConcentrationUnit): number => value * GRAMS_PER_LITRE_PER[unit]

/** g/L to another unit of concentration. */
export const fromGramsPerLitre = (gPerL: number, unit: ConcentrationUnit): number => gPerL / GRAMS_PER_LITRE_PER[unit]

/** Degrees Celsius from either scale. @example toCelsius(68, '°F') // 20 */
export const toCelsius = (value: number, unit: TemperatureUnit): number => (unit === '°F' ? ((value - 32) * 5) / 9 : value)

/** Degrees Celsius to either scale. */
export const fromCelsius = (celsius: number, unit: TemperatureUnit): number => (unit === '°F' ? (celsius * 9) / 5 + 32 : celsius)
