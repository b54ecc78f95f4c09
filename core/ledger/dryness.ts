import { DRY_SG } from './entries/reading'
import type { LotState } from './state'

/** Hours between two readings that together say dry (craft 3.7: two to three days). */
export const DRY_PROOF_H = 48

/**
 * What the gravity says of dryness: when it was first read dry, and whether a second reading, two days or more later, has said so too.
 * @returns undefined when it was never read dry
 */
export function drynessOf(lot: Pick<LotState, 'series'>): { since: string, proven: boolean } | undefined {
  const dry = (lot.series.sg ?? []).filter((p) => p.value <= DRY_SG)
  const [first, last] = [dry[0], dry.at(-1)]
  if (!first || !last) return undefined
  return { since: first.at, proven: (Date.parse(last.at) - Date.parse(first.at)) / 3_600_000 >= DRY_PROOF_H }
}
