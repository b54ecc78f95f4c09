import { sugarOf } from '../balance'
import { isWine } from '../facets'
import type { Figure, LotState } from '../state'

/** What a gravity near dryness may be off when it tells sugar, g/L: see `residualSugar`. */
const BY_GRAVITY = 5

/**
 * Sugar in a wine, g/L: what a test or what went in since says; without either what its balance has left, to within what a gravity
 * tells. Of what ferments nobody knows it from one hour to the next.
 */
export function residualOf(lot: Pick<LotState, 'others' | 'balance' | 'alcoholic' | 'sg' | 'volume'>): Figure | undefined {
  if (lot.others.sugar) return lot.others.sugar
  if (!isWine(lot) || !lot.balance) return undefined
  const { at, from } = lot.sg ?? lot.volume
  return { value: sugarOf(lot.balance), origin: 'estimated', at, uncertainty: BY_GRAVITY, from }
}
