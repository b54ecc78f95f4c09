import { type ReadByEye, WORST_ERROR } from '../../core/ledger'
import { QUANTITIES } from '../../core/quantities'
import type { ExerciseCode } from './exercise'

/** Which quantity an exercise trains the eye for; the others are worked out or chosen. */
const TRAINS: Partial<Record<ExerciseCode, ReadByEye>> = {
  'hydrometer': 'sg',
  'meter': 'ph',
  'titrate-white': 'ta',
  'titrate-red': 'ta',
  'iodine-red': 'freeSo2'
}
/** Answers until one's error says something, and the half-width of 80 % of a normal in its standard deviations. */
const [LEAST, HALF_WIDTH] = [5, 1.2816] as const
/** The instrument has an error of its own, however well it is read: half of what is usual altogether. Ours. */
const INSTRUMENT_SHARE = 0.5

/**
 * How far off somebody's own readings are, by their last answers.
 * @param off each answer's difference to the truth, newest last, in the exercise's unit
 * @returns half-width in that unit, rounded to two digits; undefined for what trains no eye, with fewer than five answers, or while they
 * are far off
 */
export function ownError(code: ExerciseCode, off: readonly number[]): { quantity: ReadByEye, halfWidth: number } | undefined {
  const quantity = TRAINS[code]
  if (!quantity || off.length < LEAST) return undefined
  const read = Math.sqrt(off.reduce((sum, n) => sum + n * n, 0) / off.length) * HALF_WIDTH
  const instrument = QUANTITIES[quantity].spread * INSTRUMENT_SHARE
  const halfWidth = Number(Math.hypot(read, instrument).toPrecision(2))
  // So far off is no reading yet: there is more to practise, and nothing to reckon with.
  return halfWidth <= WORST_ERROR[quantity] ? { quantity, halfWidth } : undefined
}
