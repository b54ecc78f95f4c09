import { ETHANOL_DENSITY, gravityOf } from '../hydrometry'
import { findRoot } from '../units'

/** What is known, or believed, of a ferment before its readings. */
export interface FermentSetting {
  /** Fermentable and unfermentable together, as sucrose, g/L. */
  extractGPerL: number
  /** °C, h after pitching. */
  celsiusAt: (hours: number) => number
}

/** The course's own figures: each differs from ferment to ferment, and is learnt from the readings. */
export interface Kinetics {
  /** Share of the yeast's later activity that is there at the start. */
  start: number
  /** Growth of activity at 20 °C, 1/h. */
  growth: number
  /** Growth and uptake change by e to this for each °C. */
  perDegree: number
  /** Extract that no yeast takes, g/L. */
  sugarFree: number
  /** Sugar taken at full activity at 20 °C, g/(L·h), at the shares of sugar gone of PACE_AT. */
  pace: ArrayLike<number>
  /** % vol beyond which the yeast dies off. */
  tolerance: number
  /** °C by which it will be warmer than is thought, where nobody has measured. */
  warmer: number
}

/** Those that are learnt together, besides the pace; tolerance and the warmth to come stand for themselves. */
export const KINETIC_NAMES = ['start', 'growth', 'perDegree', 'sugarFree'] as const
/** Shares of the sugar gone at which a ferment's pace is told; straight between. */
export const PACE_AT = [0.1, 0.35, 0.6, 0.8, 0.92, 0.98] as const
const LAST_PACE = PACE_AT.length - 1
function paceAt(pace: ArrayLike<number>, gone: number): number {
  if (gone <= PACE_AT[0]) return pace[0]!
  for (let i = 1; i <= LAST_PACE; i++) {
    if (gone > PACE_AT[i]!) continue
    const part = (gone - PACE_AT[i - 1]!) / (PACE_AT[i]! - PACE_AT[i - 1]!)
    return pace[i - 1]! + (pace[i]! - pace[i - 1]!) * part
  }
  return pace[LAST_PACE]!
}
/** g/L of sugar at which the very last of the uptake is half. */
const HALF_SUGAR = 2

/** Step of the reckoning, h. */
export const STEP_H = 3
/** As far as a ferment is followed, h. */
export const HORIZON_H = 1440
/** Sugar to ethanol: Balling's extract balance. */
const ETHANOL_PER_SUGAR = 1 / 2.0665

/** A yeast hardly works below about 9 °C, and dies within hours above about 39 (common practice, no source). */
const inTheCold = (celsius: number): number => 1 / (1 + Math.exp((9.5 - celsius) / 0.7))
const heatDeath = (celsius: number): number => (celsius < 33 ? 0 : 0.6 / (1 + Math.exp((39.5 - celsius) / 1)))
/** Of what works so much dies an hour for each g/L of alcohol at 20 °C: slow beside the pace, which is learnt. Ours. */
const DEATH = 6e-6
/** Beyond the tolerance it dies at so much an hour. */
const BEYOND_TOLERANCE = 0.06
/** So far below it, % vol, next to nothing dies of it. */
const FAR_BELOW = 4
/** Two temperatures so close are one for the rates. */
const SAME_C = 0.02
/** Less than this in a step is a stand, g/L. */
const STILL_G = 0.002

/** Temperatures of a setting on the half steps of the reckoning: the same for every course of it. */
export interface Warmth {
  celsius: Float64Array
  cold: Float64Array
  heat: Float64Array
  /** 0 where it was measured, toward 1 where it is only thought. */
  unsure: Float64Array
}
/** Hours over which a measured temperature loses its hold. */
const HOLDS_H = 24
/**
 * @param celsiusAt temperature over the hours
 * @param knownTo h of the last measured temperature; undefined when none was
 */
export function warmthOf(celsiusAt: (hours: number) => number, knownTo?: number, horizonH = HORIZON_H): Warmth {
  const hours = Float64Array.from({ length: Math.ceil(horizonH / STEP_H) * 2 + 1 }, (_, i) => (i * STEP_H) / 2)
  const celsius = hours.map(celsiusAt)
  const unsure = hours.map((h) => (knownTo === undefined ? 1 : h <= knownTo ? 0 : 1 - Math.exp(-(h - knownTo) / HOLDS_H)))
  return { celsius, cold: celsius.map(inTheCold), heat: celsius.map(heatDeath), unsure }
}

/**
 * Sugar on the grid of steps: logistic growth of activity, an uptake that warmth speeds, death by alcohol and heat. How the uptake falls as
 * the sugar goes differs between every two models of the literature, so it is no law here but a line of its own, learnt from the readings
 * and, ahead of them, as unsure as ferments of several forms are. Second order (midpoint).
 * @param sugarGPerL fermentable at the start
 * @param takenGPerL sugar that an earlier yeast has taken: of its alcohol this one suffers from the start
 * @returns fermentable sugar left, g/L, every STEP_H
 */
export function sugarCourse(sugarGPerL: number, k: Kinetics, warmth: Warmth, takenGPerL = 0): Float64Array {
  const steps = (warmth.celsius.length - 1) / 2
  const sugar = new Float64Array(steps + 1)
  let [x, v, s] = [k.start, 1, sugarGPerL]
  sugar[0] = s
  const whole = sugarGPerL + takenGPerL
  let [lastC, factor, deathFactor] = [NaN, 1, 1]
  for (let i = 0; i < steps; i++) {
    let [dx, dv, ds] = [0, 0, 0]
    for (let half = 0; half < 2; half++) {
      const at = 2 * i + half
      const celsius = warmth.celsius[at]! + k.warmer * warmth.unsure[at]!
      if (!(Math.abs(celsius - lastC) < SAME_C)) {
        lastC = celsius
        const T = Math.min(36, celsius) - 20
        factor = Math.exp(k.perDegree * T)
        deathFactor = Math.exp(0.09 * T)
      }
      const rate = factor * warmth.cold[at]!
      const to = (half * STEP_H) / 2
      const [xx, vv, ss] = [Math.min(1, x + dx * to), Math.max(0, v + dv * to), Math.max(0, s + ds * to)]
      const ethanol = (takenGPerL + sugarGPerL - ss) * ETHANOL_PER_SUGAR
      dx = k.growth * rate * xx * (1 - xx)
      const gone = (takenGPerL + sugarGPerL - ss) / whole
      ds = (-paceAt(k.pace, gone) * rate * xx * vv * ss) / (ss + HALF_SUGAR)
      const short = k.tolerance - (ethanol / ETHANOL_DENSITY) * 100
      const over = short > FAR_BELOW ? 0 : BEYOND_TOLERANCE / (1 + Math.exp(short / 0.35))
      dv = -(DEATH * deathFactor * ethanol + warmth.heat[at]! + over) * vv
    }
    x = Math.min(1, Math.max(0, x + dx * STEP_H))
    v = Math.max(0, v * Math.exp((dv / Math.max(v, 1e-12)) * STEP_H))
    s = Math.max(0, s + ds * STEP_H)
    sugar[i + 1] = s
    if (s < 0.02 || v < 1e-5 || (x > 0.9 && -ds * STEP_H < STILL_G)) {
      sugar.fill(s, i + 2)
      break
    }
  }
  return sugar
}

/** A grid of steps between its points. */
export function between(grid: Float64Array, hours: number): number {
  const x = Math.min(grid.length - 1.000001, Math.max(0, hours / STEP_H))
  const i = Math.floor(x)
  return grid[i]! + (grid[i + 1]! - grid[i]!) * (x - i)
}

/** Gravity at so much sugar left, of a must of so much extract. */
export const sgAtSugar = (extractGPerL: number, sugarFree: number, sugar: number): number => {
  const taken = Math.max(0, extractGPerL - sugarFree - sugar)
  return gravityOf(extractGPerL - taken, taken * ETHANOL_PER_SUGAR)
}

/** Sugar taken from a must of so much extract when it stands at a gravity. */
export const takenAt = (extractGPerL: number, sg: number): number =>
  Math.max(0, findRoot((taken) => gravityOf(extractGPerL - taken, taken * ETHANOL_PER_SUGAR) - sg, 0, extractGPerL, 1e-4).x)

/** Hours at which sugar has fallen to a level; undefined where it never does. */
export function whenSugarIs(grid: Float64Array, level: number): number | undefined {
  // Falling all along, so halving finds it.
  const n = grid.length - 1
  if (grid[n]! > level) return undefined
  if (grid[0]! <= level) return 0
  let [low, high] = [0, n]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (grid[middle]! > level) low = middle
    else high = middle
  }
  return STEP_H * (low + (grid[low]! - level) / Math.max(1e-9, grid[low]! - grid[high]!))
}
