import type { EntryOf } from './entry'
import { reckonedBrix } from './reckoned'
import type { LotState } from './state'

/**
 * What a reading is, its sample's temperature and the checks of its instrument reckoned in, in its own quantity.
 * @returns undefined where that is what was typed, or where it counts for nothing (struck)
 */
export function restatedValue(lot: Pick<LotState, 'series'>, { id, quantity, value }: EntryOf<'reading'>): number | undefined {
  const point = lot.series[quantity === 'brix' ? 'sg' : quantity]?.findLast((p) => p.entryId === id)
  if (!point) return undefined
  const is = quantity === 'brix' ? reckonedBrix(point.value) : point.value
  return Math.abs(is - value) > 1e-6 ? is : undefined
}
