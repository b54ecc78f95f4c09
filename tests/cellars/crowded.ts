import { CELLAR_VERSION, type Draft, type Entry, type Fact } from '../../core/ledger'

/** Forty vessels, ten lots, and everything odd that a ledger takes: made up for browser tests. */
export function crowdedCellar(): { format: string, version: number, exportedAt: string, name: string, entries: Entry[] } {
  const entries: Entry[] = []
  const put = (draft: Draft<Fact>) => {
    const at = new Date(Date.UTC(2026, 8, 1, 8, entries.length)).toISOString()
    entries.push({ id: `crowd-${String(entries.length).padStart(5, '0')}`, device: 'crowd', at, written: at, ...draft } as Entry)
  }
  const KINDS = ['bin', 'pail', 'demijohn', 'tank', 'barrel', 'keg'] as const
  for (let i = 0; i < 40; i++)
    put({ type: 'vessel-added', vesselId: `vessel-crowd-${i}`, name: `No. ${i + 1}`, kind: KINDS[i % 6]!, capacityL: 60 })
  const start = (i: number, name: string, more: Partial<Extract<Fact, { type: 'lot-started' }>> = {}) =>
    put({
      type: 'lot-started',
      lotId: `lot-crowd-${i}`,
      name,
      stream: 'juice',
      style: 'red',
      varieties: [],
      volumeL: 50,
      volumeIs: 'measured',
      vesselId: `vessel-crowd-${i}`,
      ...more
    })
  const read = (i: number, quantity: Extract<Fact, { type: 'reading' }>['quantity'], value: number) =>
    put({ type: 'reading', lotId: `lot-crowd-${i}`, quantity, typed: String(value), value })
  start(0, 'A kit read as a wine', { stream: 'kit', kit: { targetSg: 1.085, lineL: 23, packets: [] } })
  read(0, 'sg', 0.991)
  start(1, 'Graciano and Tempranillo from the upper terrace by the chapel, second picking', { style: 'rose' })
  read(1, 'ph', 4.4)
  read(1, 'ta', 2)
  start(2, 'Emptied before its first sulphite')
  put({
    type: 'transfer',
    purpose: 'blend',
    from: { lotId: 'lot-crowd-2', vesselId: 'vessel-crowd-2' },
    to: { lotId: 'lot-crowd-1', vesselId: 'vessel-crowd-1' },
    outL: 9,
    inL: 9
  })
  put({ type: 'lot-amended', lotId: 'lot-crowd-2', ended: true })
  start(3, '=1+1')
  read(3, 'sg', 1.2)
  start(4, 'Frozen white', { stream: 'frozen', style: 'white' })
  put({ type: 'addition', lotId: 'lot-crowd-4', material: 'an unknown powder', unit: 'g', actual: 5 })
  start(5, 'Dry', { style: 'white' })
  read(5, 'sg', 1.09)
  put({ type: 'inoculation', lotId: 'lot-crowd-5', organism: 'yeast', culture: 'C', grams: 5 })
  read(5, 'sg', 0.993)
  read(5, 'freeSo2', 200)
  for (let i = 6; i < 10; i++) start(i, `Lot ${i}`)
  return { format: 'presk-cellar', version: CELLAR_VERSION, exportedAt: entries[0]!.at, name: 'Crowded', entries }
}
