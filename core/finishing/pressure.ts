import { within } from '../units'

/**
 * Carbon dioxide that a litre of dry wine takes up under a bar of it, g/(L·bar): 1.21 at 25 °C with a heat of solution of 24.8 kJ/mol,
 * which draws Agabaliantz's table for a wine of 12.5 % vol (2.98 at 0 °C, 2.07 at 10, 1.44 at 20 and 1.21 at 25; from memory).
 */
const TAKES_UP_AT_25C = 1.21
const HEAT_K = 24_800 / 8.314
const CO2_G_PER_MOL = 44.01
const GAS_L_BAR = 0.083145
const ATMOSPHERE_BAR = 1.013
/** The nitrogen of the air that was closed in, bar: its oxygen is taken by wine and yeast. */
const AIR_LEFT_BAR = 0.8
/** Room under the closure, as a share of the wine: 15 to 20 mL in a bottle of 750. Common practice, no source. */
const HEADSPACE_SHARE = 0.025
/** g of CO₂ from a gram of hexose (stoichiometry 2 × 44.01 / 180.16), and from one of household sugar, which takes up water first. */
export const CO2_PER_G = { hexose: 0.489, sucrose: 0.514 } as const
/** g/L of sugar that yeast makes into 1 % vol (OIV). */
const SUGAR_PER_ABV = 16.83
/** A ferment ends near here when nothing is said, °C. */
const USUAL_CELSIUS = { fermented: 18, served: 10, warmest: 25 } as const

/**
 * g of CO₂ in a litre of wine under a bar of it.
 * @param celsius −2 to 40
 * @throws LimitError
 * @example co2Solubility(10) // 2.06
 */
export function co2Solubility(celsius: number): number {
  within('celsius', celsius, -2, 40)
  return TAKES_UP_AT_25C * Math.exp(HEAT_K * (1 / (celsius + 273.15) - 1 / 298.15))
}

/** Of all CO₂ in a closed bottle, g for a litre of wine and each bar of it: what is dissolved, and what is over it. */
const held = (celsius: number): number =>
  co2Solubility(celsius) + (HEADSPACE_SHARE * CO2_G_PER_MOL) / (GAS_L_BAR * (celsius + 273.15))

/**
 * Gauge pressure in a closed bottle.
 * @param co2GPerL all that is in it and all that its sugar makes, 0 to 40 g/L
 * @param celsius −2 to 40
 * @returns bar above the air outside, not less than 0
 * @throws LimitError
 * @example bottlePressure(13.2, 10) // 6.1
 */
export const bottlePressure = (co2GPerL: number, celsius: number): number =>
  Math.max(0, within('co2GPerL', co2GPerL, 0, 200) / held(celsius) + AIR_LEFT_BAR - ATMOSPHERE_BAR)

/** CO₂ that a wine still holds under an airlock, g/L, at the warmest that it was since its ferment. */
export const co2Left = (celsius: number): number => co2Solubility(celsius) * ATMOSPHERE_BAR

/** % vol that yeast makes of sugar as sucrose, g/L, besides what it had as hexose. */
export const abvFromSugar = (sucroseGPerL: number, hexoseGPerL = 0): number =>
  (sucroseGPerL * (CO2_PER_G.sucrose / CO2_PER_G.hexose) + hexoseGPerL) / SUGAR_PER_ABV

export interface PrimingAsked {
  volumeL: number
  /** Gauge, at the temperature that it is served at. */
  targetBar: number
  /** All that yeast could take, measured or by its gravity: every gram of it counts, so it is asked for and never taken as none. */
  residualSugarGPerL: number
  /** How much more there may be of it, g/L: nothing by a sugar test, about 5 by a gravity. Counted against the bottle. */
  residualSpreadGPerL?: number
  abv: number
  fermentedAtCelsius?: number
  servedAtCelsius?: number
  warmestCelsius?: number
  /** What the bottle is rated for, bar; of a still bottle nothing. */
  bottleRatedBar?: number
}

export type PrimingFinding =
  /** A bottle that is not made for pressure, or nobody knows. */
  | { code: 'bottle-not-rated' }
  | { code: 'over-rated', celsius: number, bar: number, ratedBar: number }
  /** What is left in it makes more than is wanted. */
  | { code: 'sugar-enough', residualSugarGPerL: number, bar: number }
  | { code: 'sugar-counted', residualSugarGPerL: number, bar: number }
  /** It is not tested: so much more pressure there may be where it is warmest. */
  | { code: 'sugar-untested', spreadGPerL: number, bar: number }
  | { code: 'yeast-unsure', abv: number }
  | { code: 'still-level', bar: number }

export interface Priming {
  /** Household sugar to add. */
  sugarGPerL: number
  grams: number
  barAt: { celsius: number, bar: number }[]
  abvAdded: number
  /** Of the bottle: false refuses it. */
  allowed: boolean
  findings: PrimingFinding[]
}

/** Yeast under pressure and in alcohol may not begin above this, % vol: common practice, no source. */
const YEAST_UNSURE_ABV = 12.5
/** Under this nobody would call it more than a prickle (EU: semi-sparkling from 1 bar). */
const STILL_BAR = 1
/** A bottle is filled by hand and sugar lies unevenly: so much of its rating is left. Common practice, no source. */
const RESERVE = 0.9

/**
 * Sugar for a wanted pressure, with all that makes gas counted: the sugar that is left, and what gas the wine holds already.
 * @throws LimitError
 * @example
 * // 22.7 g/L
 * priming({ volumeL: 10, targetBar: 6, residualSugarGPerL: 0, abv: 11, fermentedAtCelsius: 20, bottleRatedBar: 12 }).sugarGPerL
 */
export function priming(asked: PrimingAsked): Priming {
  const { volumeL, targetBar, residualSugarGPerL: residual, residualSpreadGPerL: spread = 0, abv, bottleRatedBar: rated } = asked
  within('volumeL', volumeL, 0.001, 100_000)
  within('targetBar', targetBar, 0, 10)
  within('residualSugarGPerL', residual, 0, 300)
  within('residualSpreadGPerL', spread, 0, 50)
  within('abv', abv, 0, 18)
  if (rated !== undefined) within('bottleRatedBar', rated, 0, 20)
  const [fermented, served, warmest] = [
    asked.fermentedAtCelsius ?? USUAL_CELSIUS.fermented,
    asked.servedAtCelsius ?? USUAL_CELSIUS.served,
    asked.warmestCelsius ?? USUAL_CELSIUS.warmest
  ]
  const there = co2Left(fermented) + residual * CO2_PER_G.hexose
  const wanted = (targetBar + ATMOSPHERE_BAR - AIR_LEFT_BAR) * held(served)
  const sugarGPerL = Math.max(0, (wanted - there) / CO2_PER_G.sucrose)
  const all = there + sugarGPerL * CO2_PER_G.sucrose
  const barAt = [...new Set([served, 20, warmest])].sort((a, b) => a - b).map((celsius) => ({ celsius, bar: bottlePressure(all, celsius) }))
  // What may be in it besides is reckoned with for the bottle, and told apart.
  const most = (celsius: number) => bottlePressure(all + spread * CO2_PER_G.hexose, celsius)
  const worst = barAt.map(({ celsius }) => ({ celsius, bar: most(celsius) })).reduce((top, one) => (one.bar > top.bar ? one : top))
  const fromResidual = bottlePressure(there, served)
  const tooMuch = rated !== undefined && worst.bar > rated * RESERVE
  const unrated = (rated === undefined || rated === 0) && worst.bar >= STILL_BAR
  const findings: PrimingFinding[] = [
    ...(unrated ? [{ code: 'bottle-not-rated' as const }] : []),
    ...(tooMuch && rated > 0 ? [{ code: 'over-rated' as const, ...worst, ratedBar: rated }] : []),
    ...(residual > 0
      ? [{
          code: sugarGPerL === 0 ? ('sugar-enough' as const) : ('sugar-counted' as const),
          residualSugarGPerL: residual,
          bar: fromResidual
        }]
      : []),
    ...(spread > 0 ? [{ code: 'sugar-untested' as const, spreadGPerL: spread, bar: worst.bar - bottlePressure(all, worst.celsius) }] : []),
    ...(sugarGPerL > 0 && abv > YEAST_UNSURE_ABV ? [{ code: 'yeast-unsure' as const, abv }] : []),
    ...(targetBar < STILL_BAR ? [{ code: 'still-level' as const, bar: targetBar }] : [])
  ]
  const allowed = !unrated && !tooMuch
  return {
    // For a bottle that is not made for it nothing is weighed.
    sugarGPerL: allowed ? sugarGPerL : 0,
    grams: allowed ? sugarGPerL * volumeL : 0,
    barAt,
    abvAdded: abvFromSugar(sugarGPerL, residual),
    allowed,
    findings
  }
}
