import { CELLAR_FORMAT, CELLAR_VERSION } from '~~/core/ledger/format'
import type { CellarName } from './cellar-storage'
import { downloadText, fileNameOf } from './download'
import { newId } from './ids'

/** A row of the ledger as stored: nothing of it is trusted but what is checked here. */
export interface RawRow {
  id: string
  written: string
  type: string
}

/**
 * The way out of a broken page: everything that is stored, as it is stored. Nothing is checked, folded or derived here, so nothing that
 * breaks a page can break this.
 */
export async function rawRows(name: CellarName): Promise<RawRow[]> {
  const { CellarDb } = await import('./cellar-db')
  const db = new CellarDb(name)
  try {
    return (await db.raw()) as RawRow[]
  }
  finally {
    db.close()
  }
}

/** The rows as a cellar file. One that no page can show may still be refused when it comes in: it names the place then. */
export function downloadRaw(rows: readonly RawRow[], cellarName: string, now = new Date()): void {
  const file = { format: CELLAR_FORMAT, version: CELLAR_VERSION, exportedAt: now.toISOString(), name: cellarName, entries: rows }
  downloadText(JSON.stringify(file, null, 1), fileNameOf(cellarName, now), 'application/json')
}

/** The entries that were written last, which are the likeliest to be the cause. */
export const lastWritten = (rows: readonly RawRow[], count = 8): RawRow[] =>
  rows
    .filter((row) => row.type !== 'correction')
    .sort((a, b) => String(b.written).localeCompare(String(a.written)))
    .slice(0, count)

/** Strikes an entry out, without looking at it: it stays on disk, and is folded no more. */
export async function strikeRaw(name: CellarName, rows: readonly RawRow[], targetId: string, device: string): Promise<void> {
  const { CellarDb } = await import('./cellar-db')
  const db = new CellarDb(name)
  // After all that was written, whatever the clock says.
  const last = rows.reduce((latest, row) => Math.max(latest, Date.parse(row.written) || 0), 0)
  const stamp = Math.max(Date.now(), last + 1)
  const at = new Date(stamp).toISOString()
  try {
    const about = { id: newId(stamp), device, at, written: at }
    await db.append([{ type: 'correction', ...about, targetId, reason: 'A page could not be shown', replacement: null }])
  }
  finally {
    db.close()
  }
}
