import { findRoot, within } from '../units'
import { sucroseDensity, waterDensity } from './density'

export type SugarScale = 'sg' | 'brix' | 'plato' | 'baume' | 'oechsle' | 'kmw' | 'sugarGPerL'

export interface SugarScales {
  /** Specific gravity 20/20 °C. */
  sg: number
  /** g sucrose per 100 g. */
  brix: number
  /** The same quantity as Brix by definition; old tables differ by under 0.05. */
  plato: number
  baume: number
  oechsle: number
  /** Klosterneuburger Mostwaage. */
  kmw: number
  /** Dissolved matter as sucrose, g/L at 20 °C. */
  sugarGPerL: number
  /** What of it yeast can use in grape must: less the sugar-free extract, g/L. */
  fermentableGPerL: number
}

export const SG_MIN = 0.97
export const SG_MAX = 1.22

/**
 * Sugar-free extract of grape must, g/L: acids, minerals, tannin; with the range it is found in. Sugar is 90 to 94 % of what is dissolved
 * in a ripe must (from memory, after Amerine and Ough). The 18 to 30 g/L of the handbooks are of wines, and hold what the ferment made.
 */
export const SUGAR_FREE_EXTRACT_G_PER_L = 20
export const SUGAR_FREE_RANGE = { low: 14, high: 26 } as const

const WATER_20 = waterDensity(20)

/** What a ferment adds to the extract for each gram of alcohol, g: glycerol above all. From memory (7 to 10 g to 100 g). */
export const FERMENT_EXTRACT_PER_ETHANOL = 0.08

/** °Brix to SG 20/20. @param brix −8 to 50 @throws LimitError @example sgFromBrix(20) // 1.0829 */
export function sgFromBrix(brix: number): number {
  return sucroseDensity(within('brix', brix, -8, 50), 20) / WATER_20
}

/**
 * SG 20/20 to °Brix; below 1.000 the apparent, negative Brix. @param sg 0.970 to 1.220 @throws LimitError @example brixFromSg(1.083)
 * // 20.03
 */
export function brixFromSg(sg: number): number {
  within('sg', sg, SG_MIN, SG_MAX)
  return findRoot((b) => sucroseDensity(b, 20) / WATER_20 - sg, -8, 50, 1e-10).x
}

/**
 * One sugar reading on all scales.
 * Brix and Plato from the ICUMSA density of sucrose; Baumé = 145 − 145/SG; Oechsle = (SG − 1)·1000;
 * KMW from Oechsle = KMW·(0.022·KMW + 4.54) (Austrian wine law, from memory).
 * @param value the reading
 * @param scale its scale
 * @returns all scales at 20 °C
 * @throws LimitError naming the scale
 * @example sugarScales(24.6, 'brix').sg // 1.1037
 */
export function sugarScales(value: number, scale: SugarScale): SugarScales {
  const sg = sgOf(value, scale)
  const brix = scale === 'brix' || scale === 'plato' ? value : brixFromSg(sg)
  const oechsle = (sg - 1) * 1000
  const sugarGPerL = (Math.max(0, brix) / 100) * sg * WATER_20
  return {
    sg,
    brix,
    plato: brix,
    baume: 145 - 145 / sg,
    oechsle,
    kmw: (-4.54 + Math.sqrt(Math.max(0, 4.54 ** 2 + 4 * 0.022 * oechsle))) / (2 * 0.022),
    sugarGPerL,
    fermentableGPerL: Math.max(0, sugarGPerL - SUGAR_FREE_EXTRACT_G_PER_L)
  }
}

function sgOf(value: number, scale: SugarScale): number {
  switch (scale) {
    case 'sg':
      return within('sg', value, SG_MIN, SG_MAX)
    case 'brix':
    case 'plato':
      return sgFromBrix(value)
    case 'baume':
      return 145 / (145 - within('baume', value, -4, 26))
    case 'oechsle':
      return 1 + within('oechsle', value, -30, 220) / 1000
    case 'kmw':
      return 1 + (within('kmw', value, -6, 40) * (0.022 * value + 4.54)) / 1000
    case 'sugarGPerL': {
      within('sugarGPerL', value, 0, 600)
      return sgFromBrix(findRoot((b) => (b / 100) * sucroseDensity(b, 20) - value, 0, 50, 1e-10).x)
    }
  }
}
