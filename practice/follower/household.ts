import { DAY_MS } from '../../core/units'
import { type Draft, type Entry, type Fact, type History, extend, historyOf } from '../../core/ledger'
import { entrySchema } from '../../core/ledger/schema'
import type { Hand } from './hand'

/** A household: one ledger and one calendar for all of its lots, and the wine that it has for topping up. */
export class Household {
  history: History = historyOf([])
  readonly start = Date.UTC(2026, 8, 20, 8)
  count = 0
  day = 0
  /** One for each lot; a press fraction that is kept apart comes later. */
  readonly hands: Hand[] = []

  /** @param glass what they have of it, L each; plenty where nothing is said */
  constructor(public toppingL = 15, readonly glass?: readonly number[]) {}

  now = (): string => new Date(this.start + Math.round(this.day * DAY_MS)).toISOString()

  entry(draft: Draft<Fact>, at = this.now()): Entry {
    return entrySchema.parse({ id: `loop-${String(++this.count).padStart(6, '0')}`, device: 'loop', at, written: at, ...draft })
  }

  /** What is there on the first day. */
  begin(drafts: readonly Draft<Fact>[]): void {
    this.history = extend(this.history, drafts.map((draft) => this.entry(draft)))
  }
}
