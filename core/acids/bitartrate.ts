import { findRoot, within } from '../units'
import { type Composition, type Moles, molesOf, singlyCharged } from './charge'
import { BITARTRATE_MOLAR_MASS } from './constants'
import { potassiumOf, potassiumShare } from './potassium'
import { type Equilibrium, solveLaidOut } from './solve'

/**
 * Solubility of potassium bitartrate in water and alcohol after the table of Berg and Keefer (Am. J. Enol. 9, 1958): in water
 * 4.92 g/L at 20 °C and 2.25 at 0 °C, at 10 % vol 3.08 and 1.26, at 20 % vol 1.82 and 0.68; ln S is drawn through these six
 * as a heat of solution and a fall with alcohol that each bend a little. From memory.
 */
const WATER_AT_20C_G_PER_L = 4.92
const HEAT_K = (abv: number): number => 3132 + 48.7 * abv - 0.41 * abv * abv
const FALL = (abv: number): number => 0.044 * abv + 0.00029 * abv * abv

/**
 * Solubility of potassium bitartrate alone in water and alcohol.
 * @param celsius −5 to 40
 * @param abv % vol, 0 to 18
 * @returns g/L
 * @throws LimitError
 * @example bitartrateSolubility(20, 10) // 3.08
 */
export function bitartrateSolubility(celsius: number, abv: number): number {
  within('celsius', celsius, -5, 40)
  within('abv', abv, 0, 18)
  return WATER_AT_20C_G_PER_L * Math.exp(-HEAT_K(abv) * (1 / (celsius + 273.15) - 1 / 293.15) - FALL(abv))
}

const NONE = {
  tartaric: 0,
  malic: 0,
  lactic: 0,
  citric: 0,
  succinic: 0,
  acetic: 0,
  sulphurous: 0,
  carbonic: 0,
  phosphoric: 0,
  gluconic: 0,
  amino: 0
}
const products = new Map<string, number>()

/** Activity product K⁺ · HT⁻ of the saturated solution, from its own equilibrium; the last few are kept. */
function saturationProduct(celsius: number, abv: number): number {
  const key = `${celsius}|${abv}`
  let product = products.get(key)
  if (product === undefined) {
    const moles = bitartrateSolubility(celsius, abv) / BITARTRATE_MOLAR_MASS
    // Here all strong ions are potassium.
    product = activityProduct({ abv, strongIon: moles, calcium: 0, acids: { ...NONE, tartaric: moles } }) / potassiumShare(abv)
    if (products.size > 64) products.clear()
    products.set(key, product)
  }
  return product
}

type Solved = Omit<Equilibrium, 'taGPerL'>

function productOf(potassium: number, tartaric: number, { ph, medium }: Solved): number {
  const gamma = 1 / medium.growth
  return potassium * tartaric * singlyCharged('tartaric', ph, medium) * gamma * gamma
}

const activityProduct = (composition: Composition): number =>
  productOf(potassiumOf(composition), composition.acids.tartaric, solveLaidOut(molesOf(composition), composition.abv))

/** A composition less so much bitartrate, mol/L. */
export function withoutBitartrate(composition: Composition, moles: number): Composition {
  return {
    ...composition,
    strongIon: composition.strongIon - moles,
    acids: { ...composition.acids, tartaric: composition.acids.tartaric - moles }
  }
}

/**
 * Bitartrate above what stays in solution for good.
 * @param composition mol/L
 * @param celsius −5 to 40
 * @param holdingFactor how much more than the saturation product stays
 * @returns mol/L, 0 where nothing is above
 * @throws LimitError
 */
export function bitartrateExcess(composition: Composition, celsius: number, holdingFactor = 1): number {
  within('holdingFactor', holdingFactor, 1, 4)
  const limit = saturationProduct(celsius, composition.abv) * holdingFactor
  const {
    abv,
    strongIon,
    acids: { tartaric }
  } = composition
  if (strongIon <= 0 || tartaric <= 0) return 0
  const laid = molesOf(composition)
  const share = potassiumShare(abv)
  let near: Solved | undefined
  const over = (moles: number): number => {
    near = solveLaidOut(lessBitartrate(laid, moles), abv, near)
    return productOf(strongIon * share - moles, tartaric - moles, near) / limit - 1
  }
  if (over(0) <= 0) return 0
  return findRoot(over, 0, Math.min(strongIon * share, tartaric) * 0.999, 1e-6).x
}

/** Tartaric acid stands first among the acids. */
function lessBitartrate({ strongIon, moles }: Moles, less: number): Moles {
  const rest = moles.slice()
  rest[0]! -= less
  return { strongIon: strongIon - less, moles: rest }
}

/**
 * Part of the excess over saturation that falls. Colloids keep crystals from growing, so that a wine keeps some of it for
 * years: the saturation figure is the outer bound. Mean and spread from memory, so that three weeks of cold take 0.3 to 1 g/L
 * of titratable acidity from ordinary wines (common practice, craft 4.5), and the ferment leaves the 1.5 to 4 g/L of tartaric acid
 * that young wines hold.
 */
export const FALLING = { ferment: { mean: 0.58, sd: 0.26 }, cold: { mean: 0.45, sd: 0.28, halfWeeks: 1 } } as const
/** Weeks of cold that are meant when none are named. */
export const WEEKS_OF_COLD = 3

/** Part of the excess that falls in so many weeks of cold: half of what ever falls in the first. */
export const coldShare = (weeks: number, luck = 0): number =>
  (part(FALLING.cold.mean + FALLING.cold.sd * luck) * (1 - 0.5 ** (weeks / FALLING.cold.halfWeeks))) /
  (1 - 0.5 ** (WEEKS_OF_COLD / FALLING.cold.halfWeeks))

const part = (value: number): number => Math.min(0.95, Math.max(0.05, value))
export const fermentShare = (luck = 0): number => part(FALLING.ferment.mean + FALLING.ferment.sd * luck)
