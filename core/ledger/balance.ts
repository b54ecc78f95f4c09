import {
  ETHANOL_DENSITY,
  FERMENT_EXTRACT_PER_ETHANOL,
  SUGAR_FREE_EXTRACT_G_PER_L,
  extractOf,
  gravityOf,
  sugarScales
} from '../hydrometry'
import { findRoot } from '../units'
import type { Balance } from './state'

/** Balling: grams of extract for a gram of ethanol, and what of them leaves the must as gas and as yeast. */
const EXTRACT_PER_ETHANOL = 2.0665
const LEAVES = (EXTRACT_PER_ETHANOL - 1) / EXTRACT_PER_ETHANOL
/** Density of water at 20 °C, g/L. */
const WATER_G_PER_L = 998.2

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
 * added before. A gravity that is higher than the balance allows says that the one before it was read too low, and takes its alcohol back:
 * else every reading that is a little off would make some. What it lies above those before it as well is sugar that nobody noted.
 * @param readBefore the highest of the gravities just before, SG; without one a rise is sugar
 * @returns the new balance and how far the reading lay above the estimate, SG (0 when it fell)
 */
export function fermentedTo(before: Balance, sg: number, readBefore = -Infinity): { balance: Balance, riseSg: number } {
  const riseSg = sg - sgOf(before)
  // The same reading again, as a float gives it through the night.
  if (Math.abs(riseSg) < SAME_SG) return { balance: before, riseSg: 0 }
  if (riseSg < 0) return { balance: less(before, sg, consumedFor(before, sg, -riseSg)), riseSg: 0 }
  const back = takenBack(before, Math.min(sg, readBefore + READ_LOW))
  const balance = sg - sgOf(back) < SAME_SG ? back : { ...back, extractGPerL: Math.max(0, extractOf(sg, back.ethanolGPerL)) }
  return { balance, riseSg }
}

/** With so much less alcohol as brings the gravity up to where it is said to be, or with none. */
function takenBack(before: Balance, sg: number): Balance {
  const fallSg = sgOf(before) - sg
  if (!(fallSg < -SAME_SG) || before.ethanolGPerL <= 0) return before
  const all = -EXTRACT_PER_ETHANOL * before.ethanolGPerL
  const none = less(before, sg, all)
  return sgOf(none) <= sg ? none : less(before, sg, consumedFor(before, sg, fallSg, all))
}

/** What a litre is once so much of its extract went, g/L: gas and yeast leave it, and it shrinks to the volume of its new gravity. */
function less(before: Balance, sg: number, consumed: number): Balance {
  const litre = (sgOf(before) * WATER_G_PER_L - LEAVES * consumed) / (sg * WATER_G_PER_L)
  return {
    extractGPerL: (before.extractGPerL - consumed) / litre,
    ethanolGPerL: (before.ethanolGPerL + consumed / EXTRACT_PER_ETHANOL) / litre,
    sugarFreeGPerL: before.sugarFreeGPerL / litre
  }
}

/** Gravities that are one: far below what any instrument shows, and no more than rounding leaves. */
const SAME_SG = 1e-8
/** So much above the gravities before it a reading may lie and still be the same wine: three marks of a home hydrometer, SG. Ours. */
const READ_LOW = 0.003
/** SG for each gram of extract that goes to alcohol, g/L: `gravityOf` from 220 to 20 g/L, near enough to begin a search with. */
const FALL_PER_GRAM = 4.8e-4

/**
 * Extract that went to alcohol on the way down to a gravity, g/L: nearly a straight line, so two points of it show the way.
 * @param least below nothing where alcohol is taken back
 */
function consumedFor(before: Balance, sg: number, fallSg: number, least = 0): number {
  const over = (x: number) => sgOf(less(before, sg, x)) - sg
  let [x, known, knownAt] = [fallSg / FALL_PER_GRAM, 0, fallSg]
  for (let i = 0; i < 8 && x >= least && x <= before.extractGPerL; i++) {
    const at = over(x)
    const next = x - (at * (x - known)) / (at - knownAt)
    if (!(Math.abs(next - x) > 1e-7)) return Number.isFinite(next) ? next : x
    ;[known, knownAt, x] = [x, at, next]
  }
  return findRoot(over, least, before.extractGPerL, 1e-7).x
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
