import type { Draft, Entry, Fact, ReadingQuantity } from '../../core/ledger'

const DAY = 86_400_000
/** Nothing is later than this, so that a browser takes it in: the last wines of five years are then in their first autumn. */
const UNTIL = Date.UTC(2026, 10, 25)
/** The year of the first harvest. */
const FIRST = 2022
/** The reserve of a year stands in a tank, all else in glass. */
const TANK = { kind: 'tank', capacityL: 225 } as const
const RESERVE = 'vessel-years-0'
const GLASS = { kind: 'demijohn', capacityL: 54 } as const

/** How long, and how much, a household has kept its ledger. */
export interface Years {
  lots: number
  events: number
  vintages: number
}

/**
 * Years at home; unless told otherwise three with 40 lots, a third of them each autumn, and 20,000 entries.
 * A float in every ferment and hands on its cap; then a round a month with pH, TA, free SO₂, sulphite and topping up from the
 * reserve of the same year; racked, bottled and tasted. Each lot stands in a vessel that a lot of the year before came out of.
 */
export function yearsAtHome({ lots, events, vintages }: Years = { lots: 40, events: 20_000, vintages: 3 }): Entry[] {
  const drafts: { at: number, draft: Draft<Fact> }[] = []
  const put = (at: number, draft: Draft<Fact>) => drafts.push({ at, draft })
  const perYear = Math.ceil(lots / vintages)
  for (let v = 0; v < perYear; v++)
    put(Date.UTC(FIRST, 7, 1), { type: 'vessel-added', vesselId: `vessel-years-${v}`, name: `No. ${v}`, ...(v === 0 ? TANK : GLASS) })
  for (let i = 0; i < lots; i++) oneLot(put, i, perYear)
  drafts.sort((a, b) => a.at - b.at)
  return drafts.filter(({ at }) => at < UNTIL).slice(0, events).map(({ at, draft }, i) => {
    const instant = new Date(at).toISOString()
    return { id: `years-${String(i).padStart(6, '0')}`, device: 'bench', at: instant, written: instant, ...draft } as Entry
  })
}

function oneLot(put: (at: number, draft: Draft<Fact>) => void, i: number, perYear: number): void {
  const [lotId, nth] = [`lot-years-${i}`, i % perYear]
  const vesselId = `vessel-years-${nth}`
  const start = Date.UTC(FIRST + Math.floor(i / perYear), 8, 10 + (nth % 14))
  /** What tops up all others of its year; the year's first lot. */
  const reserve = `lot-years-${i - nth}`
  const read = (at: number, quantity: ReadingQuantity, value: number) =>
    put(at, { type: 'reading', lotId, quantity, typed: String(value), value })
  const style = nth % 3 === 0 ? 'white' : 'red'
  const volumeL = nth === 0 ? 200 : 50
  put(start, { type: 'lot-started', lotId, name: `Lot ${i}`, stream: 'juice', style, varieties: [], volumeL, volumeIs: 'measured',
    vesselId })
  read(start, 'ph', 3.5 + nth / 100)
  read(start, 'ta', 6 + (nth % 5) / 10)
  put(start + DAY, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' })
  // Twenty days of ferment, read every two hours by the float, and by the thermometer every four.
  for (let hour = 0; hour < 480; hour += 2) {
    const at = start + DAY + hour * 3_600_000
    read(at, 'sg', Number((0.994 + 0.096 * Math.exp(-((hour / 150) ** 2))).toFixed(3)))
    if (hour % 4 === 0) read(at, 'temperature', 20 + (hour % 12) / 2)
    if (hour % 12 === 0 && style === 'red') put(at, { type: 'operation', lotId, what: 'punch-down' })
  }
  for (let month = 1; month <= 11; month++) {
    const at = start + (25 + month * 30) * DAY
    if (month % 3 === 1)
      put(at, { type: 'transfer', purpose: 'rack', from: { lotId, vesselId }, to: { lotId, vesselId }, outL: 40, inL: 39.6 })
    read(at, 'ph', 3.52 + nth / 100 + month / 500)
    read(at, 'ta', 5.8 + (nth % 5) / 10)
    read(at, 'freeSo2', 22 + (month % 4))
    for (const week of [0, 1, 2, 3]) {
      put(at + week * 7 * DAY, { type: 'observation', lotId, what: 'smell', text: 'fine' })
      read(at + week * 7 * DAY, 'temperature', 12 + (month % 6))
    }
    put(at, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: 0.8, so2Share: 0.576 })
    if (lotId !== reserve && month < 11)
      put(at, { type: 'transfer', purpose: 'top-up', from: { lotId: reserve, vesselId: RESERVE }, to: { lotId, vesselId }, outL: 0.3,
        inL: 0.3 })
  }
  put(start + 360 * DAY, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 60 }], closure: 'crown' })
  put(start + 361 * DAY, { type: 'lot-amended', lotId, ended: true })
  for (let month = 0; month < 6; month++) {
    put(start + (365 + month * 30) * DAY, { type: 'tasting', lotId, rating: 6 })
    put(start + (365 + month * 30) * DAY, { type: 'bottle-taken', lotId, sizeMl: 750, count: 1, what: 'drunk' })
  }
}
