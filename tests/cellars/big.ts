import type { Draft, Entry, Fact } from '../../core/ledger'

export const LOTS = 40
export const EVENTS = 20_000

/**
 * The hardest that a ledger of this size can be: 40 lots that all go on for three years, a ninth of the 20,000 entries a blend, and every
 * lot tops up the next, so that each hangs on all others. How a cellar is really kept is `yearsAtHome`.
 */
export function bigCellar(): Entry[] {
  const entries: Entry[] = []
  const put = (minute: number, draft: Draft<Fact>) => {
    const at = new Date(Date.UTC(2024, 0, 1) + minute * 60_000).toISOString()
    entries.push({ id: `bench-${String(entries.length).padStart(6, '0')}`, device: 'bench', at, written: at, ...draft } as Entry)
  }
  for (let i = 0; i < LOTS; i++)
    put(i, {
      type: 'lot-started',
      lotId: `lot-bench-${i}`,
      name: `Lot ${i}`,
      stream: 'juice',
      style: 'red',
      varieties: [],
      volumeL: 100,
      volumeIs: 'measured'
    })
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
