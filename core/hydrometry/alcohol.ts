import { ABV_PER_SG, findRoot, within } from '../units'
import { ETHANOL_DENSITY, ethanolWaterDensity, waterDensity } from './density'
import { FERMENT_EXTRACT_PER_ETHANOL, SG_MAX, SUGAR_FREE_EXTRACT_G_PER_L, SUGAR_FREE_RANGE, brixFromSg, sugarScales } from './sugar-scales'

const WATER_20 = waterDensity(20)

/** g of sugar for 1 % vol: the convention of the EU and the OIV, and the methods around it. */
export const SUGAR_PER_PERCENT = { convention: 16.83, low: 17, high: 18 } as const

export interface Band {
  low: number
  high: number
}
export interface PotentialAlcohol {
  /** % vol by 16.83 g/L of sugar (Regulation (EC) 607/2009 and OIV practice). */
  abv: number
  /** By the convention, over the sugar-free extract that musts have: eight in ten lie within. */
  band: Band
  /** % vol by 17 and by 18 g/L. */
  by17: number
  by18: number
  /** The sugar it starts from, less the sugar-free extract, g/L. */
  sugarGPerL: number
}

/**
 * Alcohol a must can give when all its sugar ferments.
 * @param brix 0 to 45
 * @returns % vol by the methods
 * @throws LimitError
 * @example potentialAlcohol(24.6).abv // 14.9
 */
export function potentialAlcohol(brix: number): PotentialAlcohol {
  const { fermentableGPerL: sugarGPerL, sugarGPerL: dissolved } = sugarScales(within('brix', brix, 0, 45), 'brix')
  const leaving = (sugarFree: number) => Math.max(0, dissolved - sugarFree) / SUGAR_PER_PERCENT.convention
  return {
    abv: sugarGPerL / SUGAR_PER_PERCENT.convention,
    band: { low: leaving(SUGAR_FREE_RANGE.high), high: leaving(SUGAR_FREE_RANGE.low) },
    by17: sugarGPerL / SUGAR_PER_PERCENT.low,
    by18: sugarGPerL / SUGAR_PER_PERCENT.high,
    sugarGPerL
  }
}

/**
 * True extract of a wine from its gravity and alcohol by Tabarié's relation (OIV-MA-AS2-03B):
 * SG of the dealcoholised wine = SG − SG of the alcohol + 1.
 * @param sg SG 20/20
 * @param abv % vol, 0 to 25
 * @returns extract as sucrose, g per 100 g of dealcoholised wine, never below 0
 * @throws LimitError
 * @example trueExtractBrix(0.994, 13) // 2.8
 */
export function trueExtractBrix(sg: number, abv: number): number {
  return Math.max(0, brixFromSg(sg - ethanolWaterDensity(abv) / WATER_20 + 1))
}

/**
 * Sugar left in a wine from its gravity and alcohol: true extract less the sugar-free extract of the must and what the
 * ferment made besides alcohol.
 * @param sg SG 20/20
 * @param abv % vol
 * @param sugarFreeGPerL sugar-free extract of the must, g/L
 * @returns g/L, never below 0; good to about ±5 g/L, so near dryness only a sugar test decides
 * @throws LimitError
 * @example residualSugar(1.010, 10) // 34.7
 */
export function residualSugar(sg: number, abv: number, sugarFreeGPerL = SUGAR_FREE_EXTRACT_G_PER_L): number {
  const made = (abv / 100) * ETHANOL_DENSITY * FERMENT_EXTRACT_PER_ETHANOL
  return Math.max(0, sugarScales(trueExtractBrix(sg, abv), 'brix').sugarGPerL - sugarFreeGPerL - made)
}

/**
 * Part of the alcohol that may only seem so: extract that falls out (bitartrate) or is taken up by yeast, and a yield that differs from
 * yeast to yeast. From memory.
 */
const FELL_OUT = 0.029

export interface ActualAlcohol {
  /** Balling's extract balance with Tabarié's true extract, % vol: the default. */
  balling: number
  /** Eight in ten wines: extract that fell out and was no sugar (tartrate, what yeast takes up) makes it less. */
  band: Band
  /** Balling with the usual short cut for real extract, 0.1808·original + 0.8192·apparent. */
  ballingShort: number
  /** (original − current) × 131.25 */
  factor131: number
  /** (original − current) × 129 */
  factor129: number
  /** fall in Oechsle ÷ 7.5 */
  oechsle75: number
}

/**
 * Alcohol made between two gravities, nothing added in between. Balling (1843): 2.0665 g extract → 1 g ethanol
 * + 0.9565 g CO₂ + 0.11 g yeast, so A % mass = (p − n)/(2.0665 − 0.010665·p).
 * The convention's 16.83 g for 1 % vol counts sugar, 2.132 g for a gram of alcohol; Balling counts extract, and the 0.066 g between
 * them is what the ferment leaves behind as extract (glycerol, succinic acid): so both say the same of one must.
 * @param originalSg SG 20/20 before fermentation
 * @param currentSg SG 20/20 now, not above the original
 * @returns % vol by each method
 * @throws LimitError
 * @example actualAlcohol(1.09, 0.996).balling // 12.6
 */
export function actualAlcohol(originalSg: number, currentSg: number): ActualAlcohol {
  within('originalSg', originalSg, 1, 1.2)
  within('currentSg', currentSg, 0.97, originalSg)
  const p = brixFromSg(originalSg)
  const fall = originalSg - currentSg
  const byExtract = (n: number) => (((p - n) / (2.0665 - 0.010665 * p)) * currentSg * WATER_20) / ETHANOL_DENSITY
  const own = findRoot((abv) => byExtract(realExtractPercent(currentSg, abv)) - abv, 0, 25, 1e-9)
  const made = fall === 0 ? 0 : own.x
  return {
    balling: made,
    band: { low: Math.max(0, made * 0.99 - FELL_OUT * made), high: made * 1.01 },
    ballingShort: byExtract(0.1808 * p + 0.8192 * brixFromSg(currentSg)),
    factor131: fall * ABV_PER_SG,
    factor129: fall * 129,
    oechsle75: (fall * 1000) / 7.5
  }
}

/** True extract as % of the mass of the wine itself, which is what the balance counts. */
function realExtractPercent(sg: number, abv: number): number {
  // The search for the root asks beyond what any wine can be.
  const residueSg = sg - ethanolWaterDensity(abv) / WATER_20 + 1
  return (brixFromSg(Math.max(0.98, Math.min(SG_MAX, residueSg))) * residueSg) / sg
}
