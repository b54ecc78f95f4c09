import { HOUR_MS, normalFrom, seeded } from '../../core/units'
import { type HeldAsked, courseOf } from './simulated-wine'

export interface PhAsked extends HeldAsked {
  /** Seed of the simulated wine. */
  wine: number
}

/** Somebody holds it in every six hours. */
const EVERY = 6 * HOUR_MS
const MOST = 2000
/** Calibrated on the first day and not again: off by its own amount, and creeping. From memory of home meters. */
const OFF_SD = 0.03
const DRIFT_SD_PER_DAY = 0.004
const NOISE_SD = 0.015

/**
 * A pH meter in a simulated wine, which drifts since it was last calibrated. Deterministic from its seeds and the time.
 * @returns pH to two decimals, and the sample's temperature
 */
export function phReadings({ seed, startAt, from, to, originalSg, celsius, wine }: PhAsked): { at: string, ph: number, celsius: number }[] {
  const start = Date.parse(startAt)
  const course = courseOf(wine, originalSg, celsius, (Date.parse(to) - start) / HOUR_MS)
  const own = normalFrom(seeded(seed * 17 + 3))
  const [off, drift] = [OFF_SD * own(), DRIFT_SD_PER_DAY * own()]
  const [first, last] = [Math.ceil(Math.max(Date.parse(from), start) / EVERY), Math.floor(Date.parse(to) / EVERY)]
  const readings: { at: string, ph: number, celsius: number }[] = []
  for (let slot = Math.max(first, last - MOST); slot <= last; slot++) {
    const at = slot * EVERY
    const is = course[Math.min(course.length - 1, Math.max(0, Math.floor((at - start) / HOUR_MS)))]!
    const normal = normalFrom(seeded(seed * 6007 + slot))
    const days = (at - start) / (24 * HOUR_MS)
    readings.push({
      at: new Date(at).toISOString(),
      ph: Number((is.ph + off + drift * days + NOISE_SD * normal()).toFixed(2)),
      celsius: Number((is.celsius + 0.3 * normal()).toFixed(1))
    })
  }
  return readings
}
