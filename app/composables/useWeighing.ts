import { GRAMS_PER_TEASPOON, type SpoonedPowder, inSpoons } from '~~/core/units'
import { stockSolutionMl } from '~~/core/sulphite'
import type { Shown } from './useFormat'

/** Strength of the stock solutions that Presk reckons with: 10 g made up to 100 mL. */
export const STOCK_G_PER_L = 100
/** A dose under so many steps of the scale is guesswork on it. */
const STEPS_THAT_TELL = 10
/** Nobody counts more spoons than this holds. */
const LARGEST_BY_SPOON_G = 60
/** What does not dissolve, or is not weighed: no stock solution of these. */
const NO_STOCK = new Set(['yeast', 'bentonite', 'sugar', 'water', 'calcium-carbonate', 'oak', 'complex-nutrient', 'organic-nutrient', 'rehydration-nutrient', 'pectic-enzyme'])

export interface Weighed {
  shown: Shown
  /** Level spoons, from the person's own where they were weighed. */
  spoons?: { words: string, own: boolean }
  /** mL of a stock solution, where the scale is too coarse. */
  stockMl?: number
}

/** How an amount is measured out in this house: on its scale, in its spoons, or as a stock solution. */
export function useWeighing() {
  const settings = useSettingsStore()
  const f = useFormat()

  function weigh(material: string, grams: number): Weighed {
    const shown = f.powder(grams)
    const coarse = grams > 0 && grams < STEPS_THAT_TELL * settings.values.scaleStepG
    if (coarse && !NO_STOCK.has(material)) return { shown, stockMl: stockSolutionMl(grams, STOCK_G_PER_L) }
    const own = settings.values.spoons[material]
    const perSpoon = own ?? (material in GRAMS_PER_TEASPOON ? GRAMS_PER_TEASPOON[material as SpoonedPowder] : undefined)
    const spoons = perSpoon === undefined || grams > LARGEST_BY_SPOON_G || grams <= 0 ? undefined : inSpoons(grams, perSpoon)
    return { shown, ...(spoons?.words && { spoons: { words: spoons.words, own: own !== undefined } }) }
  }
  return { weigh }
}
