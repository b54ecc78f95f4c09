import type { Composition } from './charge'

/**
 * Calcium that wine holds for months without calcium tartrate falling, beyond what the grape brought, mol/L: from memory (some 30
 * mg/L).
 */
const HELD = 0.0008
/** Part of what is above that falls in some weeks: calcium tartrate is slow. From memory. */
const FALLS = 0.8

/**
 * Calcium tartrate falls some weeks after chalk went in: a calcium and a tartrate together. Titratable acidity stays (both
 * charges go), the pH comes back a little.
 * @returns the composition afterwards
 */
export function settleCalcium(composition: Composition): Composition {
  const fallen = Math.min(Math.max(0, composition.calcium - HELD) * FALLS, Math.max(0, composition.acids.tartaric) * 0.9)
  if (fallen <= 0) return composition
  return {
    ...composition,
    calcium: composition.calcium - fallen,
    acids: { ...composition.acids, tartaric: composition.acids.tartaric - fallen }
  }
}
