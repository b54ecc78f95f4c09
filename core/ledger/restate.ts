import { cardOf } from '../materials'
import type { StandingFact } from './corrections'
import type { Entry, ReadingQuantity } from './entry'
import { type History, extend } from './fold/history'
import type { LotState } from './state'

export interface RestatedReading {
  entryId: string
  lotId: string
  at: string
  quantity: ReadingQuantity
  was: number
  is: number
}
export interface RestatedFigure {
  lotId: string
  quantity: 'sg' | 'ph' | 'ta' | 'freeSo2' | 'abv'
  was: number
  is: number
}
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
export interface Restatement {
  readings: RestatedReading[]
  figures: RestatedFigure[]
  additions: RestedAddition[]
}

const SMALLEST: Record<'sg' | 'ph' | 'ta' | 'freeSo2' | 'abv', number> = { sg: 0.0002, ph: 0.004, ta: 0.02, freeSo2: 0.2, abv: 0.02 }
const FIGURES = ['sg', 'ph', 'ta', 'freeSo2', 'abv'] as const

/**
 * What an entry changes for the past: the readings that now read otherwise, the lots' figures, and the additions that
 * rested on them with what was believed and what was so. Made for instrument checks; what was typed is never changed.
 * @param history the ledger without the entry
 * @param entry an instrument check, or any other
 */
export function restatedBy(history: History, entry: Entry): Restatement {
  const later = extend(history, [entry])
  const [before, after] = [history.cellar, later.cellar]
  const result: Restatement = { readings: [], figures: [], additions: [] }
  for (const [lotId, lot] of after.lots) {
    const old = before.lots.get(lotId)
    if (!old) continue
    for (const quantity of Object.keys(lot.series) as ReadingQuantity[]) {
      const was = new Map(old.series[quantity]?.map((p) => [p.entryId, p.value]))
      for (const p of lot.series[quantity]!) {
        const value = was.get(p.entryId)
        if (value !== undefined && Math.abs(value - p.value) > 1e-9)
          result.readings.push({ entryId: p.entryId, lotId, at: p.at, quantity, was: value, is: p.value })
      }
    }
    for (const quantity of FIGURES) {
      const [was, is] = [old[quantity]?.value, lot[quantity]?.value]
      if (was !== undefined && is !== undefined && Math.abs(was - is) > SMALLEST[quantity])
        result.figures.push({ lotId, quantity, was, is })
    }
  }
  result.additions = restedAdditions(later, result.readings, before.lots)
  return result
}

/** Additions made after a changed reading and before the next good one of the kind that their material is measured out by. */
function restedAdditions(
  { facts, cellar }: History,
  readings: readonly RestatedReading[],
  before: ReadonlyMap<string, LotState>
): RestedAddition[] {
  const changed = new Set(readings.map((r) => r.entryId))
  return facts.flatMap(({ fact, struck }: StandingFact): RestedAddition[] => {
    if (struck || fact.type !== 'addition' || fact.actual === 0) return []
    const quantity = cardOf(fact.material, cellar.cards)?.measuredBy
    if (quantity !== 'sg' && quantity !== 'ph') return []
    const lastBefore = (lots: ReadonlyMap<string, LotState>) =>
      lots
        .get(fact.lotId)
        ?.series[quantity]?.filter((p) => p.at < fact.at)
        .at(-1)
    const [was, is] = [lastBefore(before), lastBefore(cellar.lots)]
    if (!was || !is || !changed.has(is.entryId)) return []
    const { id: entryId, lotId, at, material, actual, unit } = fact
    return [{ entryId, lotId, at, material, actual, unit, quantity, was: was.value, is: is.value }]
  })
}
