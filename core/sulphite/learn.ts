import { within } from '../units'
import { TYPICAL_BOUND_SHARE } from './dose'

/** Free SO₂ lost in a month by oxidation and slow binding, as a rate per day: common practice, no source. */
export const TYPICAL_DECAY_PER_DAY = 0.005

export interface DosePair {
  addedMgPerL: number
  freeBeforeMgPerL: number
  freeAfterMgPerL: number
}
export interface RestPair {
  freeBeforeMgPerL: number
  freeAfterMgPerL: number
  days: number
}
export interface SulphiteHabit {
  boundShare: number
  boundShareUncertainty: number
  decayPerDay: number
  /** How many pairs each rests on; 0 means the default stands. */
  doses: number
  rests: number
}

/** The default counts as much as one addition of this size: one's own readings soon outweigh it. */
const PRIOR_ADDED = 20
const PRIOR_REST_DAYS = 14
/** Spread of the bound share between wines, and of a free SO₂ reading, mg/L. */
const PRIOR_SPREAD = 0.15
const READING_SPREAD = 4

/**
 * What a lot's own readings say of its binding and its loss: least squares of the rise in free SO₂ on the addition, and of
 * the fall of its logarithm on time, each drawn a little to the default while there is little to go by.
 * @param doses readings before and after an addition, a day or so apart, mg/L
 * @param rests two readings with nothing added in between
 * @returns bound share 0 to 0.8 and decay per day, with what they rest on
 * @throws LimitError
 * @example learnSulphite([{ addedMgPerL: 40, freeBeforeMgPerL: 5, freeAfterMgPerL: 25 }], []).boundShare // 0.47: half, drawn to a third
 */
export function learnSulphite(doses: readonly DosePair[], rests: readonly RestPair[]): SulphiteHabit {
  let top = (1 - TYPICAL_BOUND_SHARE) * PRIOR_ADDED ** 2
  let bottom: number = PRIOR_ADDED ** 2
  for (const d of doses) {
    within('addedMgPerL', d.addedMgPerL, 1, 300)
    top += (within('freeAfterMgPerL', d.freeAfterMgPerL, 0, 300) - within('freeBeforeMgPerL', d.freeBeforeMgPerL, 0, 300)) * d.addedMgPerL
    bottom += d.addedMgPerL ** 2
  }
  let logFall = TYPICAL_DECAY_PER_DAY * PRIOR_REST_DAYS ** 2
  let time: number = PRIOR_REST_DAYS ** 2
  for (const r of rests) {
    within('days', r.days, 0.5, 2000)
    logFall +=
      Math.log(within('freeBeforeMgPerL', r.freeBeforeMgPerL, 1, 300) / within('freeAfterMgPerL', r.freeAfterMgPerL, 1, 300)) * r.days
    time += r.days ** 2
  }
  return {
    boundShare: Math.min(0.8, Math.max(0, 1 - top / bottom)),
    boundShareUncertainty: Math.min(PRIOR_SPREAD, (READING_SPREAD * Math.SQRT2) / Math.sqrt(bottom)),
    decayPerDay: Math.max(0, logFall / time),
    doses: doses.length,
    rests: rests.length
  }
}
