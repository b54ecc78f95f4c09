import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

export const observation: EntryKind<'observation'> = {
  type: 'observation',
  touches: (e) => ofLot(e),
  apply: (folding, seen) => void lotOf(folding, seen)
}
