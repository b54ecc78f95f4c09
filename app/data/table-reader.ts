import type { Draft, EntryOf, History } from '~~/core/ledger'
import { type ImportRow, type LotNamed, type Mapping, type Table, mapRows, readTable } from './csv'
import { isOwnReadings, readingsBack } from './readings-back'

/** What a page shows of a table: what comes of it, and the first rows that have a problem. */
export interface TableMapped {
  rows: number
  readings: number
  /** Rows that the cellar has already. */
  known: number
  troubled: Pick<ImportRow, 'line' | 'problems'>[]
  troubledCount: number
}
/** `mapped` at once where Presk wrote the table itself and knows its columns. */
export type TableSeen = { ok: true, columns: string[], mapped?: TableMapped } | { ok: false, reason: string }

/** So many troubled rows are shown. */
const SHOWN = 20

/** A table of readings that is being imported. It stays in the worker, where the ledger is: a hundred thousand rows hold up no page. */
export class TableReader {
  private table: Table | undefined
  /** Its readings, as mapped last. */
  drafts: readonly Draft<EntryOf<'reading'>>[] = []

  read(text: string, history: History, now: string): TableSeen {
    this.forget()
    const read = readTable(text)
    if (!read.ok) return read
    this.table = read.table
    const { columns } = read.table
    if (!isOwnReadings(read.table)) return { ok: true, columns }
    const back = readingsBack(read.table, {
      lotOf: lotNamed(history),
      instrumentNamed: (name) => [...history.cellar.instruments.values()].find((i) => i.name === name)?.id,
      readings: history.entries.filter((e) => e.type === 'reading'),
      now
    })
    return { ok: true, columns, mapped: this.keep(back.rows, back.known) }
  }

  /** @param lotId the lot of all rows, where no column names it */
  map(mapping: Mapping, lotId: string, history: History, now: string): TableMapped {
    const lotOf = mapping.lot === undefined ? ofLot(lotId) : lotNamed(history)
    return this.keep(this.table ? mapRows(this.table, mapping, lotOf, now) : [], 0)
  }

  forget(): void {
    this.table = undefined
    this.drafts = []
  }

  private keep(rows: readonly ImportRow[], known: number): TableMapped {
    this.drafts = rows.flatMap((r) => r.drafts)
    const troubled = rows.filter((r) => r.problems.length > 0)
    return {
      rows: rows.length,
      readings: this.drafts.length,
      known,
      troubled: troubled.slice(0, SHOWN).map(({ line, problems }) => ({ line, problems })),
      troubledCount: troubled.length
    }
  }
}

/** All rows are of one lot; a cellar without lots has none for them. */
const ofLot = (lotId: string): LotNamed => () => (lotId ? { lotId } : { problem: 'there is no lot yet: start one first' })

/** A name in the table means the lot that is called so, and no other. */
function lotNamed({ cellar }: History): LotNamed {
  const byName = new Map<string, string[]>()
  for (const { id, name } of cellar.lots.values()) {
    const key = name.trim().toLowerCase()
    byName.set(key, [...(byName.get(key) ?? []), id])
  }
  return (name) => {
    const called = byName.get(name.toLowerCase()) ?? []
    if (called.length === 1) return { lotId: called[0]! }
    return { problem: called.length === 0 ? `no lot is called “${name}”` : `${called.length} lots are called “${name}”: rename one` }
  }
}
