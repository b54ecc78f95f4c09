import { within } from '../units'
import { type Composition, singlyCharged } from './charge'
import { BITARTRATE_MOLAR_MASS } from './constants'
import { solveEquilibrium } from './solve'

/**
 * Solubility of potassium bitartrate: 5.5 g/L at 20 °C in water, heat of solution 27 kJ/mol (from 61 g/L at 100 °C, CRC),
 * and 5.5 % less for each % vol, so that 10 % vol at 20 °C holds 2.9 g/L (Ribéreau-Gayon et al., after Berg and Keefer 1958).
 * From memory.
 */
const AT_20C_G_PER_L = 5.5
const HEAT_K = 3240
const PER_ABV = 0.062

/**
 * Solubility of potassium bitartrate alone in water and alcohol.
 * @param celsius −5 to 40
 * @param abv % vol, 0 to 18
 * @returns g/L
 * @throws LimitError
 * @example bitartrateSolubility(20, 10) // 2.96
 */
export function bitartrateSolubility(celsius: number, abv: number): number {
  within('celsius', celsius, -5, 40)
  within('abv', abv, 0, 18)
  return AT_20C_G_PER_L * Math.exp(-HEAT_K * (1 / (celsius + 273.15) - 1 / 293.15) - PER_ABV * abv)
}

/** Activity product K⁺ · HT⁻ of the saturated solution, from its own equilibrium. */
function saturationProduct(celsius: number, abv: number): number {
  const moles = bitartrateSolubility(celsius, abv) / BITARTRATE_MOLAR_MASS
  return activityProduct({ abv, strongIon: moles, acids: { tartaric: moles, malic: 0, lactic: 0, citric: 0, succinic: 0, acetic: 0, sulphurous: 0, carbonic: 0 } })
}

function activityProduct(composition: Composition): number {
  const { ph, medium } = solveEquilibrium(composition)
  const gamma = 1 / medium.growth
  return composition.strongIon * composition.acids.tartaric * singlyCharged('tartaric', ph, medium) * gamma * gamma
}

/**
 * Wine holds more bitartrate than water and alcohol: colloids and tannins keep crystals from growing. Factor on the
 * saturation product that stays in solution after some weeks; from memory, whites near 1.3, reds 1.5 to 2.
 */
export const HOLDING_FACTOR = 1.5

/**
 * Bitartrate that falls when a wine stands cold until it is at rest.
 * @param composition mol/L; strong ions are counted as potassium
 * @param celsius temperature it settles at
 * @param holdingFactor how much more than the saturation product stays
 * @returns the composition afterwards and what fell, g/L
 * @throws LimitError
 */
export function settleBitartrate(composition: Composition, celsius: number, holdingFactor = HOLDING_FACTOR): { composition: Composition, fallenGPerL: number } {
  within('holdingFactor', holdingFactor, 1, 4)
  const limit = saturationProduct(celsius, composition.abv) * holdingFactor
  const without = (moles: number): Composition => ({ ...composition, strongIon: composition.strongIon - moles, acids: { ...composition.acids, tartaric: composition.acids.tartaric - moles } })
  if (composition.strongIon <= 0 || activityProduct(composition) <= limit) return { composition, fallenGPerL: 0 }
  let low = 0
  let high = Math.min(composition.strongIon, composition.acids.tartaric) * 0.999
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (activityProduct(without(middle)) > limit) low = middle
    else high = middle
  }
  return { composition: without((low + high) / 2), fallenGPerL: (low + high) / 2 * BITARTRATE_MOLAR_MASS }
}
