import Dexie, { type Table } from 'dexie'
import { type Entry, upcastEntry } from '~~/core/ledger'
import { entrySchema } from '~~/core/ledger/schema'
import { type CellarName, type CellarStorage, StorageError, type StorageProblem, type Storing } from './cellar-storage'

interface MetaRow {
  key: string
  value: unknown
}

/** A row of its own says that the cellar is still the one that was opened. */
const MARK = 'begun'
/** So many entries go in between two looks at whether somebody wants to stop. */
const AT_ONCE = 2000

/**
 * A cellar on disk: the ledger's entries, added and never changed, and a few facts about this copy of it.
 * Version 1 is the first released schema; later versions carry their migration here, each with a test that opens an older one.
 */
export class CellarDb extends Dexie implements CellarStorage {
  private wasMarked = false
  /** Another tab with an older Presk has it open, and has to be closed before this one can go on. */
  held = false
  entries!: Table<Entry, string>
  meta!: Table<MetaRow, string>

  constructor(name: CellarName) {
    super(`presk-${name}`)
    this.on('blocked', () => {
      this.held = true
    })
    this.version(1).stores({ entries: 'id, at', meta: 'key' })
    // 2: by the instant of writing, to count what the last export does not hold. Nothing stored changes.
    this.version(2).stores({ entries: 'id, at, written', meta: 'key' })
  }

  /** Every entry that is whole. What is damaged on disk is counted, left out and left alone. */
  async all(): Promise<{ entries: Entry[], damaged: number }> {
    const rows: unknown[] = await this.guard('read the cellar', async () => {
      this.wasMarked = (await this.meta.get(MARK)) !== undefined
      return this.entries.toArray()
    })
    const entries = rows.flatMap((row) => {
      const parsed = entrySchema.safeParse(upcastEntry(row))
      return parsed.success ? [parsed.data] : []
    })
    return { entries, damaged: rows.length - entries.length }
  }

  async raw(): Promise<unknown[]> {
    return this.guard('read the cellar', () => this.entries.toArray())
  }

  /**
   * Adds entries in one transaction: all or none. Ids that are there already are left alone. Resolves after the commit. A browser may clear
   * a site's storage under an open page: then the mark of this cellar is gone with it, and all that was there is written again.
   */
  async append(entries: readonly Entry[], before: readonly Entry[] = [], storing?: Storing): Promise<{ restored: boolean }> {
    return this.guard('save to this device', () =>
      this.transaction('rw', this.entries, this.meta, async () => {
        const marked = (await this.meta.get(MARK)) !== undefined
        const restored = this.wasMarked && !marked
        await this.addAll(restored ? [...before, ...entries] : entries, storing)
        if (!marked) await this.meta.put({ key: MARK, value: new Date().toISOString() })
        this.wasMarked = true
        return { restored }
      })
    )
  }

  private async addAll(entries: readonly Entry[], storing?: Storing): Promise<void> {
    for (let from = 0; from < entries.length; from += AT_ONCE) {
      // Thrown inside the transaction, which undoes what is already in.
      if (storing?.isStopped()) throw new StorageError('save to this device', 'stopped', undefined)
      await this.addSome(entries.slice(from, from + AT_ONCE))
      storing?.stored(Math.min(entries.length, from + AT_ONCE))
    }
  }

  private async addSome(entries: readonly Entry[]): Promise<void> {
    try {
      await this.entries.bulkAdd(entries)
    }
    catch (error) {
      // Caught inside the transaction, so that the others still go in; anything but "is there already" undoes them all.
      const known = error instanceof Dexie.BulkError && error.failures.every((f) => f.name === 'ConstraintError')
      if (!known) throw error
    }
  }

  /** Replaces the whole cellar, only used for the demo. */
  async replaceAll(entries: readonly Entry[]): Promise<void> {
    await this.guard('lay out the demo', () =>
      this.transaction('rw', this.entries, this.meta, async () => {
        await this.entries.clear()
        await this.entries.bulkAdd([...entries])
        await this.meta.put({ key: MARK, value: new Date().toISOString() })
        this.wasMarked = true
      })
    )
  }

  /** How many entries were written after an instant. */
  async writtenAfter(instant: string): Promise<number> {
    return this.guard('read the cellar', () => this.entries.where('written').above(instant).count())
  }

  async byIds(ids: readonly string[]): Promise<Entry[]> {
    return (await this.guard('read the cellar', () => this.entries.bulkGet([...ids]))).filter((e) => e !== undefined)
  }

  async extent(): Promise<{ rows: number, lastWrittenMs: number }> {
    return this.guard('read the cellar', async () => {
      const [rows, last] = await Promise.all([this.entries.count(), this.entries.orderBy('written').last()])
      return { rows, lastWrittenMs: last ? Date.parse(last.written) : 0 }
    })
  }

  async getMeta(key: string): Promise<unknown> {
    return this.guard('read the cellar', async () => (await this.meta.get(key))?.value)
  }

  async setMeta(key: string, value: unknown): Promise<void> {
    await this.guard('write to the cellar', () => this.meta.put({ key, value }))
  }

  private async guard<T>(operation: string, work: () => PromiseLike<T>): Promise<T> {
    try {
      return await work()
    }
    catch (error) {
      if (error instanceof StorageError) throw error
      throw new StorageError(operation, problemOf(error), error)
    }
  }
}

function problemOf(error: unknown): StorageProblem {
  const names = [error, (error as { inner?: unknown }).inner].map((e) => (e as { name?: string } | undefined)?.name)
  if (names.includes('QuotaExceededError')) return 'full'
  return names.some((n) => n === 'OpenFailedError' || n === 'MissingAPIError' || n === 'SecurityError' || n === 'InvalidStateError')
    ? 'blocked'
    : 'other'
}
