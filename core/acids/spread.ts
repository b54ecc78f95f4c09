import { fixedDraws } from '../units'
import { type Composition, mediumOf, moveMedium } from './charge'
import { condition } from './condition'
import { type Luck, USUAL_LUCK } from './ferment'
import type { AcidFit } from './fit'
import { type AcidReadings, type Kind, type Pair, compositionOf, conditionsOf, pairOf, strengthsOf } from './pair'
import { STRONG, UNKNOWN_ACIDS } from './usual'

/** Half-widths of the 80 % bands of the readings themselves. */
export interface ReadingUncertainty {
  ph: number
  taGPerL: number
  malicGPerL: number
}
/** A home pH meter, a home titration, a strip: common practice, no source. */
export const READING_UNCERTAINTY: ReadingUncertainty = { ph: 0.05, taGPerL: 0.3, malicGPerL: 0.3 }
/** The readings as they stand. */
export const EXACT: ReadingUncertainty = { ph: 0, taGPerL: 0, malicGPerL: 0 }

/** A figure with the band that holds it four times in five. */
export interface Band {
  low: number
  mid: number
  high: number
}

/** One composition that the readings allow, with one way in which all that is not known may fall out. */
export interface Possibility {
  composition: Composition
  luck: Luck
  weight: number
}

/** Draws for each kind of composition; with twice as many the bands move by under a hundredth of their width. */
const DRAWS = 160
/** An 80 % band is this many standard deviations to either side. */
export const SD_OF_80 = 1.2816
/** A kind less likely than this is not drawn. */
const NEGLIGIBLE = 0.004

const LUCKS = Object.keys(USUAL_LUCK) as (keyof Luck)[]
/** Contents, what they share, three readings, and the luck of what comes. */
const DIMENSIONS = STRONG + 1 + 1 + 3 + LUCKS.length
const COMMON = STRONG + 1

/**
 * Compositions that a pair of readings allows, drawn from the same spreads as the fit and each brought to meet the pair
 * exactly (Matheron's rule: a draw from the prior, conditioned). Always the same draws, so that bands move smoothly with the
 * readings.
 * @param fit of the same readings
 * @param uncertainty of the readings, 80 % half-widths
 */
export function possibilities(readings: AcidReadings, fit: AcidFit, uncertainty = READING_UNCERTAINTY): Possibility[] {
  const blurred = uncertainty.ph > 0 || uncertainty.taGPerL > 0 || uncertainty.malicGPerL > 0
  const exact = pairOf(readings)
  // One for each draw, whatever the kind: laying a pair out is half of the work.
  const pairs = draws().map((z) => (blurred ? pairOf(blur(readings, z, uncertainty)) : exact))
  return fit.kinds.flatMap(({ weight }, k) => {
    if (weight < NEGLIGIBLE) return []
    return draws().flatMap((z, i): Possibility[] => {
      const own = pairs[i]!
      const contents = broughtTo(own, own.kinds[k]!, z, fit.strengths)
      if (contents[0]! < 0) return []
      return [{ composition: compositionOf(own, contents), luck: luckOf(z), weight: weight / DRAWS }]
    })
  })
}

/** A draw brought to the pair; its own ionic strength counts, so it is done twice. */
function broughtTo(pair: Pair, kind: Kind, z: Float64Array, [wineStrength, endStrength]: AcidFit['strengths']): Float64Array {
  const [wine, end] = [mediumOf(pair.abv, wineStrength), mediumOf(pair.abv, endStrength)]
  const from = drawn(kind, z)
  const first = condition(kind.prior, conditionsOf(pair, wine, end), from).contents
  const [nextWine, nextEnd] = strengthsOf(pair, first, wine, end)
  return condition(kind.prior, conditionsOf(pair, moveMedium(wine, pair.abv, nextWine), moveMedium(end, pair.abv, nextEnd)), from).contents
}

/** A draw from the spread of a kind, before it is brought to the pair; nothing is less than absent. */
function drawn({ prior }: Kind, z: Float64Array): Float64Array {
  const from = new Float64Array(STRONG + 1)
  for (let i = 0; i <= STRONG; i++) {
    const x = prior.mean[i]! + prior.sd[i]! * z[i]! + prior.common[i]! * z[COMMON]!
    from[i] = i < UNKNOWN_ACIDS.length ? Math.max(0, x) : x
  }
  return from
}

function blur(readings: AcidReadings, z: Float64Array, uncertainty: ReadingUncertainty): AcidReadings {
  const moved = (value: number, halfWidth: number, which: number, min: number, max: number) =>
    Math.min(max, Math.max(min, value + (halfWidth / SD_OF_80) * z[COMMON + which]!))
  return {
    ...readings,
    ph: moved(readings.ph, uncertainty.ph, 1, 2.5, 4.5),
    taGPerL: moved(readings.taGPerL, uncertainty.taGPerL, 2, 2, 20),
    ...(readings.malicGPerL !== undefined && { malicGPerL: moved(readings.malicGPerL, uncertainty.malicGPerL, 3, 0, 15) })
  }
}

const luckOf = (z: Float64Array): Luck => Object.fromEntries(LUCKS.map((name, i) => [name, z[COMMON + 4 + i]!])) as unknown as Luck

/**
 * The band of a figure over the possibilities, around its most probable value.
 * @param mid most probable value
 * @param values in the order of the possibilities
 */
export function bandOf(mid: number, values: readonly number[], possible: readonly Possibility[]): Band {
  const order = values
    .map((value, i) => ({ value, weight: possible[i]!.weight }))
    .filter((v) => Number.isFinite(v.value))
    .sort((a, b) => a.value - b.value)
  const total = order.reduce((sum, v) => sum + v.weight, 0)
  if (total === 0) return { low: mid, mid, high: mid }
  const at = (share: number): number => {
    let before = 0
    for (const v of order) {
      before += v.weight
      if (before >= share * total) return v.value
    }
    return order.at(-1)!.value
  }
  return { low: Math.min(mid, at(0.1)), mid, high: Math.max(mid, at(0.9)) }
}

let normals: Float64Array[] | undefined
const draws = (): Float64Array[] => (normals ??= fixedDraws(DRAWS, DIMENSIONS))
