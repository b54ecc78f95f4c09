import { DRY_SG, DRY_SUGAR_G_PER_L } from './gravity-read'
import type { LotState, Point } from './state'

/** Hours between two readings that together say dry (craft 3.7: two to three days). */
export const DRY_PROOF_H = 48
/** Two gravities agree when they lie no further apart than this (craft 3.7: 0.001, and what rounding adds). */
const AGREE_SG = 0.0012
const HOUR = 3_600_000

export interface Dryness {
  /** When it was first read dry. */
  first: string
  /** From when its gravity stands: the first of the readings that agree with the last. */
  since: string
  /** Two that agree, two days apart or more, or a test that found next to no sugar. */
  proven: boolean
  by?: 'gravity' | 'sugar'
  /** The readings that agree, oldest first. */
  agreeing: readonly Point[]
}

/**
 * What gravity and sugar tests say of dryness. A wine that is read dry and still falls is dry by no proof: it is not at its end.
 * @returns undefined when it was never read dry
 */
export function drynessOf(lot: Pick<LotState, 'series' | 'others'>): Dryness | undefined {
  const dry = (lot.series.sg ?? []).filter((p) => p.value <= DRY_SG)
  const sugar = lot.others.sugar
  const bySugar = sugar !== undefined && sugar.origin === 'measured' && sugar.value <= DRY_SUGAR_G_PER_L
  const last = dry.at(-1)
  if (!last) return bySugar ? { first: sugar.at, since: sugar.at, proven: true, by: 'sugar', agreeing: [] } : undefined
  const agreeing = dry.slice(dry.findLastIndex((p) => Math.abs(p.value - last.value) > AGREE_SG) + 1)
  const since = agreeing[0]!.at
  const byGravity = (Date.parse(last.at) - Date.parse(since)) / HOUR >= DRY_PROOF_H
  const by = byGravity ? 'gravity' : bySugar ? 'sugar' : undefined
  return { first: dry[0]!.at, since, proven: by !== undefined, ...(by && { by }), agreeing }
}
