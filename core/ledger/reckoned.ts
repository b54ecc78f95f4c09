import { SG_MAX, SG_MIN, brixFromSg } from '../hydrometry'
import { freeSo2For, molecularSo2 } from '../sulphite'

/**
 * What a lot's figures go into a formula as. A figure of the ledger can be anything that was typed or worked out; a formula holds
 * between its limits. So each is brought to the nearest value that the formula takes, here and nowhere else; what is odd about it is
 * said by a finding.
 */
const clamp = (value: number, min: number, max: number): number => Math.min(max, Math.max(min, value))

export const reckonedPh = (ph: number): number => clamp(ph, 2.5, 4.5)
export const reckonedFree = (freeMgPerL: number): number => clamp(freeMgPerL, 0, 500)
/** °Brix of a gravity, 0 to 45. */
export const reckonedBrix = (sg: number): number => clamp(brixFromSg(clamp(sg, SG_MIN, SG_MAX)), 0, 45)

/** Molecular SO₂ of a lot, mg/L. @param freeMgPerL mg/L */
export const molecularOf = (freeMgPerL: number, ph: number): number => molecularSo2(reckonedFree(freeMgPerL), reckonedPh(ph))
/** Free SO₂ for a molecular level at a lot's pH, mg/L. */
export const freeFor = (molecularMgPerL: number, ph: number): number => freeSo2For(molecularMgPerL, reckonedPh(ph))
/** A kit in its pail as water can be reckoned for it: L, and SG from the syrup's end of the scale down to a wine. */
export const reckonedKit = (volumeL: number, sg: number): { volumeL: number, sg: number } =>
  ({ volumeL: clamp(volumeL, 0.1, 100_000), sg: clamp(sg, 0.99, SG_MAX) })
/** Fruit or must that is expected, kg or L: what a yield can be reckoned of. */
export const reckonedAmount = (amount: number): number => clamp(amount, 0.5, 50_000)
