import { actualAlcohol, correctRefractometer, potentialAlcohol, residualSugar, sgFromBrix, sugarScales } from '../hydrometry'
import { type LotView, isMust } from '../ledger'
import { ABV_PER_SG, withinLimits } from '../units'
import { type Bench, known, usual } from './bench'

export type AlcoholNumber = 'original' | 'current' | 'first' | 'present' | 'offset'
export interface AlcoholChoices { byRefractometer: boolean }
export interface AlcoholAnswer {
  made?: ReturnType<typeof actualAlcohol> | undefined
  /** Half-width of its band of four in five, % vol. */
  madeWithin?: number | undefined
  potential?: ReturnType<typeof potentialAlcohol> | undefined
  /** By a refractometer: the gravity that it means. */
  corrected?: ReturnType<typeof correctRefractometer> | undefined
  sg?: number | undefined
  /** g/L. */
  sugarLeft?: number | undefined
  /** Both were read, and no ferment joins them. */
  impossible: boolean
  /** It reads higher than before the ferment. */
  rose: boolean
  /** What came into the lot, and breaks the line from one gravity to the other. */
  changedBy?: 'sugar-or-water' | 'wine' | 'both' | undefined
}

function changedBy(lot: LotView): AlcoholAnswer['changedBy'] {
  const thinned = lot.added.has('water') || lot.added.has('sugar')
  const mixed = lot.cameIn.some((c) => c.wine) || lot.sources.length > 1
  return thinned && mixed ? 'both' : thinned ? 'sugar-or-water' : mixed ? 'wine' : undefined
}

/** The alcohol that was made between two gravities, by hydrometer or refractometer; before the ferment what there may be. */
export const alcohol: Bench<AlcoholNumber, AlcoholChoices, AlcoholAnswer> = {
  choices: () => ({ byRefractometer: false }),
  fill: ({ lot }) => ({
    original: known(lot?.originalSg),
    current: lot && !isMust(lot) ? known(lot.sg) : undefined,
    offset: usual(0)
  }),
  answer({ byRefractometer, original, current, first, present, offset = 0 }, { lot }) {
    const corrected = byRefractometer && first !== undefined && present !== undefined
      ? withinLimits(() => correctRefractometer(first, present, offset))
      : undefined
    const og = !byRefractometer ? original : first === undefined ? undefined : withinLimits(() => sgFromBrix(first - offset))
    const sg = byRefractometer ? corrected?.sg : current
    const made = og !== undefined && sg !== undefined ? withinLimits(() => actualAlcohol(og, sg)) : undefined
    return {
      made,
      madeWithin: made && Math.hypot((made.band.high - made.band.low) / 2, (corrected?.uncertaintySg ?? 0) * ABV_PER_SG),
      potential: og === undefined ? undefined : withinLimits(() => potentialAlcohol(sugarScales(og, 'sg').brix)),
      corrected,
      sg,
      sugarLeft: made && sg !== undefined ? withinLimits(() => residualSugar(sg, made.balling)) : undefined,
      impossible: byRefractometer && first !== undefined && present !== undefined && !corrected,
      rose: !byRefractometer && og !== undefined && sg !== undefined && sg > og,
      changedBy: lot && changedBy(lot)
    }
  }
}
