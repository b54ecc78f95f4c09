import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { CellarDb } from '../app/data/cellar-db'
import { mergeEntries, parseCellarFile, toCellarFile } from '../app/data/cellar-file'
import { type Draft, type Entry, type Fact, appendToCellar, foldCellar } from '../core/ledger'
import { perCall } from './time'

const LOTS = 40
const EVENTS = 20_000

/** A big cellar: 40 lots, 20,000 events over three years, in the mix of a real ledger. */
export function bigCellar(): Entry[] {
  const entries: Entry[] = []
  const put = (minute: number, draft: Draft<Fact>) => {
    const at = new Date(Date.UTC(2024, 0, 1) + minute * 60_000).toISOString()
    entries.push({ id: `bench-${String(entries.length).padStart(6, '0')}`, device: 'bench', at, written: at, ...draft } as Entry)
  }
  for (let i = 0; i < LOTS; i++) put(i, { type: 'lot-started', lotId: `lot-bench-${i}`, name: `Lot ${i}`, stream: 'juice', style: 'red', varieties: [], volumeL: 100, volumeIs: 'measured' })
  for (let n = 0; entries.length < EVENTS; n++) {
    const lotId = `lot-bench-${n % LOTS}`
    const minute = 100 + n * 75
    const round = Math.floor(n / LOTS)
    const sg = Math.max(0.994, 1.1 - round * 0.004)
    const kinds: Draft<Fact>[] = [
      { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, sampleC: 22 },
      { type: 'reading', lotId, quantity: 'temperature', typed: '22', value: 22 },
      { type: 'observation', lotId, what: 'smell', text: 'fine' },
      { type: 'operation', lotId, what: 'punch-down' },
      { type: 'reading', lotId, quantity: 'ph', typed: '3.5', value: 3.5 + (n % 7) / 100 },
      { type: 'reading', lotId, quantity: 'ta', typed: '6', value: 6 + (n % 5) / 10 },
      { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 0.5, so2Share: 0.576 },
      { type: 'reading', lotId, quantity: 'freeSo2', typed: '25', value: 25 },
      { type: 'transfer', purpose: 'top-up', from: { lotId }, to: { lotId: `lot-bench-${(n + 1) % LOTS}` }, outL: 0.5, inL: 0.5 }
    ]
    put(minute, kinds[round % kinds.length]!)
  }
  return entries
}

/** Rebuilding everything, one new entry, and a large import, each beside the bare cost of the same records in Dexie. */
export async function benchLedger() {
  const entries = bigCellar()
  const rebuildMs = perCall(() => foldCellar(entries), 3)
  const state = foldCellar(entries)
  const lastAt = entries.reduce((latest, e) => e.at > latest ? e.at : latest, '')
  const later: Entry = { ...entries.find(e => e.type === 'reading')!, id: 'bench-later', at: '2099-01-01T00:00:00.000Z' }
  const stateAfterOneMs = perCall(() => appendToCellar(state, lastAt, [later]), 200)
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
    events: entries.length, lots: LOTS, rebuildMs, rebuildGoalMs: 400,
    newEntryMs: appendMs + stateAfterOneMs, newEntryGoalMs: 100, backdatedEntryMs: appendMs + rebuildMs, appendMs, bareAppendMs: bareOneMs, appendRatio: appendMs / bareOneMs,
    importMs, bareImportMs, importRatio: importMs / bareImportMs, ratioGoal: 2
  }
}
