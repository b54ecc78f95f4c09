import type { Entry } from '~~/core/ledger'

/** The person's first cellar, their others (a father's, a course's), the demo, and the one of Practice; each has a database of its own. */
export type CellarName = 'own' | `own-${string}` | 'demo' | 'practice'

/** Why something could not be stored; worded in `wording/problems.ts`. */
export type StorageProblem = 'full' | 'blocked' | 'held' | 'worker' | 'cleared' | 'stopped' | 'other'
export class StorageError extends Error {
  constructor(
    readonly operation: string,
    readonly problem: StorageProblem,
    cause: unknown
  ) {
    super(`${operation}: ${problem}`, { cause })
    this.name = 'StorageError'
  }
}

/** Looks on while much is stored: hears how many entries are in, and may stop it; then none of them is kept. */
export interface Storing {
  stored: (entries: number) => void
  isStopped: () => boolean
}

/**
 * Where a cellar's ledger is kept: entries added and never changed, and a few facts about this copy. On disk it is
 * `CellarDb`; where a browser stores nothing it is `MemoryCellar`. Both pass one conformance suite.
 */
export interface CellarStorage {
  /** Every entry that is whole, by id; what is damaged is counted and left alone. */
  all(): Promise<{ entries: Entry[], damaged: number }>
  /**
   * Adds entries, all or none; ids that are there already are left alone. Resolves after the commit.
   * @param before all that was there: where the browser has cleared the storage under an open page it is written again with them
   * @throws StorageError of the problem 'stopped' where `storing` says so
   */
  append(entries: readonly Entry[], before?: readonly Entry[], storing?: Storing): Promise<{ restored: boolean }>
  /** Every row as stored, nothing checked: for the way out of a broken page. */
  raw(): Promise<unknown[]>
  /** Replaces the whole cellar, only used for the demo. */
  replaceAll(entries: readonly Entry[]): Promise<void>
  /** How many entries were written after an instant. */
  writtenAfter(instant: string): Promise<number>
  byIds(ids: readonly string[]): Promise<Entry[]>
  /** How many rows there are, and when the latest was written, ms; NaN where nothing says. */
  extent(): Promise<{ rows: number, lastWrittenMs: number }>
  getMeta(key: string): Promise<unknown>
  setMeta(key: string, value: unknown): Promise<void>
  close(): void
}
