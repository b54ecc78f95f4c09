import {
  ETHANOL_DENSITY,
  FERMENT_EXTRACT_PER_ETHANOL,
  SUGAR_FREE_EXTRACT_G_PER_L,
  gravityOf,
  sugarScales
} from '../hydrometry'
import { findRoot } from '../units'
import type { Balance } from './state'

/** Balling: grams of extract for a gram of ethanol. */
const EXTRACT_PER_ETHANOL = 2.0665

/** The balance of a must that has not fermented, from its gravity. */
export function balanceOfMust(sg: number): Balance {
  const extractGPerL = sugarScales(sg, 'sg').sugarGPerL
  return { extractGPerL, ethanolGPerL: 0, sugarFreeGPerL: Math.min(extractGPerL, SUGAR_FREE_EXTRACT_G_PER_L) }
}

export const abvOf = (balance: Balance): number => (Math.max(0, balance.ethanolGPerL) / ETHANOL_DENSITY) * 100

/** Sugar left, g/L. */
export const sugarOf = (balance: Balance): number =>
  Math.max(0, balance.extractGPerL - balance.sugarFreeGPerL - FERMENT_EXTRACT_PER_ETHANOL * balance.ethanolGPerL)

/** Gravity of a balance. */
export const sgOf = (balance: Balance): number => gravityOf(balance.extractGPerL, balance.ethanolGPerL)

/**
 * The balance after a gravity was read: as much extract went to alcohol as brings the gravity there (Balling), whatever was
 * added before. A gravity that is higher than the balance allows is taken as it is, with the alcohol kept.
 * @returns the new balance and how far the reading lay above the estimate, SG (0 when it fell)
 */
export function fermentedTo(before: Balance, sg: number): { balance: Balance, riseSg: number } {
  const riseSg = sg - sgOf(before)
  const after = (consumed: number): Balance => ({
    ...before,
    extractGPerL: before.extractGPerL - consumed,
    ethanolGPerL: before.ethanolGPerL + consumed / EXTRACT_PER_ETHANOL
  })
  if (riseSg >= 0) {
    const fitted = findRoot((e) => sgOf({ ...before, extractGPerL: e }) - sg, 0, 600, 1e-7)
    return { balance: { ...before, extractGPerL: fitted.x }, riseSg }
  }
  const consumed = findRoot((x) => sgOf(after(x)) - sg, 0, before.extractGPerL, 1e-7)
  return { balance: after(consumed.x), riseSg: 0 }
}

/** A balance thinned or mixed: `share` of this one and the rest of the other. */
export function mixBalance(a: Balance, b: Balance, share: number): Balance {
  const mix = (x: number, y: number) => x * share + y * (1 - share)
  return {
    extractGPerL: mix(a.extractGPerL, b.extractGPerL),
    ethanolGPerL: mix(a.ethanolGPerL, b.ethanolGPerL),
    sugarFreeGPerL: mix(a.sugarFreeGPerL, b.sugarFreeGPerL)
  }
}

export const NOTHING: Balance = { extractGPerL: 0, ethanolGPerL: 0, sugarFreeGPerL: 0 }
