import { type Entry, type EntryOf, restatedValue } from '~~/core/ledger'
import { ledgerCsv, ledgerLines, readingsCsv } from '~/data/csv'
import { downloadBytes, downloadText } from '~/data/download'
import { dayHere } from '~/wording/days'
import { sayFact } from '~/wording/sentences'
import { useFormat } from '~/composables/useFormat'
import { useStory } from '~/composables/useStory'
import { useCellarStore } from '~/stores/cellar'

export const TABLES = ['lots', 'readings', 'additions', 'moves', 'bottles', 'vessels', 'ledger'] as const
export type Table = (typeof TABLES)[number]

/** The cellar as tables for a spreadsheet: one by one, or all of them in a zip with the cellar's file and its pictures. */
export function useTables() {
  const cellar = useCellarStore()
  const story = useStory()
  const f = useFormat()
  const stamp = () => dayHere(new Date())
  /** Rounded to what the ledger deserves, so that a table is no list of sixteen digits. */
  const restated = (r: EntryOf<'reading'>) => {
    const lot = cellar.state.lots.get(r.lotId)
    const value = lot && restatedValue(lot, r)
    return value === undefined ? undefined : Number(value.toPrecision(5))
  }
  async function written(kind: Table, entries: readonly Entry[]): Promise<string> {
    // What writes tables comes when one is asked for.
    const t = await import('~/data/tables')
    const names = { ...story.names, material: story.names.material }
    const csv: Record<Table, () => Promise<string>> = {
      lots: () => t.lotsCsv(cellar.lots),
      readings: () => readingsCsv(entries, story.names, restated),
      additions: () => t.additionsCsv(entries, names),
      moves: () => t.movesCsv(entries, names),
      bottles: () => t.bottlesCsv(entries, names),
      vessels: () => t.vesselsCsv(cellar.state.vessels.values(), story.names.lot),
      ledger: () => ledgerCsv(entries, (fact) => sayFact(fact, f, story.names), story.names.lot)
    }
    return csv[kind]()
  }

  const exportTable = async (kind: Table) =>
    downloadText(await written(kind, await cellar.allEntries()), `${kind}-${stamp()}.csv`, 'text/csv')
  /** For scripts: an entry a line, as it is stored. */
  const exportLines = async () => downloadText(ledgerLines(await cellar.allEntries()), `ledger-${stamp()}.jsonl`, 'application/jsonl')
  /** For somebody who has no Presk: the cellar's file in it is the same as the plain export, and is read back. */
  async function exportZip(name: string): Promise<void> {
    const entries = await cellar.allEntries()
    const tables: Record<string, string> = {}
    for (const kind of TABLES) tables[`${kind}.csv`] = await written(kind, entries)
    downloadBytes(await cellar.packed(name, tables), `${name} ${stamp()}`, 'presk.zip', 'application/zip')
  }
  return { exportTable, exportLines, exportZip }
}
