import type { LotView } from '../../ledger'
import { daysBetween } from '../../units'

/** A method without a test waits so long after the last sign, days (craft 3.9). */
const WAITS_DAYS = 30

/**
 * By the method that waits: a month after the last sign of malolactic, and no sooner.
 * @param now ISO UTC; what has just been logged may be ahead of a page's clock
 * @returns undefined while there was no sign of it
 */
export function waitedFor({ bacteriaAt, bubbled }: LotView, now: string): { days: number, enough: boolean, wants: number } | undefined {
  const sign = [bacteriaAt, bubbled?.at].filter((at) => at !== undefined).sort().at(-1)
  if (sign === undefined) return undefined
  const days = Math.max(0, daysBetween(sign, now))
  return { days, enough: days >= WAITS_DAYS, wants: WAITS_DAYS }
}

/**
 * Bacteria for a wine: by their card the middle of its dose, and of bacteria in general the least that is usual, because the packet knows
 * better.
 * @param dose g/L
 * @returns g
 */
export const bacteriaFor = (dose: { min: number, max: number } | undefined, own: boolean, volumeL: number): number =>
  dose ? (own ? (dose.min + dose.max) / 2 : dose.min) * volumeL : 0
