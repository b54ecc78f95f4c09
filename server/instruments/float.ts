import { HOUR_MS, normalFrom, seeded } from '../../core/units'
import { type HeldAsked, courseOf } from './simulated-wine'

/** What a simulated float sends: as it sends it, nonsense and all. */
export interface FloatReading { at: string, sg: number | null, celsius: number | null }
export interface FloatAsked extends HeldAsked {
  /** Seed of a simulated wine that it floats in. */
  wine?: number | undefined
}

/** It sends so often, ms. */
const EVERY = 15 * 60_000
/** Most that one answer holds. */
export const MOST_READINGS = 2000
/** A float is off by its own amount, and creeps as yeast settles on it, SG and SG a day. */
const OFFSET_SD = 0.002
const DRIFT_SD = 0.00015
const NOISE = { sg: 0.0009, celsius: 0.15 } as const
/** Of a hundred readings so many are lost, or nonsense, or sent twice. */
const FAULTS = { lost: 0.06, nonsense: 0.015, twice: 0.01 } as const

/**
 * A floating hydrometer with thermometer, simulated: a plain ferment, what the float makes of it, and what its radio makes of that.
 * Deterministic from its seed and the time. Nothing of it knows the forecast.
 */
export function floatReadings({ seed, startAt, from, to, originalSg, celsius, wine }: FloatAsked): FloatReading[] {
  const start = Date.parse(startAt)
  const course = wine === undefined ? undefined : courseOf(wine, originalSg, celsius, (Date.parse(to) - start) / HOUR_MS)
  const own = normalFrom(seeded(seed))
  const [offset, drift, pace, lag] = [own() * OFFSET_SD, own() * DRIFT_SD, 1 + 0.15 * own(), 26 + 6 * own()]
  const first = Math.ceil(Math.max(Date.parse(from), start) / EVERY)
  const last = Math.floor(Date.parse(to) / EVERY)
  const readings: FloatReading[] = []
  for (let slot = Math.max(first, last - MOST_READINGS); slot <= last; slot++) {
    const random = seeded(seed * 7919 + slot)
    const fate = random()
    const normal = normalFrom(random)
    // A radio that sulks: every third day or so it is silent for some hours.
    const sulks = seeded(seed * 31 + Math.floor(slot / 24))() < 0.08
    if (sulks || fate < FAULTS.lost) continue
    const at = slot * EVERY
    const hours = (at - start) / HOUR_MS
    const days = hours / 24
    const simulated = course?.[Math.min(course.length - 1, Math.max(0, Math.floor(hours)))]
    const warmth = simulated?.celsius ?? celsius + 1.2 * Math.sin((hours / 24) * 6.283) + 2 * Math.exp(-(((hours - 60) / 40) ** 2))
    // Slow, fast, slow: a sigmoid in time, to just below water.
    const gone = 1 / (1 + Math.exp(-(hours - lag - 1100 / (celsius * pace)) / (420 / (celsius * pace))))
    const atStart = 1 / (1 + Math.exp((lag + 1100 / (celsius * pace)) / (420 / (celsius * pace))))
    const sg = simulated?.sg ?? originalSg - (originalSg - 0.993) * Math.max(0, (gone - atStart) / (1 - atStart))
    const one: FloatReading = {
      at: new Date(at).toISOString(),
      sg: Number((sg + offset + drift * days + NOISE.sg * normal()).toFixed(4)),
      celsius: Number((warmth + NOISE.celsius * normal()).toFixed(2))
    }
    if (fate > 1 - FAULTS.nonsense) {
      const longAgo = new Date(at - 2 * 365 * 24 * HOUR_MS).toISOString()
      const wrongs = [{ sg: 9.999 }, { celsius: -127 }, { sg: null }, { at: longAgo }]
      readings.push({ ...one, ...wrongs[Math.floor(random() * wrongs.length)] })
    }
    else readings.push(one)
    if (fate > 1 - FAULTS.nonsense - FAULTS.twice && fate <= 1 - FAULTS.nonsense) readings.push(one)
  }
  return readings
}
