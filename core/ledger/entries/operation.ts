import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

export const operation: EntryKind<'operation'> = {
  type: 'operation',
  touches: (e) => ofLot(e),
  apply(folding, done) {
    const lot = lotOf(folding, done)
    if (lot)
      lot.worked = new Map(lot.worked).set(done.what, {
        at: done.at,
        ...(done.plan && { plan: done.plan }),
        ...(done.protocol && { protocol: done.protocol })
      })
  }
}
