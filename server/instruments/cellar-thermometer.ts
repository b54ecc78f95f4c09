import { DAY_MS, normalFrom, seeded } from '../../core/units'

const EVERY = 30 * 60_000
const MOST = 2000

/** A thermometer on the cellar's wall, simulated: the day, the season, its own error. Deterministic from its seed and the time. */
export function cellarReadings({ seed, from, to, celsius }: { seed: number, from: string, to: string, celsius: number }) {
  const own = normalFrom(seeded(seed))() * 0.4
  const [first, last] = [Math.ceil(Date.parse(from) / EVERY), Math.floor(Date.parse(to) / EVERY)]
  const readings: { at: string, celsius: number }[] = []
  for (let slot = Math.max(first, last - MOST); slot <= last; slot++) {
    const at = slot * EVERY
    const normal = normalFrom(seeded(seed * 104729 + slot))
    const swing = 1.1 * Math.sin((at / DAY_MS) * 6.283 - 2) + 1.5 * Math.sin((at / (9 * DAY_MS)) * 6.283)
    readings.push({ at: new Date(at).toISOString(), celsius: Number((celsius + swing + own + 0.1 * normal()).toFixed(2)) })
  }
  return readings
}
