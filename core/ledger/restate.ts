import type { Entry, EntryOf, ReadingQuantity } from './entry'
import { standingFacts } from './corrections'
import { foldCellar } from './fold'
import type { LotState } from './state'

export interface RestatedReading { entryId: string, lotId: string, at: string, quantity: ReadingQuantity, was: number, is: number }
export interface RestatedFigure { lotId: string, quantity: 'sg' | 'ph' | 'ta' | 'freeSo2' | 'abv', was: number, is: number }
export interface RestedAddition {
  entryId: string
  lotId: string
  at: string
  material: string
  actual: number
  unit: 'g' | 'mL' | 'L'
  /** The figure it rested on, as it was believed and as it is. */
  quantity: ReadingQuantity
  was: number
  is: number
}
export interface Restatement { readings: RestatedReading[], figures: RestatedFigure[], additions: RestedAddition[] }

/** Which figure each addition is measured out by. */
const RESTS_ON: Record<string, ReadingQuantity> = {
  'water': 'sg', 'sugar': 'sg', 'tartaric': 'ph', 'malic': 'ph', 'citric': 'ph', 'potassium-bicarbonate': 'ph', 'potassium-carbonate': 'ph', 'calcium-carbonate': 'ph',
  'potassium-metabisulphite': 'ph', 'sodium-metabisulphite': 'ph', 'sulphite-stock': 'ph'
}
const SMALLEST: Record<'sg' | 'ph' | 'ta' | 'freeSo2' | 'abv', number> = { sg: 0.0002, ph: 0.004, ta: 0.02, freeSo2: 0.2, abv: 0.02 }
const FIGURES = ['sg', 'ph', 'ta', 'freeSo2', 'abv'] as const

/**
 * What an entry changes for the past: the readings that now read otherwise, the lots' figures, and the additions that
 * rested on them with what was believed and what was so. Made for instrument checks; what was typed is never changed.
 * @param without the ledger without the entry
 * @param entry an instrument check, or any other
 */
export function restatedBy(without: readonly Entry[], entry: Entry): Restatement {
  const entries = [...without, entry]
  const [before, after] = [foldCellar(without), foldCellar(entries)]
  const result: Restatement = { readings: [], figures: [], additions: [] }
  for (const [lotId, lot] of after.lots) {
    const old = before.lots.get(lotId)
    if (!old) continue
    for (const quantity of Object.keys(lot.series) as ReadingQuantity[]) {
      const was = new Map(old.series[quantity]?.map(p => [p.entryId, p.value]))
      for (const p of lot.series[quantity]!) {
        const value = was.get(p.entryId)
        if (value !== undefined && Math.abs(value - p.value) > 1e-9) result.readings.push({ entryId: p.entryId, lotId, at: p.at, quantity, was: value, is: p.value })
      }
    }
    for (const quantity of FIGURES) {
      const [was, is] = [old[quantity]?.value, lot[quantity]?.value]
      if (was !== undefined && is !== undefined && Math.abs(was - is) > SMALLEST[quantity]) result.figures.push({ lotId, quantity, was, is })
    }
  }
  result.additions = restedAdditions(entries, result.readings, before.lots, after.lots)
  return result
}

/** Additions made after a changed reading and before the next good one of the same kind. */
function restedAdditions(entries: readonly Entry[], readings: readonly RestatedReading[], before: ReadonlyMap<string, LotState>, after: ReadonlyMap<string, LotState>): RestedAddition[] {
  const changed = new Set(readings.map(r => r.entryId))
  const found: RestedAddition[] = []
  const additions = standingFacts(entries).filter(f => !f.struck).map(f => f.fact).filter((f): f is EntryOf<'addition'> => f.type === 'addition')
  for (const addition of additions) {
    const quantity = RESTS_ON[addition.material]
    if (!quantity || addition.actual === 0) continue
    const lastBefore = (lots: ReadonlyMap<string, LotState>) => lots.get(addition.lotId)?.series[quantity]?.filter(p => p.at < addition.at).at(-1)
    const [was, is] = [lastBefore(before), lastBefore(after)]
    if (was && is && changed.has(is.entryId)) {
      found.push({ entryId: addition.id, lotId: addition.lotId, at: addition.at, material: addition.material, actual: addition.actual, unit: addition.unit, quantity, was: was.value, is: is.value })
    }
  }
  return found
}
