import { within } from './limits'

/** Millilitres in a level teaspoon (US customary, also the metric 5 mL spoon within 2 %). */
export const TEASPOON_ML = 4.93

/** Spoon sizes of an ordinary set, as a share of a teaspoon. */
const SPOONS: readonly { share: number, name: string }[] = [
  { share: 3, name: 'tbsp' },
  { share: 1, name: 'tsp' },
  { share: 0.5, name: '½ tsp' },
  { share: 0.25, name: '¼ tsp' },
  { share: 0.125, name: '⅛ tsp' }
]

export interface SpoonMeasure {
  /** "2 tsp + ¼ tsp"; empty when the dose is under half of the smallest spoon. */
  words: string
  /** What those spoons would hold, g. */
  grams: number
}

/**
 * The nearest set of level spoons for a mass of powder. An approximation to go beside the grams, never instead.
 * @param grams mass wanted, g, 0 to 5000
 * @param gramsPerTeaspoon weight of one level teaspoon of this powder, g
 * @returns the spoons in words and what they hold
 * @throws LimitError
 * @example inSpoons(1.4, 5.6) // { words: '¼ tsp', grams: 1.4 }
 */
export function inSpoons(grams: number, gramsPerTeaspoon: number): SpoonMeasure {
  within('grams', grams, 0, 5000)
  within('gramsPerTeaspoon', gramsPerTeaspoon, 0.5, 20)
  let eighths = Math.round((grams / gramsPerTeaspoon) * 8)
  const held = (eighths / 8) * gramsPerTeaspoon
  const parts: string[] = []
  for (const spoon of SPOONS) {
    const size = spoon.share * 8
    const count = Math.floor(eighths / size)
    if (count > 0) parts.push(spoon.share >= 1 ? `${count} ${spoon.name}` : spoon.name)
    eighths -= count * size
  }
  return { words: parts.join(' + '), grams: held }
}
