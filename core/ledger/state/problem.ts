import type { ReadingQuantity } from '../entry'

/** What does not go together in the ledger, by the entry that shows it. */
export type LedgerProblem =
  | { code: 'unknown-lot', entryId: string, lotId: string }
  | { code: 'unknown-vessel', entryId: string, vesselId: string }
  | { code: 'unknown-block', entryId: string, blockId: string }
  | { code: 'unknown-instrument', entryId: string, instrumentId: string }
  | { code: 'unknown-supply', entryId: string, supplyId: string }
  /** Something was given to a lot that holds no wine: another one was meant. */
  | { code: 'nothing-there', entryId: string, lotId: string, material: string }
  | { code: 'vessel-taken', entryId: string, vesselId: string, byLotId: string }
  | { code: 'overfull', entryId: string, vesselId: string, litres: number, capacityL: number }
  /** What went in brings it over the brim: so much runs over unless some is taken out first. */
  | { code: 'brim-full', entryId: string, lotId: string, vesselId: string, overL: number }
  | { code: 'more-out-than-in', entryId: string, lotId: string, outL: number, heldL: number }
  | { code: 'contradicts', entryId: string, lotId: string, quantity: ReadingQuantity, measured: number, estimated: number, band: number }
  | { code: 'sulphite-in-malolactic', entryId: string, lotId: string }
  | { code: 'more-bottles-than-there', entryId: string, lotId: string, count: number, there: number }
  | { code: 'started-twice', entryId: string, lotId: string }
  | { code: 'before-start', entryId: string, lotId: string, startedAt: string }
  /** °Brix of a ferment with nothing said of the instrument: by refractometer it needs correcting. */
  | { code: 'brix-in-ferment', entryId: string, lotId: string, brix: number }
  | { code: 'ferments-by-itself', entryId: string, lotId: string, fell: number }
  | { code: 'expected-volume', entryId: string, lotId: string, outL: number, heldL: number }
  /** What the check of its instrument makes of a reading cannot be: it is taken as it was typed. */
  | { code: 'correction-odd', entryId: string, lotId: string, quantity: ReadingQuantity, shown: number, corrected?: number }
  /** The entry does to the cellar what cannot be worked out: it is left out, and everything else is as if it had not been written. */
  | { code: 'cannot-derive', entryId: string, lotId?: string, because: string }
  | { code: 'cannot-compute', entryId: string, lotId: string, argument: string, value: number }
