import { DAY_MS, daysBetween } from '../units'
import { type LotView, paidPerLitre } from '../ledger'
import { fermentStart } from '../stages'

/** What lots are compared by; the app has the words and units. */
export const COMPARED = [
  'originalSg', 'mustPh', 'mustTa', 'yeast', 'daysToDry', 'meanC', 'warmestC', 'pressedDay', 'rackings', 'nitrogenGiven', 'totalSo2', 'abv',
  'ph', 'ta', 'malic', 'freeSo2', 'startedL', 'bottles', 'bottledDay', 'costPerLitre', 'rating'
] as const
export type Compared = (typeof COMPARED)[number]

/** A line of the table: a figure of each lot, or what went in of a material, for a litre. */
export interface ComparedRow {
  of: Compared | { added: string, unit: 'g' | 'mL' | 'L' }
  values: (number | string | undefined)[]
  /** How far apart they are, in steps of what somebody would call a difference; 0 for less than two values. */
  apart: number
}

/** What somebody would call a difference of each figure. Ours. */
const STEP: Partial<Record<Compared, number>> = {
  originalSg: 0.004, mustPh: 0.1, mustTa: 0.5, daysToDry: 3, meanC: 2, warmestC: 3, pressedDay: 2, rackings: 1, nitrogenGiven: 30,
  totalSo2: 20, abv: 0.5, ph: 0.1, ta: 0.5, malic: 0.3, freeSo2: 6, startedL: 5, bottles: 6, bottledDay: 21, costPerLitre: 1, rating: 1
}
const daysFrom = (start: string | undefined, at: string | undefined): number | undefined =>
  start && at ? daysBetween(start, at) : undefined
const dayOf = (start: string | undefined, at: string | undefined): number | undefined => {
  const days = daysFrom(start, at)
  return days === undefined ? undefined : Math.round(days * 10) / 10
}

/** The first reading of a quantity before the yeast: what the must was like, not what it became. */
function ofMust(lot: LotView, quantity: 'ph' | 'ta'): number | undefined {
  const start = fermentStart(lot)
  return lot.series[quantity]?.find((p) => !start || p.at <= start)?.value
}
function temperatures(lot: LotView): { mean?: number, most?: number } {
  const start = fermentStart(lot)
  const until = lot.wineSince ?? lot.asOf
  const read = start ? (lot.series.temperature ?? []).filter((p) => p.at >= start && p.at <= until).map((p) => p.value) : []
  return read.length === 0 ? {} : { mean: read.reduce((sum, n) => sum + n, 0) / read.length, most: Math.max(...read) }
}

const FIGURE: Record<Compared, (lot: LotView) => number | string | undefined> = {
  originalSg: (l) => l.originalSg?.value,
  mustPh: (l) => ofMust(l, 'ph'),
  mustTa: (l) => ofMust(l, 'ta'),
  yeast: (l) => l.yeast?.name,
  daysToDry: (l) => dayOf(fermentStart(l), l.wineSince),
  meanC: (l) => temperatures(l).mean,
  warmestC: (l) => temperatures(l).most,
  pressedDay: (l) => dayOf(fermentStart(l), l.pressedAt),
  rackings: (l) => l.rackings.length,
  nitrogenGiven: (l) => l.nitrogenGiven?.value,
  totalSo2: (l) => (l.sulphited.length > 0 ? l.sulphited.reduce((sum, d) => sum + d.mgPerL, 0) : undefined),
  abv: (l) => l.abv?.value,
  ph: (l) => l.ph?.value,
  ta: (l) => l.ta?.value,
  malic: (l) => l.series.malic?.at(-1)?.value,
  freeSo2: (l) => l.freeSo2?.value,
  startedL: (l) => l.volume.value + l.bottledL || undefined,
  bottles: (l) => l.bottles || undefined,
  bottledDay: (l) => dayOf(l.startedAt, l.bottled[0]?.at),
  costPerLitre: (l) => paidPerLitre(l) || undefined,
  rating: (l) => l.tastings.at(-1)?.rating
}

/** How far apart values are, in steps; names that differ count as two. */
function apartOf(values: readonly (number | string | undefined)[], step: number): number {
  const there = values.filter((v) => v !== undefined)
  if (there.length < 2) return 0
  const numbers = there.filter((v) => typeof v === 'number')
  if (numbers.length < there.length) return new Set(there).size > 1 ? 2 : 0
  return (Math.max(...numbers) - Math.min(...numbers)) / step
}

/**
 * Lots beside each other, what differs most first; a line that no lot has a figure for is left out.
 * @param lots two or more, as they are now
 */
export function compareLots(lots: readonly LotView[]): ComparedRow[] {
  const figures = COMPARED.map((of): ComparedRow => {
    const values = lots.map((lot) => FIGURE[of](lot))
    return { of, values, apart: apartOf(values, STEP[of] ?? 1) }
  })
  const materials = [...new Set(lots.flatMap((lot) => [...lot.added.keys()]))].sort()
  const additions = materials.map((material): ComparedRow => {
    const unit = lots.flatMap((lot) => lot.added.get(material)?.unit ?? [])[0]!
    const values = lots.map((lot) => {
      const litres = lot.volume.value + lot.bottledL
      const given = lot.added.get(material)
      return litres > 0.05 ? (given?.actual ?? 0) / litres : undefined
    })
    const most = Math.max(0, ...values.map((v) => v ?? 0))
    // A fifth of the larger dose is a difference.
    return { of: { added: material, unit }, values, apart: most > 0 ? apartOf(values, most / 5) : 0 }
  })
  const told = [...figures, ...additions].filter((row) => row.values.some((v) => v !== undefined))
  return told.toSorted((a, b) => b.apart - a.apart)
}

/** Steps from which somebody would say that lots differ in a line. */
export const DIFFERS = 1

/**
 * The lot of an earlier year that one is best laid beside: of the same name or variety first, else of the same kind; the latest.
 * @returns undefined where there is none
 */
export function earlierLike(lot: LotView, all: readonly LotView[]): LotView | undefined {
  const named = new Set(namesOf(lot))
  const before = all.filter((l) => Date.parse(lot.startedAt) - Date.parse(l.startedAt) > SEASON_APART_DAYS * DAY_MS && l.stream !== 'test')
  const isNamed = (l: LotView) => namesOf(l).some((name) => named.has(name))
  const latest = (some: readonly LotView[]) => some.toSorted((a, b) => (a.startedAt < b.startedAt ? 1 : -1))[0]
  return latest(before.filter(isNamed)) ?? latest(before.filter((l) => l.style === lot.style && l.stream === lot.stream))
}
/** Lots of one harvest are no years of each other. */
const SEASON_APART_DAYS = 150
const namesOf = (l: LotView): string[] =>
  [l.name, ...l.varieties.map((v) => v.name), ...l.sources.map((s) => s.variety)].map(fold).filter(Boolean)
const fold = (name: string): string => name.trim().toLowerCase().replace(/\s*\b(19|20)\d\d\b/, '')
