import { within, HOUR_MS } from '../units'

export type ClockKind = 'settle' | 'cold-soak' | 'enzyme-after-sulphite' | 'yeast-after-sulphite' | 'thaw' | 'heat-fruit'

export interface Clock {
  /** Not before so many hours; not after so many. */
  minH: number
  maxH: number
  /** Temperatures it holds for, °C. */
  celsius?: { min: number, max: number }
}

/**
 * The waits of crush day. Settling 24 to 72 h at 2 to 10 °C, cold soak 1 to 4 days below 12 °C, yeast 12 to 24 h after sulphite
 * (craft 3.3 and 3.5); enzyme some hours after sulphite, 6 is ours; thawing a pail a day or two; fruit heated for colour 20 to
 * 60 min at 60 to 70 °C (Handbook of Enology, heating of harvested grapes, from memory). The rest common practice, no source.
 */
export const CLOCKS: Record<ClockKind, Clock> = {
  settle: { minH: 24, maxH: 72, celsius: { min: 2, max: 10 } },
  'cold-soak': { minH: 24, maxH: 96, celsius: { min: 2, max: 12 } },
  'enzyme-after-sulphite': { minH: 6, maxH: 48 },
  'yeast-after-sulphite': { minH: 12, maxH: 24 },
  thaw: { minH: 12, maxH: 48 },
  'heat-fruit': { minH: 1 / 3, maxH: 1, celsius: { min: 60, max: 70 } }
}

export interface ClockReading {
  phase: 'too-soon' | 'open' | 'over'
  hoursGone: number
  /** ISO, UTC. */
  opensAt: string
  closesAt: string
}

/**
 * Where a wait stands.
 * @param kind which wait
 * @param begunAt when it began, ISO UTC
 * @param now ISO UTC
 * @throws LimitError for an instant that is none
 * @example clockAt('settle', '2026-10-01T08:00:00.000Z', '2026-10-02T02:00:00.000Z').phase // 'too-soon': 18 of 24 h
 */
export function clockAt(kind: ClockKind, begunAt: string, now: string): ClockReading {
  const begun = within('begunAt', Date.parse(begunAt), -8.64e15, 8.64e15)
  const hoursGone = (within('now', Date.parse(now), -8.64e15, 8.64e15) - begun) / HOUR_MS
  const { minH, maxH } = CLOCKS[kind]
  return {
    phase: hoursGone < minH ? 'too-soon' : hoursGone > maxH ? 'over' : 'open',
    hoursGone,
    opensAt: new Date(begun + minH * HOUR_MS).toISOString(),
    closesAt: new Date(begun + maxH * HOUR_MS).toISOString()
  }
}
