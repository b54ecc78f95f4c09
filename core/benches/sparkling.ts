import { addition, fact } from '../drafts'
import { type Priming, priming } from '../finishing'
import { residualSugar } from '../hydrometry'
import type { LotView } from '../ledger'
import { cardOf } from '../materials'
import { withinLimits } from '../units'
import { type Bench, type Known, known, usual } from './bench'

/** What a gravity may be off when it tells sugar near dryness, g/L: see residualSugar. */
const BY_GRAVITY_G_PER_L = 5
/** A bottle that is rated as its maker says, here and now. */
export const ANOTHER_BOTTLE = 'another'
/** Where nobody said otherwise: a usual sparkling wine, bar; a cool table, a warm cupboard, a room that a ferment ends in, °C. Common
 * practice, no source. */
const USUAL = { target: 5, served: 10, warmest: 25, fermented: 18 } as const
const MOST_ABV = 18

export type SparklingNumber = 'own' | 'target' | 'volume' | 'residual' | 'abv' | 'served' | 'warmest' | 'fermented' | 'actual'
export interface SparklingChoices {
  /** Key of its card, or `ANOTHER_BOTTLE`. */
  bottle: string
  /** A sugar test of this wine; without one its gravity tells the sugar, and not well. */
  tested: boolean
}
export interface SparklingAnswer { sugar?: Priming | undefined }

/** What is left in it, g/L: by its test, on top of which counts what went in since; else by its gravity. */
function sugarLeft({ sg, abv, others }: LotView): Known | undefined {
  if (others.sugar) return known(others.sugar)
  const byGravity = sg && abv && withinLimits(() => residualSugar(sg.value, Math.min(MOST_ABV, abv.value)))
  return byGravity === undefined ? undefined : { value: byGravity, origin: 'estimated', half: BY_GRAVITY_G_PER_L }
}

/** Sparkling on purpose: the figures of the wine and the bottle, the sugar that follows, and its line in the ledger. */
export const sparkling: Bench<SparklingNumber, SparklingChoices, SparklingAnswer> = {
  choices: ({ lot }) => ({ bottle: 'sparkling-bottle-750', tested: lot?.others.sugar?.origin === 'measured' }),
  fill: ({ lot }) => ({
    volume: known(lot?.volume),
    residual: lot && sugarLeft(lot),
    abv: known(lot?.abv),
    target: usual(USUAL.target),
    served: usual(USUAL.served),
    warmest: usual(USUAL.warmest),
    fermented: usual(USUAL.fermented)
  }),
  answer({ bottle, tested, own, target, volume, residual, abv, served, warmest, fermented }, { cellar }) {
    const ratedBar = bottle === ANOTHER_BOTTLE ? own : cardOf(bottle, cellar.cards)?.bottle?.ratedBar
    if (ratedBar === undefined || target === undefined || volume === undefined || residual === undefined) return {}
    if (abv === undefined || served === undefined || warmest === undefined || fermented === undefined) return {}
    const sugar = withinLimits(() =>
      priming({
        volumeL: volume,
        targetBar: target,
        residualSugarGPerL: residual,
        residualSpreadGPerL: tested ? 0 : BY_GRAVITY_G_PER_L,
        abv,
        servedAtCelsius: served,
        warmestCelsius: warmest,
        fermentedAtCelsius: fermented,
        bottleRatedBar: ratedBar
      })
    )
    return { sugar }
  },
  figure: ({ sugar }) => sugar && (sugar.allowed ? sugar.grams : 0),
  drafts({ actual }, { sugar }, { lot }) {
    if (!sugar?.allowed || !actual) return { refused: 'nothing' }
    // What is done for pressure is a sparkling wine from here on: its bottles are looked after as such.
    const plan = lot.plan.sparkling ? [] : [fact('lot-planned', { lotId: lot.id, sparkling: true })]
    const about = { planned: sugar.grams, actual, purpose: 'for pressure in the bottle' }
    return [...plan, addition({ lotId: lot.id, material: 'sugar', ...about })]
  }
}
