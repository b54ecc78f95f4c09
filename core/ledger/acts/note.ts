import type { LotState } from '../state'
import type { Act } from './act'

/** A lot remembers so many acts that were found wanting: the latest. */
const MOST = 40

/** Notes what is to be said of an entry; nothing where there is nothing. */
export function noteActs(lot: LotState, { id: entryId, at }: { id: string, at: string }, acts: readonly Act[]): void {
  if (acts.length > 0) lot.acts = [...lot.acts, ...acts.map((act) => ({ act, entryId, at }))].slice(-MOST)
}

/** A lot as it was, to judge by: what an entry changes is replaced, and what it changes in place is copied here. */
export const asItWas = (lot: LotState): LotState => ({ ...lot, others: { ...lot.others } })
