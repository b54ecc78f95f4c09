import type { EntryOf } from '../entry'
import type { LotState } from '../state'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

/** Marbles and gas lie over the wine of one vessel; of the only one where none is named. */
function coverWine(lot: LotState, { what, vesselId, litres, at }: EntryOf<'operation'>): void {
  if (what !== 'marbles' && what !== 'gas-cover') return
  for (const id of vesselId === undefined ? lot.contents.keys() : [vesselId]) {
    const before = lot.overWine.get(id) ?? { marblesL: 0 }
    lot.overWine = new Map(lot.overWine).set(
      id,
      what === 'marbles' ? { ...before, marblesL: before.marblesL + (litres ?? 0) } : { ...before, gasAt: at }
    )
  }
}

export const operation: EntryKind<'operation'> = {
  type: 'operation',
  touches: (e) => ofLot(e),
  apply(folding, done) {
    const lot = lotOf(folding, done)
    if (!lot) return
    coverWine(lot, done)
    lot.worked = new Map(lot.worked).set(done.what, {
      at: done.at,
      ...(done.plan && { plan: done.plan }),
      ...(done.protocol && { protocol: done.protocol }),
      ...(done.sterile && { sterile: true }),
      ...(done.vesselId && { vesselId: done.vesselId }),
      ...(done.litres !== undefined && { litres: done.litres })
    })
  }
}
