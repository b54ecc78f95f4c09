import { reckonedPh } from '../reckoned'
import type { LotState } from '../state'

/** Finished wines of each style where nobody measured it, and how far they differ, half-width: common practice, no source. */
const USUAL_PH = { red: { value: 3.6, uncertainty: 0.2 }, rose: { value: 3.4, uncertainty: 0.2 }, white: { value: 3.35, uncertainty: 0.2 } } as const

/** The pH that a lot's sulphite is reckoned by: its own, or the usual of its style before somebody who has no meter. */
export function usedPh(lot: Pick<LotState, 'ph' | 'style'>): { value: number, uncertainty: number, measured: boolean } {
  const { ph } = lot
  return ph
    ? { value: reckonedPh(ph.value), uncertainty: ph.uncertainty, measured: true }
    : { ...USUAL_PH[lot.style], measured: false }
}
