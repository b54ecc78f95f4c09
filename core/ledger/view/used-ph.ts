import { reckonedPh } from '../reckoned'
import type { LotState } from '../state'

/** Finished wines of each style where nobody measured it, and how far they differ, half-width: common practice, no source. */
const USUAL_PH = { red: 3.6, rose: 3.4, white: 3.35 } as const
const DIFFER = 0.2

/** The pH that a lot's sulphite is reckoned by: its own, or the usual of its style before somebody who has no meter. */
export function usedPh(lot: Pick<LotState, 'ph' | 'style'>): { value: number, uncertainty: number, measured: boolean } {
  const { ph } = lot
  return ph
    ? { value: reckonedPh(ph.value), uncertainty: ph.uncertainty, measured: true }
    : { value: USUAL_PH[lot.style], uncertainty: DIFFER, measured: false }
}
