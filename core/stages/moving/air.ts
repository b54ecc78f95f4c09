import { type LotView, isFermenting, isMust, isWine } from '../../ledger'
import { phaseOf } from '../ferment'
import { hoursSince } from '../stage'

export interface AirAdvice {
  air: 'quiet' | 'splashed'
  because: 'must' | 'early-ferment' | 'late-ferment' | 'rotten-egg' | 'wine'
}

/** A smell speaks for so long, h. */
const SMELT_H = 14 * 24

/**
 * Whether a move should splash: what smells of rotten egg wants air, yeast at its beginning takes it gladly, all else loses by it
 * (craft 3.7, 3.10 and 6.26, common practice).
 */
export function airAdvice(lot: LotView, now: string): AirAdvice {
  if (isMust(lot)) return { air: 'quiet', because: 'must' }
  const smells = lot.smelt && hoursSince(lot.smelt.at, now) <= SMELT_H && lot.smelt.smells.includes('rotten-egg')
  if (smells) return { air: 'splashed', because: 'rotten-egg' }
  if (isWine(lot)) return { air: 'quiet', because: 'wine' }
  return isFermenting(lot) && phaseOf(lot) === 'early'
    ? { air: 'splashed', because: 'early-ferment' }
    : { air: 'quiet', because: 'late-ferment' }
}
