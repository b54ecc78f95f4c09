import { type AcidChange, READING_UNCERTAINTY, acidStateOf, applyChange, fitAcids } from '../acids'
import { abvOf } from './balance'
import type { Figure, LotState } from './state'
import { restsOn } from './rests-on'

const PH = { min: 2.5, max: 4.5 }
const TA = { min: 2, max: 20 }

/**
 * Fits the acids anew when pH or TA was read and both are known. What was estimated of the other one stays its best value.
 * Malic acid counts when it was measured, and is gone after malolactic.
 */
export function anchorAcids(lot: LotState, at: string, entryId: string): void {
  const { ph, ta } = lot
  if (!ph || !ta || ph.value < PH.min || ph.value > PH.max || ta.value < TA.min || ta.value > TA.max) return
  const malic = lot.others.malic?.value ?? (lot.acids?.composition.acids.lactic ? lot.acids.composition.acids.malic * 134.087 : undefined)
  const lactic = lot.acids ? lot.acids.composition.acids.lactic * 90.078 : 0
  const { composition } = fitAcids({
    ph: ph.value, taGPerL: ta.value, abv: Math.min(18, lot.balance ? abvOf(lot.balance) : 0), lacticGPerL: lactic, ...(malic !== undefined && { malicGPerL: malic })
  })
  lot.acids = { composition, at, from: restsOn(ph.from, ta.from, entryId), changed: false }
}

/** Carries the acids through an addition, water, a blend or malolactic, and renews the estimates of pH and TA. */
export function changeAcids(lot: LotState, change: AcidChange, at: string, entryId: string): void {
  if (!lot.acids) return
  const { composition } = applyChange(lot.acids.composition, change)
  lot.acids = { ...lot.acids, composition, from: restsOn(lot.acids.from, entryId), changed: true }
  const state = acidStateOf(composition)
  if (!state.solved) return
  const estimate = (value: number, uncertainty: number): Figure => ({ value, origin: 'estimated', at, uncertainty, from: lot.acids!.from })
  lot.ph = estimate(state.ph, Math.max(lot.ph?.uncertainty ?? 0, READING_UNCERTAINTY.ph) + 0.02)
  lot.ta = estimate(state.taGPerL, Math.max(lot.ta?.uncertainty ?? 0, READING_UNCERTAINTY.taGPerL))
}
