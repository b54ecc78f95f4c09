import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { CellarDb } from '../app/data/cellar-db'
import { mergeEntries, parseCellarFile } from '../app/data/cellar-file'
import { toCellarFile } from '../app/data/to-cellar-file'
import { type Entry, type EntryOf, extend, foldCellar, historyOf } from '../core/ledger'
import { EVENTS, LOTS, bigCellar } from '../tests/cellars/big'
import { yearsAtHome } from '../tests/cellars/years'
import { perCall } from './time'

/** A reading of the target corrected by a thousandth. */
function correctionOf(target: EntryOf<'reading'>): Entry {
  const at = '2099-01-01T00:00:00.000Z'
  return {
    type: 'correction',
    id: 'bench-correction',
    device: 'bench',
    at,
    written: at,
    targetId: target.id,
    reason: '',
    replacement: { ...target, value: target.value * 1.001 }
  }
}

/** The whole of it from nothing, the first time and again; and one reading corrected, by how far on in the ledger it stands. */
function benchFold(entries: readonly Entry[]) {
  const start = performance.now()
  const history = historyOf(entries)
  const rebuildFirstMs = performance.now() - start
  const corrections = [0.1, 0.3, 0.5, 0.7, 0.9, 0.98].map((part) => {
    const target = entries.slice(0, Math.floor(entries.length * part)).findLast((e) => e.type === 'reading')!
    const correction = correctionOf(target)
    return [part, perCall(() => extend(history, [correction]), 3)] as const
  })
  return {
    rebuildFirstMs,
    rebuildMs: perCall(() => foldCellar(entries), 3),
    correctionOfAnEntryAtPartOfTheLedgerMs: Object.fromEntries(corrections)
  }
}

/** Rebuilding everything, one new entry, and a large import, each beside the bare cost of the same records in Dexie. */
export async function benchLedger() {
  const asKeptAtHome = benchFold(yearsAtHome())
  const entries = bigCellar()
  const everyLotTopsUpTheNext = benchFold(entries)
  const history = historyOf(entries)
  const reading = entries.find((e) => e.type === 'reading')!
  const later: Entry = { ...reading, id: 'bench-later', at: '2099-01-01T00:00:00.000Z' }
  const stateAfterOneMs = perCall(() => extend(history, [later]), 200)
  const text = JSON.stringify(toCellarFile('bench', entries, new Date(0).toISOString()))

  const bare = new Dexie('bare')
  // The same records under the same keys as CellarDb, so that the ratio is what our own work costs.
  bare.version(1).stores({ entries: 'id, at, written' })
  const bareStart = performance.now()
  await bare.table('entries').bulkAdd(entries)
  const bareImportMs = performance.now() - bareStart

  const db = new CellarDb('own')
  const importStart = performance.now()
  const parsed = parseCellarFile(text)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problem))
  const merge = mergeEntries([], parsed.file.entries)
  await db.append(merge.fresh)
  const importMs = performance.now() - importStart

  const one = (n: number): Entry => ({ ...entries[60]!, id: `bench-new-${n}` })
  const bareOneStart = performance.now()
  for (let n = 0; n < 20; n++) await bare.table('entries').add(one(n))
  const bareOneMs = (performance.now() - bareOneStart) / 20
  const oneStart = performance.now()
  for (let n = 0; n < 20; n++) await db.append([one(n)])
  const appendMs = (performance.now() - oneStart) / 20
  return {
    events: EVENTS,
    lots: LOTS,
    asKeptAtHome,
    everyLotTopsUpTheNext,
    rebuildGoalMs: 400,
    correctionGoalMs: 60,
    newEntryMs: appendMs + stateAfterOneMs,
    newEntryGoalMs: 100,
    appendMs,
    bareAppendMs: bareOneMs,
    appendRatio: appendMs / bareOneMs,
    importMs,
    bareImportMs,
    importRatio: importMs / bareImportMs,
    ratioGoal: 2
  }
}
