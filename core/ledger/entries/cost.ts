import { pay } from '../paid'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

/** Money that was spent on a lot: fruit, bottles, a press for a day. What comes from the store has its price there. */
export const cost: EntryKind<'cost'> = {
  type: 'cost',
  touches: (e) => ofLot(e),
  apply(folding, spent) {
    const lot = lotOf(folding, spent)
    if (lot) pay(lot, { money: spent.amount, of: spent.what })
  }
}
