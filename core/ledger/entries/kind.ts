import type { Entry, EntryOf, Fact } from '../entry'
import type { Folding } from '../fold/folding'
import type { LedgerProblem } from '../state'

/** What an entry speaks of. Late entries and corrections are folded again from the earliest of what they touch. */
export interface Touched {
  lots: readonly string[]
  vessels: readonly string[]
  materials: readonly string[]
}

/** Everything the ledger knows of one kind of entry. The compiler asks for each part, and `kinds.ts` for each kind. */
export interface EntryKind<T extends Fact['type']> {
  type: T
  touches(entry: EntryOf<T>): Touched
  /**
   * Takes the entry into the cellar. What it writes to it asks of the folding first (`folding.lot(id)`), which copies it: the
   * state it came from is never changed.
   */
  apply(folding: Folding, entry: EntryOf<T>): void
}

export const NOTHING_TOUCHED: Touched = { lots: [], vessels: [], materials: [] }
export const ofLot = (entry: { lotId: string }, more: Partial<Touched> = {}): Touched => ({
  ...NOTHING_TOUCHED,
  lots: [entry.lotId],
  ...more
})

/** Problems that stop an entry from being written; a contradiction or a full reading is only remarked on. */
export const IMPOSSIBLE: ReadonlySet<LedgerProblem['code']> = new Set([
  'unknown-lot',
  'unknown-vessel',
  'vessel-taken',
  'overfull',
  'more-out-than-in',
  'more-bottles-than-there',
  'started-twice',
  'before-start',
  'nothing-there',
  'unknown-block',
  'unknown-instrument',
  'unknown-supply',
  'cannot-derive'
])

export const isFact = (entry: Entry): entry is Fact => entry.type !== 'correction'
