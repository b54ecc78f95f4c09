import { findRoot } from '../units'
import { ETHANOL_DENSITY, ethanolWaterDensity, sucroseDensity, waterDensity } from './density'
import { sgFromBrix } from './sugar-scales'

const WATER_20 = waterDensity(20)

/**
 * SG by gram of sucrose in a litre, −60 to 620: a ledger asks thousands of times, and between two grams a straight line errs by under
 * 1e-8.
 */
const LOWEST_G = -60
const HIGHEST_G = 620
let table: Float64Array | undefined

function buildTable(): Float64Array {
  return Float64Array.from({ length: HIGHEST_G - LOWEST_G + 1 }, (_, i) => {
    const gPerL = LOWEST_G + i
    return sgFromBrix(Math.min(50, findRoot((b) => (b / 100) * sucroseDensity(b, 20) - gPerL, -8, 60, 1e-10).x))
  })
}

/** SG of so many grams of sucrose in a litre. */
function sgOfExtract(gPerL: number): number {
  table ??= buildTable()
  const x = Math.min(HIGHEST_G - 1e-9, Math.max(LOWEST_G, gPerL)) - LOWEST_G
  const i = Math.floor(x)
  return table[i]! + (table[i + 1]! - table[i]!) * (x - i)
}

/** What alcohol does to the gravity, by tenths of a % vol up to 25: a straight line between two errs by under 1e-7. */
const MOST_ABV = 25
let ethanolTable: Float64Array | undefined
const buildEthanolTable = (): Float64Array =>
  Float64Array.from({ length: MOST_ABV * 10 + 2 }, (_, i) => ethanolWaterDensity(Math.min(MOST_ABV, i / 10)) / WATER_20)

function sgOfEthanol(abv: number): number {
  ethanolTable ??= buildEthanolTable()
  const x = Math.min(MOST_ABV, Math.max(0, abv)) * 10
  const i = Math.floor(x)
  return ethanolTable[i]! + (ethanolTable[i + 1]! - ethanolTable[i]!) * (x - i)
}

/**
 * Gravity of a must or wine by Tabarié: what is dissolved and alcohol each move it as if alone.
 * @param extractGPerL sugar and all else that is dissolved, as sucrose, −60 to 620 g/L
 * @param ethanolGPerL 0 to 197 g/L
 * @returns SG 20/20
 * @example gravityOf(20, 100) // 0.991
 */
export const gravityOf = (extractGPerL: number, ethanolGPerL: number): number =>
  sgOfExtract(extractGPerL) + sgOfEthanol((ethanolGPerL / ETHANOL_DENSITY) * 100) - 1

/**
 * What has to be dissolved for a gravity, at so much alcohol: `gravityOf` the other way round.
 * @param sg SG 20/20, @param ethanolGPerL 0 to 197 g/L
 * @returns g/L as sucrose, −60 to 620: the nearer end where no extract gives it
 * @example extractOf(0.990, 100) // 17
 */
export function extractOf(sg: number, ethanolGPerL: number): number {
  const grams = (table ??= buildTable())
  const wanted = sg + 1 - sgOfEthanol((ethanolGPerL / ETHANOL_DENSITY) * 100)
  let [low, high] = [0, grams.length - 1]
  if (wanted <= grams[low]!) return LOWEST_G
  if (wanted >= grams[high]!) return HIGHEST_G
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (grams[middle]! <= wanted) low = middle
    else high = middle
  }
  return LOWEST_G + low + (wanted - grams[low]!) / (grams[high]! - grams[low]!)
}
