import { within } from '../units'

/** A unit is what a minute at 60 °C does; each degree more does 1.393 times as much (Del Vecchio, beer literature). */
const REFERENCE_C = 60
const PER_DEGREE = 1.393
/** Units that are usual for sweet wine without sulphite: common practice, no source. */
export const UNITS_WANTED = { low: 50, high: 100 } as const

/**
 * Pasteurisation units of so many minutes at a temperature in the middle of the bottle.
 * @param celsius 40 to 90
 * @param minutes 0 to 600
 * @throws LimitError
 * @example pasteurisationUnits(63, 20) // 54
 */
export const pasteurisationUnits = (celsius: number, minutes: number): number =>
  within('minutes', minutes, 0, 600) * PER_DEGREE ** (within('celsius', celsius, 40, 90) - REFERENCE_C)

/**
 * Minutes at a temperature for so many units.
 * @throws LimitError
 * @example minutesFor(50, 63) // 18.5
 */
export const minutesFor = (units: number, celsius: number): number =>
  within('units', units, 0, 10_000) / PER_DEGREE ** (within('celsius', celsius, 40, 90) - REFERENCE_C)
