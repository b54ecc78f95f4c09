import { type EntryKind, NOTHING_TOUCHED } from './kind'

export const arrivalExpected: EntryKind<'arrival-expected'> = {
  type: 'arrival-expected',
  touches: () => NOTHING_TOUCHED,
  apply: (folding, arrival) => void folding.cellar.arrivals.set(arrival.arrivalId, arrival)
}
