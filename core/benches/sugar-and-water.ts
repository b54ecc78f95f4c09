import { brixFromSg } from '../hydrometry'
import { type Sweetener, addSugar, addWater } from '../must'
import { withinLimits } from '../units'
import { type Bench, known } from './bench'

/** Readings that are nearer than this are the same, °Brix: a quarter of what a hydrometer is read to. Our own. */
const SAME_BRIX = 0.05

export type SugarNumber = 'sgNow' | 'sgWanted' | 'volume'
export interface SugarAnswer {
  /** °Brix of both. */
  from?: number | undefined
  to?: number | undefined
  sugar?: ReturnType<typeof addSugar> | undefined
  water?: ReturnType<typeof addWater> | undefined
}

/** From the reading that there is to the one that is wanted: by sugar up, by water down. */
export const sugarAndWater: Bench<SugarNumber, { sweetener: Sweetener }, SugarAnswer> = {
  choices: () => ({ sweetener: 'sucrose' }),
  fill: ({ lot }) => ({ sgNow: known(lot?.sg), volume: known(lot?.volume) }),
  answer({ sgNow, sgWanted, volume, sweetener }) {
    const brixOf = (sg: number | undefined) => (sg === undefined ? undefined : withinLimits(() => brixFromSg(sg)))
    const [from, to] = [brixOf(sgNow), brixOf(sgWanted)]
    if (from === undefined || to === undefined || volume === undefined || Math.abs(from - to) <= SAME_BRIX) return { from, to }
    return to > from
      ? { from, to, sugar: withinLimits(() => addSugar(volume, from, to, sweetener)) }
      : { from, to, water: withinLimits(() => addWater(volume, from, to)) }
  }
}
