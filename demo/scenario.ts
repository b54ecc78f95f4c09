import type { CellarFile, Draft, Entry, Fact } from '../core/ledger'
import { CELLAR_FORMAT, CELLAR_VERSION } from '../core/ledger/schema'

/**
 * The demo: an invented household, the Larkrise cellar, with four lots in four streams and stages, two blocks that ripen, a
 * store, and fruit still to come. All figures are made up; dates count back from the day, and crush day from the hour, at
 * which it is laid out, so that its clocks stand the same whenever it is opened.
 */
export function demoCellar(now: Date): CellarFile {
  const entries: Entry[] = []
  const put = (daysAgo: number, hour: number, draft: Draft<Fact>): void => {
    const day = new Date(now)
    day.setHours(hour, (entries.length * 7) % 60, 0, 0)
    day.setTime(day.getTime() - daysAgo * 86_400_000)
    // Nothing in the demo lies ahead of the clock, however early it is opened.
    const at = new Date(Math.min(day.getTime(), now.getTime() - 60_000)).toISOString()
    entries.push({ id: `demo-${String(entries.length).padStart(5, '0')}`, device: 'demo-device', at, written: at, ...draft } as Entry)
  }
  const ago = (hours: number, draft: Draft<Fact>): void => {
    const at = new Date(now.getTime() - hours * 3_600_000).toISOString()
    entries.push({ id: `demo-${String(entries.length).padStart(5, '0')}`, device: 'demo-device', at, written: at, ...draft } as Entry)
  }
  equipment(put)
  store(put, now)
  blocks(put)
  grenache(put, yearOf(now, 96))
  barbera(put)
  albarino(ago)
  tempranillo(ago, yearOf(now, 0))
  return { format: CELLAR_FORMAT, version: CELLAR_VERSION, exportedAt: now.toISOString(), name: 'The Larkrise cellar', entries }
}

const yearOf = (now: Date, daysAgo: number): number => new Date(now.getTime() - daysAgo * 86_400_000).getFullYear()

type Put = (daysAgo: number, hour: number, draft: Draft<Fact>) => void
type Ago = (hours: number, draft: Draft<Fact>) => void

const VESSELS = [
  ['vessel-blue-bin', 'Blue bin', 'bin', 150, 'plastic'],
  ['vessel-steel-50', 'Steel 50', 'tank', 50, 'steel'],
  ['vessel-white-pail', 'White pail', 'pail', 30, 'plastic'],
  ['vessel-big-glass', 'Big glass', 'demijohn', 34, 'glass'],
  ['vessel-small-glass', 'Gallon glass', 'demijohn', 5, 'glass'],
  ['vessel-spare-glass', 'Spare glass', 'demijohn', 23, 'glass']
] as const

function equipment(put: Put): void {
  for (const [vesselId, name, kind, capacityL, material] of VESSELS) {
    put(110, 9, { type: 'vessel-added', vesselId, name, kind, capacityL, material })
  }
  put(110, 10, { type: 'instrument-added', instrumentId: 'inst-hydrometer', name: 'Long hydrometer', kind: 'hydrometer', calibrationC: 20, step: 0.001 })
  put(110, 10, { type: 'instrument-added', instrumentId: 'inst-ph-meter', name: 'Pocket pH meter', kind: 'ph-meter', step: 0.01 })
  put(1, 8, { type: 'instrument-checked', instrumentId: 'inst-ph-meter', offset: 0.02, adjusted: true })
}

/** Last season's second lot: through malolactic, twice racked, and low on sulphite. */
function grenache(put: Put, vintage: number): void {
  const lotId = 'lot-grenache'
  put(96, 11, { type: 'lot-started', lotId, name: 'Grenache', stream: 'fresh', style: 'red', varieties: [{ name: 'Grenache', share: 1 }], vintage, origin: 'Lower terrace', massKg: 60, volumeL: 39, volumeIs: 'measured' })
  put(96, 12, { type: 'reading', lotId, quantity: 'brix', typed: '23.8', value: 23.8, sampleC: 19 })
  put(96, 12, { type: 'reading', lotId, quantity: 'ph', typed: '3.49', value: 3.49, instrumentId: 'inst-ph-meter' })
  put(96, 12, { type: 'reading', lotId, quantity: 'ta', typed: '6.4', value: 6.4 })
  put(96, 13, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 2.7, actual: 2.7, so2Share: 0.576, purpose: 'first sulphite' })
  put(95, 10, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Neutral high-tolerance yeast', grams: 10 })
  for (const [day, sg, celsius] of [[93, 1.078, 25], [92, 1.055, 27], [91, 1.034, 27], [90, 1.017, 26], [88, 1.001, 24], [85, 0.995, 22]] as const) {
    put(day, 18, { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, sampleC: celsius, instrumentId: 'inst-hydrometer' })
    put(day, 18, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
  }
  put(85, 19, { type: 'operation', lotId, what: 'punch-down', note: 'last one; the cap is sinking' })
  put(84, 11, { type: 'transfer', purpose: 'fill', from: { lotId }, to: { lotId, vesselId: 'vessel-big-glass' }, outL: 34, inL: 33.4 })
  put(84, 11, { type: 'transfer', purpose: 'fill', from: { lotId }, to: { lotId, vesselId: 'vessel-small-glass' }, outL: 5, inL: 4.8 })
  put(82, 12, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'Malolactic culture' })
  put(41, 17, { type: 'reading', lotId, quantity: 'malic', typed: '0.08', value: 0.08 })
  put(41, 17, { type: 'reading', lotId, quantity: 'ph', typed: '3.58', value: 3.58, instrumentId: 'inst-ph-meter' })
  put(41, 18, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 4, actual: 4.1, so2Share: 0.576, purpose: 'after malolactic' })
  put(12, 18, { type: 'reading', lotId, quantity: 'freeSo2', typed: '21', value: 21 })
  put(12, 18, { type: 'observation', lotId, what: 'taste', text: 'Round, a little thin in the middle. Clear against the torch.' })
}

/** A kit at work in a pail. */
function barbera(put: Put): void {
  const lotId = 'lot-barbera-kit'
  put(7, 15, { type: 'lot-started', lotId, name: 'Barbera kit', stream: 'kit', style: 'red', varieties: [{ name: 'Barbera', share: 1 }], volumeL: 23, volumeIs: 'measured', vesselId: 'vessel-white-pail' })
  put(7, 15, { type: 'reading', lotId, quantity: 'sg', typed: '1.082', value: 1.082, sampleC: 22, instrumentId: 'inst-hydrometer' })
  put(7, 15, { type: 'reading', lotId, quantity: 'ph', typed: '3.44', value: 3.44, instrumentId: 'inst-ph-meter' })
  put(7, 16, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Yeast of the kit', grams: 5 })
  for (const [day, sg, celsius] of [[5, 1.066, 23], [4, 1.049, 24], [2, 1.021, 23]] as const) {
    put(day, 19, { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, sampleC: celsius, instrumentId: 'inst-hydrometer' })
    put(day, 19, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
  }
  put(2, 19, { type: 'observation', lotId, what: 'smell', text: 'Bread and plums, nothing wrong.' })
}

const dayFrom = (now: Date, days: number): string => new Date(now.getTime() + days * 86_400_000).toISOString().slice(0, 10)

/** What stands in the store: acid runs short once the fruit that is still to come is counted. */
function store(put: Put, now: Date): void {
  const pack = (n: number, material: string, amount: number, more: { opened?: string, expires?: string } = {}) =>
    put(60, 9, { type: 'supply-stocked', supplyId: `pack-demo-${n}`, material, unit: 'g', amount, ...more })
  pack(1, 'tartaric', 90, { opened: dayFrom(now, -50) })
  pack(2, 'potassium-metabisulphite', 100, { opened: dayFrom(now, -97) })
  pack(3, 'yeast', 50, { expires: dayFrom(now, 300) })
  pack(4, 'rehydration-nutrient', 60)
  pack(5, 'complex-nutrient', 250, { expires: dayFrom(now, 500) })
  pack(7, 'ammonium-phosphate', 100)
  pack(6, 'pectic-enzyme', 10, { opened: dayFrom(now, -400), expires: dayFrom(now, -20) })
  put(2, 20, { type: 'arrival-expected', arrivalId: 'arrival-graciano', name: 'Graciano', stream: 'fresh', style: 'red', massKg: 64, on: dayFrom(now, 4) })
}

/** Two blocks before their harvest. */
function blocks(put: Put): void {
  const hillside = 'block-hillside'
  put(20, 9, { type: 'block-added', blockId: hillside, name: 'Hillside rows, Graciano', style: 'red', variety: 'Graciano', expectKg: 64 })
  for (const [day, brix, ph, ta, taste] of [[13, 18.4, 3.46, 9.8, 'Green seeds, skins thin'], [9, 19.3, 3.55, 8.9, 'Plums at last; seeds still green'], [5, 20.2, 3.63, 8.2, 'Skins give colour'], [1, 20.9, 3.71, 7.6, 'Seeds brown at the tips']] as const) {
    put(day, 8, { type: 'block-sampled', blockId: hillside, berries: 50, brix, ph, ta, taste })
  }
  put(1, 18, { type: 'block-noted', blockId: hillside, about: 'weather', leans: 'pick', text: 'Rain is forecast for the end of the week' })
  put(3, 18, { type: 'block-noted', blockId: hillside, about: 'hands', leans: 'wait', text: 'Four pickers on Saturday, nobody before' })
  const orchard = 'block-orchard'
  put(12, 9, { type: 'block-added', blockId: orchard, name: 'Orchard edge, Godello', style: 'white', variety: 'Godello', expectKg: 40 })
  put(6, 8, { type: 'block-sampled', blockId: orchard, berries: 45, brix: 18.6, ph: 3.12, ta: 10.4 })
  put(2, 8, { type: 'block-sampled', blockId: orchard, berries: 50, brix: 19.5, ph: 3.17, ta: 9.6, taste: 'Grapefruit' })
}

/** Two pails of frozen juice, thawed, sulphited and settling. */
function albarino(ago: Ago): void {
  const lotId = 'lot-albarino'
  ago(31, { type: 'lot-started', lotId, name: 'Albariño', stream: 'frozen', style: 'white', varieties: [{ name: 'Albariño', share: 1 }], origin: 'Two pails from the freezer', volumeL: 40, volumeIs: 'measured', vesselId: 'vessel-steel-50' })
  ago(30.5, { type: 'operation', lotId, what: 'thaw' })
  ago(3.6, { type: 'reading', lotId, quantity: 'sg', typed: '1.089', value: 1.089, sampleC: 8, instrumentId: 'inst-hydrometer' })
  ago(3.5, { type: 'reading', lotId, quantity: 'ph', typed: '3.18', value: 3.18, instrumentId: 'inst-ph-meter' })
  ago(3.4, { type: 'reading', lotId, quantity: 'ta', typed: '8.4', value: 8.4 })
  ago(3, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 2.1, actual: 2.0, so2Share: 0.576, purpose: 'while thawing' })
  ago(2.5, { type: 'operation', lotId, what: 'settle' })
}

/** This morning's fruit: crushed and measured, and nothing in it yet. */
function tempranillo(ago: Ago, vintage: number): void {
  const lotId = 'lot-tempranillo'
  ago(2.2, { type: 'lot-started', lotId, name: 'Tempranillo', stream: 'fresh', style: 'red', varieties: [{ name: 'Tempranillo', share: 1 }], vintage, origin: 'Upper rows', massKg: 118, volumeL: 76.7, volumeIs: 'expected', vesselId: 'vessel-blue-bin' })
  ago(1.5, { type: 'reading', lotId, quantity: 'brix', typed: '24.6', value: 24.6, sampleC: 17, instrumentId: 'inst-hydrometer' })
  ago(1.4, { type: 'reading', lotId, quantity: 'ph', typed: '3.71', value: 3.71, instrumentId: 'inst-ph-meter' })
  ago(1.3, { type: 'reading', lotId, quantity: 'ta', typed: '7.3 mL', value: 5.478, titration: { sampleMl: 10, titrantMl: 7.3, normality: 0.1, stepMl: 0.1 } })
}
