import type { Entry } from '~~/core/ledger'
import { type CellarStorage, StorageError, type Storing } from './cellar-storage'

/** A cellar that lasts as long as its tab: for browsers that store nothing (private windows). Calculating and exporting still work. */
export class MemoryCellar implements CellarStorage {
  private readonly entries = new Map<string, Entry>()
  private readonly meta = new Map<string, unknown>()

  async all(): Promise<{ entries: Entry[], damaged: number }> {
    return { entries: [...this.entries.values()].sort((a, b) => (a.id < b.id ? -1 : 1)), damaged: 0 }
  }

  async raw(): Promise<unknown[]> {
    return [...this.entries.values()]
  }

  async append(entries: readonly Entry[], _before?: readonly Entry[], storing?: Storing): Promise<{ restored: boolean }> {
    if (storing?.isStopped()) throw new StorageError('save to this device', 'stopped', undefined)
    if (entries.some((e) => typeof e.id !== 'string'))
      throw new StorageError('save to this device', 'other', new TypeError('an entry without an id'))
    for (const entry of entries) {
      if (!this.entries.has(entry.id)) this.entries.set(entry.id, structuredClone(entry))
    }
    return { restored: false }
  }

  async replaceAll(entries: readonly Entry[]): Promise<void> {
    this.entries.clear()
    await this.append(entries)
  }

  async writtenAfter(instant: string): Promise<number> {
    return [...this.entries.values()].filter((e) => e.written > instant).length
  }

  async byIds(ids: readonly string[]): Promise<Entry[]> {
    return ids.flatMap((id) => this.entries.get(id) ?? [])
  }

  async extent(): Promise<{ rows: number, lastWrittenMs: number }> {
    const rows = [...this.entries.values()]
    return { rows: rows.length, lastWrittenMs: rows.reduce((last, e) => Math.max(last, Date.parse(e.written)), 0) }
  }

  async getMeta(key: string): Promise<unknown> {
    return this.meta.get(key)
  }

  async setMeta(key: string, value: unknown): Promise<void> {
    this.meta.set(key, value)
  }

  close(): void {
    // Nothing is held open; what was in it is gone with the tab.
  }
}
