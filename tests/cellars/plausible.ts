import fc from 'fast-check'
import { PROTOCOLS } from '../../core/finishing'
import type { Draft, Entry, Fact } from '../../core/ledger'

/** Made-up lots as they are at home, some of them odd: what is generated is what a person could have logged. */
const DAY = 1440
const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const STREAMS = ['fresh', 'frozen', 'juice', 'kit'] as const
const STYLES = ['red', 'rose', 'white'] as const
const MALOLACTIC = ['with-yeast', 'on-skins', 'after-pressing', 'none', 'blocked'] as const
const BOTTLES = ['bottle-750', 'sparkling-bottle-750'] as const
const MATERIALS = [
  ['potassium-metabisulphite', 4],
  ['tartaric', 80],
  ['potassium-bicarbonate', 30],
  ['sugar', 900],
  ['complex-nutrient', 20],
  ['pectic-enzyme', 3],
  ['bentonite', 60],
  ['potassium-sorbate', 8],
  ['an unknown powder', 5]
] as const

const step = fc.record({
  what: fc.constantFrom(
    'sg',
    'ph',
    'ta',
    'malic',
    'freeSo2',
    'yan',
    'volume',
    'temperature',
    'add',
    'yeast',
    'bacteria',
    'rack',
    'wood',
    'blend',
    'bottle',
    'smell',
    'plan',
    'amend',
    'test'
  ),
  afterDays: fc.constantFrom(0, 0.01, 0.5, 1, 2, 7, 30),
  // Evenly spread: of all doubles most lie next to nothing.
  size: fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000)
})
const lot = fc.record({
  stream: fc.constantFrom(...STREAMS),
  style: fc.constantFrom(...STYLES),
  volumeL: real(1, 200),
  expected: fc.boolean(),
  steps: fc.array(step, { maxLength: 22 })
})
type MadeUp = typeof lot extends fc.Arbitrary<infer T> ? T : never

const FIRST = 'lot-plausible-0'
/** Each has a barrel that it may go into. */
const barrelOf = (lotId: string) => `vessel-of-${lotId}`

/** What a step of a given size says, for a lot that began with `volumeL`. */
function factOf({ what, size }: MadeUp['steps'][number], lotId: string, volumeL: number): Draft<Fact> {
  const read = (quantity: Extract<Fact, { type: 'reading' }>['quantity'], value: number): Draft<Fact> => ({
    type: 'reading',
    lotId,
    quantity,
    typed: value.toFixed(3),
    value
  })
  switch (what) {
    case 'sg':
      // Wines are read more often than musts.
      return read('sg', size < 0.4 ? 0.991 + size * 0.012 : 0.96 + size * 0.15)
    case 'ph':
      return read('ph', 2.9 + size * 1.2)
    case 'ta':
      return read('ta', 3 + size * 10)
    case 'malic':
      return read('malic', size * 5)
    case 'freeSo2':
      return read('freeSo2', size * 80)
    case 'yan':
      return read('yan', 40 + size * 300)
    case 'volume':
      return read('volume', volumeL * (0.5 + size / 2))
    case 'temperature':
      return read('temperature', 5 + size * 30)
    case 'add': {
      const [material, most] = MATERIALS[Math.floor(size * MATERIALS.length) % MATERIALS.length]!
      return { type: 'addition', lotId, material, unit: 'g', actual: 0.01 + size * most }
    }
    case 'yeast':
    case 'bacteria':
      return { type: 'inoculation', lotId, organism: what, culture: 'C', grams: 0.1 + size * 20 }
    case 'rack':
      return {
        type: 'transfer',
        purpose: 'rack',
        from: { lotId },
        to: { lotId },
        outL: volumeL / 4,
        inL: (volumeL / 4) * (0.9 + size / 10)
      }
    case 'wood':
      return {
        type: 'transfer',
        purpose: 'rack',
        from: { lotId },
        to: { lotId, vesselId: barrelOf(lotId) },
        outL: volumeL / 4,
        inL: volumeL / 4
      }
    case 'blend':
      // Into the first of them; of the first itself a part is moved.
      return {
        type: 'transfer',
        purpose: lotId === FIRST ? 'rack' : 'blend',
        from: { lotId },
        to: { lotId: FIRST },
        outL: 0.05 + (volumeL * size) / 2,
        inL: 0.05 + (volumeL * size) / 2
      }
    case 'bottle':
      return {
        type: 'bottling',
        lotId,
        bottles: [
          {
            sizeMl: 750,
            count: 1 + Math.floor((size * volumeL) / 2),
            ...(size > 0.3 && { material: BOTTLES[Math.floor(size * 7) % 2]! })
          }
        ],
        ...(size < 0.8 && { closure: 'crown' as const })
      }
    case 'smell':
      return { type: 'observation', lotId, what: 'smell', text: 'not quite clean', ...(size > 0.6 && { smells: ['vinegar'] }) }
    case 'plan':
      return {
        type: 'lot-planned',
        lotId,
        malolactic: MALOLACTIC[Math.floor(size * MALOLACTIC.length) % MALOLACTIC.length]!,
        cold: size > 0.3,
        sparkling: size < 0.8,
        lees: size < 0.5 ? 'rack' : 'fine'
      }
    case 'test': {
      const protocol = PROTOCOLS[Math.floor(size * 4) % 4]!
      const test = protocol.startsWith('heat') ? 'heat-test' : 'cold-test'
      return size * 10 - Math.floor(size * 10) < 0.6
        ? { type: 'operation', lotId, what: test, protocol }
        : { type: 'observation', lotId, what: test, stable: size > 0.5, text: 'looked at' }
    }
    case 'amend':
      return { type: 'lot-amended', lotId, alcoholic: (['none', 'active', 'dry', 'stopped'] as const)[Math.floor(size * 3.99)]! }
  }
}

function entriesOf(lots: readonly MadeUp[]): Entry[] {
  const entries: Entry[] = []
  const put = (minute: number, draft: Draft<Fact>) => {
    const when = new Date(Date.UTC(2026, 8, 1) + minute * 60_000).toISOString()
    entries.push({
      id: `plausible-${String(entries.length).padStart(5, '0')}`,
      device: 'test',
      at: when,
      written: when,
      ...draft
    } as Entry)
  }
  lots.forEach(({ stream, style, volumeL, expected, steps }, i) => {
    const lotId = `lot-plausible-${i}`
    const kit = stream === 'kit' && {
      kit: { targetSg: 1.085, lineL: Math.max(1, volumeL * 1.3), packets: [{ name: 'Bentonite', step: 'before-yeast' as const }] }
    }
    put(i, {
      type: 'vessel-added',
      vesselId: barrelOf(lotId),
      name: `Barrel ${i}`,
      kind: 'barrel',
      capacityL: Math.max(5, volumeL * 1.5),
      material: 'oak'
    })
    put(i, {
      type: 'lot-started',
      lotId,
      name: `Lot ${i}`,
      stream,
      style,
      varieties: [],
      volumeL,
      volumeIs: expected ? 'expected' : 'measured',
      ...(stream === 'fresh' && { massKg: volumeL * 1.5 }),
      ...kit
    })
    let minute = i + 1
    for (const s of steps) put((minute += Math.round(s.afterDays * DAY)), factOf(s, lotId, volumeL))
  })
  return entries
}

/** Ledgers of one to three plausible lots, oldest entry first in each. */
export const plausibleCellar: fc.Arbitrary<Entry[]> = fc.array(lot, { minLength: 1, maxLength: 3 }).map(entriesOf)
