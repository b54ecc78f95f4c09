import { brixFromSg } from '../hydrometry'
import { within } from '../units'
import { FIRST_STAGE, addWater } from './sweeten-or-thin'

/** What grape concentrate in cans usually holds, °Brix. Common practice, no source: the label says it. */
export const USUAL_CONCENTRATE_BRIX = 68

export interface ConcentrateMakes {
  syrupL: number
  /** What it is when all of its water is in. */
  mustL: number
  /** All of its water, L, and the part that goes in before it is measured: a syrup is too thick for a hydrometer. */
  waterL: number
  firstL: number
  perCanL: number
}

/**
 * What cans of grape concentrate make at a gravity. The label's sugar is only believed for the first three quarters of the water; the
 * rest goes in by the hydrometer.
 * @param cans how many, 0.1 to 1000: half a can is one
 * @param canL what one holds, 0.05 to 50 L
 * @param brix of the concentrate, 50 to 70
 * @param targetSg wanted, 1.03 to 1.15
 * @throws LimitError
 * @example concentrateMakes(6, 1.36, 68, 1.085) // 8.2 L of syrup make 33 L
 */
export function concentrateMakes(cans: number, canL: number, brix: number, targetSg: number): ConcentrateMakes {
  within('cans', cans, 0.1, 1000)
  within('canL', canL, 0.05, 50)
  within('brix', brix, 50, 70)
  within('targetSg', targetSg, 1.03, 1.15)
  const syrupL = cans * canL
  // By the share of it: a spoon of concentrate thins as a tank of it does.
  const perLitre = addWater(1, brix, brixFromSg(targetSg))
  return {
    syrupL,
    mustL: syrupL * perLitre.newVolumeL,
    waterL: syrupL * perLitre.litres,
    firstL: syrupL * perLitre.litres * FIRST_STAGE,
    perCanL: canL * perLitre.newVolumeL
  }
}
