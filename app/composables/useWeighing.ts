import { inSpoons } from '~~/core/units'
import { stockSolutionMl } from '~~/core/sulphite'
import type { Shown } from './useFormat'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useSettingsStore } from '~/stores/settings'

/** A dose under so many steps of the scale is guesswork on it. */
const STEPS_THAT_TELL = 10
/** Nobody counts more spoons than this holds. */
const LARGEST_BY_SPOON_G = 60
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
  const materials = useMaterials()

  function weigh(material: string, grams: number): Weighed {
    const shown = f.powder(grams)
    const card = materials.card(material)
    const coarse = grams > 0 && grams < STEPS_THAT_TELL * settings.values.scaleStepG
    if (coarse && card?.stockGPerL !== undefined) return { shown, stockMl: stockSolutionMl(grams, card.stockGPerL) }
    const own = card && settings.values.spoons[card.key]
    const perSpoon = own ?? card?.spoonG
    const spoons = perSpoon === undefined || grams > LARGEST_BY_SPOON_G || grams <= 0 ? undefined : inSpoons(grams, perSpoon)
    return { shown, ...(spoons?.words && { spoons: { words: spoons.words, own: own !== undefined } }) }
  }
  return { weigh }
}
