import { within } from '../units'

/** A starter of the fruit's own yeast: a twentieth of the must, begun three to six days before. Common practice, no source. */
const SHARE = 0.05
const DAYS = { min: 3, max: 6 } as const
const KG_PER_L = 1 / 0.75
/** Yeast works hardest between these shares of its sugar. Common practice, no source. */
export const AT_WORK = { from: 0.3, to: 0.75 } as const
const END_SG = 0.994
/** Nothing after so long: wild yeast has not come, and others have, h. */
const TOO_LONG_H = 7 * 24

export interface WildStarter {
  starterL: number
  /** Grapes to pick ahead. */
  fruitKg: number
  days: { min: number, max: number }
}

/**
 * How much to pick ahead for a starter of wild yeast.
 * @param mustL of the lot, 1 to 100 000 L
 * @throws LimitError
 * @example wildStarter(80).fruitKg // 5.3
 */
export function wildStarter(mustL: number): WildStarter {
  const starterL = within('mustL', mustL, 1, 100_000) * SHARE
  return { starterL, fruitKg: starterL * KG_PER_L, days: DAYS }
}

/** Share of a must's sugar that is fermented. */
export const sugarGone = (originalSg: number, sg: number): number => (originalSg - sg) / (originalSg - END_SG)

export type WildVerdict = 'throw-away' | 'wait' | 'ready' | 'past' | 'gave-up'
/** Smells that no starter is kept with: they would be in all of the must. */
export const SPOILT = ['vinegar', 'nail-varnish', 'rotten-egg'] as const

export interface WildLook { originalSg: number, sg: number, hours: number, smells: readonly string[] }

/**
 * Whether a wild starter may go into the must.
 * @param originalSg as it was crushed
 * @param sg as it is now
 * @param hours since it was crushed
 * @param smells what it smells of now
 */
export function judgeWild({ originalSg, sg, hours, smells }: WildLook): WildVerdict {
  within('originalSg', originalSg, 1.03, 1.2)
  within('sg', sg, 0.97, 1.2)
  if (SPOILT.some((s) => smells.includes(s))) return 'throw-away'
  const gone = sugarGone(originalSg, sg)
  if (gone > AT_WORK.to) return 'past'
  if (gone >= AT_WORK.from) return 'ready'
  return hours > TOO_LONG_H ? 'gave-up' : 'wait'
}
