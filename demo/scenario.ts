import type { CellarFile, Draft, Entry, Fact } from '../core/ledger'
import { CELLAR_FORMAT, CELLAR_VERSION } from '../core/ledger/schema'

/**
 * The demo: an invented household, the Larkrise cellar, with four lots in four streams and stages. All figures are made up;
 * dates count back from the day it is laid out.
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
  equipment(put)
  grenache(put, yearOf(now, 96))
  barbera(put)
  albarino(put)
  tempranillo(put, yearOf(now, 0))
  return { format: CELLAR_FORMAT, version: CELLAR_VERSION, exportedAt: now.toISOString(), name: 'The Larkrise cellar', entries }
}

const yearOf = (now: Date, daysAgo: number): number => new Date(now.getTime() - daysAgo * 86_400_000).getFullYear()

type Put = (daysAgo: number, hour: number, draft: Draft<Fact>) => void

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

/** Two pails of frozen juice, thawed and settling. */
function albarino(put: Put): void {
  const lotId = 'lot-albarino'
  put(1, 9, { type: 'lot-started', lotId, name: 'Albariño', stream: 'frozen', style: 'white', varieties: [{ name: 'Albariño', share: 1 }], origin: 'Two pails from the freezer', volumeL: 40, volumeIs: 'measured', vesselId: 'vessel-steel-50' })
  put(0, 7, { type: 'reading', lotId, quantity: 'sg', typed: '1.089', value: 1.089, sampleC: 8, instrumentId: 'inst-hydrometer' })
  put(0, 7, { type: 'reading', lotId, quantity: 'ph', typed: '3.18', value: 3.18, instrumentId: 'inst-ph-meter' })
  put(0, 7, { type: 'reading', lotId, quantity: 'ta', typed: '8.4', value: 8.4 })
  put(0, 8, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned: 2.1, actual: 2.0, so2Share: 0.576, purpose: 'while thawing' })
}

/** This morning's fruit: crushed and measured, and nothing in it yet. */
function tempranillo(put: Put, vintage: number): void {
  const lotId = 'lot-tempranillo'
  put(0, 6, { type: 'lot-started', lotId, name: 'Tempranillo', stream: 'fresh', style: 'red', varieties: [{ name: 'Tempranillo', share: 1 }], vintage, origin: 'Upper rows', massKg: 118, volumeL: 76.7, volumeIs: 'expected', vesselId: 'vessel-blue-bin' })
  put(0, 7, { type: 'reading', lotId, quantity: 'brix', typed: '24.6', value: 24.6, sampleC: 17, instrumentId: 'inst-hydrometer' })
  put(0, 7, { type: 'reading', lotId, quantity: 'ph', typed: '3.71', value: 3.71, instrumentId: 'inst-ph-meter' })
  put(0, 7, { type: 'reading', lotId, quantity: 'ta', typed: '7.3 mL', value: 5.478, titration: { sampleMl: 10, titrantMl: 7.3, normality: 0.1, stepMl: 0.1 } })
}
