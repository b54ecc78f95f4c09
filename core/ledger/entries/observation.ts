import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

export const observation: EntryKind<'observation'> = {
  type: 'observation',
  touches: (e) => ofLot(e),
  apply(folding, seen) {
    const lot = lotOf(folding, seen)
    if (lot && seen.what === 'smell' && seen.smells?.length) lot.smelt = { at: seen.at, smells: seen.smells, entryId: seen.id }
  }
}
