import { within } from '../units'

/** Wine that evaporates from wood, 1 to 3 % in a month (craft 3.10, common practice): of a barrel of 225 L about so much. */
const PER_MONTH = 0.015
const REFERENCE_L = 225
const MOST_PER_MONTH = 0.04
const MONTH_DAYS = 30.4

/**
 * The share of what stands in a barrel that is gone after so many days. A small barrel has more wood to its wine: the loss goes by its
 * surface to its volume. Two stretches one after the other lose what both together do.
 * @param capacityL 1 to 100 000
 * @param days 0 to 10 000
 * @returns 0 to 1
 * @throws LimitError
 * @example woodShare(225, 30.4) // 0.015
 */
export function woodShare(capacityL: number, days: number): number {
  const share = Math.min(MOST_PER_MONTH, PER_MONTH * Math.cbrt(REFERENCE_L / within('capacityL', capacityL, 1, 100_000)))
  return 1 - (1 - share) ** (within('days', days, 0, 10_000) / MONTH_DAYS)
}

/** A new barrel of 225 L may hold a wine for about so many weeks; its second wine twice as long. Common practice, no source. */
const NEW_WEEKS = 40
/** From so many wines on it gives hardly any taste of wood: common practice, no source. */
export const NEUTRAL_FILLS = 3
/** Tasted from this share of the time on: often near the end. Ours. */
const TASTE_FROM = 0.4

export interface WoodTime {
  /** When it should come out, weeks after it went in. */
  weeks: number
  /** From when on it is tasted, and how often then, weeks. */
  tasteFromWeeks: number
  tasteEveryWeeks: number
}

/**
 * How long a wine may stand in a barrel before it tastes of nothing else. A small barrel has more wood to its wine: the time goes by its
 * volume to its surface, and a little faster in very small ones because they also lose more.
 * @param capacityL 1 to 100 000
 * @param fillsBefore wines that stood in it before this one
 * @returns undefined for wood that has given what it had
 * @throws LimitError
 * @example woodTime(225, 0) // { weeks: 40, tasteFromWeeks: 16, tasteEveryWeeks: 4 }
 */
export function woodTime(capacityL: number, fillsBefore: number): WoodTime | undefined {
  within('fillsBefore', fillsBefore, 0, 1000)
  if (fillsBefore >= NEUTRAL_FILLS) return undefined
  const weeks = NEW_WEEKS * (within('capacityL', capacityL, 1, 100_000) / REFERENCE_L) ** 0.5 * 2 ** fillsBefore
  return { weeks, tasteFromWeeks: weeks * TASTE_FROM, tasteEveryWeeks: Math.max(0.5, weeks / 10) }
}
