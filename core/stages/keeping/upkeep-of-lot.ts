import { type LotView, drynessOf } from '../../ledger'
import { type FreeDose, type FreeReading, LEAST_FREE, MOLECULAR_TARGET, type SulphiteUpkeep, freeSo2For, molecularSo2, sulphiteUpkeep } from '../../sulphite'
import { hoursSince, later } from '../stage'

/** How a lot keeps its sulphite, in days since `from`. */
export interface LotUpkeep extends SulphiteUpkeep {
  /** Day 0, ISO UTC: since it is a wine, or since another came in. */
  from: string
  readings: readonly FreeReading[]
  doses: readonly FreeDose[]
  /** When it falls below its level, ISO UTC. */
  belowAt?: { low: string, mid: string, high: string }
}

const known = new Map<string, { key: string, upkeep: LotUpkeep }>()

/** The pH that sulphite is reckoned by. */
const phOf = (lot: LotView): number => Math.min(4.5, Math.max(2.5, lot.ph!.value))

/** Free SO₂ that a lot is kept at, mg/L: by its pH and style, and never less than a titration can tell. */
export const keptAt = (lot: LotView): number => Math.max(LEAST_FREE, freeSo2For(MOLECULAR_TARGET[lot.style], phOf(lot)))

/**
 * What a lot's own readings and doses say of its sulphite. What was read before the ferment was over says nothing of the wine.
 * @returns undefined without a pH, or while nothing was read or given
 */
export function upkeepOf(lot: LotView): LotUpkeep | undefined {
  if (!lot.ph) return undefined
  const mixed = lot.freeMixed
  const from = [drynessOf(lot)?.first, mixed?.at].filter((at) => at !== undefined).sort().at(-1) ?? lot.startedAt
  const days = (at: string) => hoursSince(from, at) / 24
  const readings = [
    ...(mixed && mixed.at === from ? [{ days: 0, freeMgPerL: Math.min(500, mixed.mgPerL) }] : []),
    ...(lot.series.freeSo2 ?? []).filter((p) => p.at >= from && p.value <= 500).map((p) => ({ days: days(p.at), freeMgPerL: p.value }))
  ]
  const doses = lot.sulphited.filter((d) => d.at >= from && d.mgPerL <= 500).map((d) => ({ days: days(d.at), addMgPerL: d.mgPerL }))
  if (readings.length + doses.length === 0) return undefined
  // By the day: a level does not change within hours, and it is asked for with every look at the floor.
  const atDays = Math.floor(days(lot.asOf))
  const key = JSON.stringify([from, readings, doses, atDays, lot.ph.value, lot.style])
  const before = known.get(lot.id)
  if (before?.key === key) return before.upkeep
  const told = sulphiteUpkeep({ ph: phOf(lot), targetMolecularMgPerL: molecularKept(lot), readings, doses, atDays })
  const { belowTargetAtDays: below } = told
  const at = (d: number) => later(from, d * 24)
  const belowAt = below && { low: at(below.low), mid: at(below.mid), high: at(below.high) }
  const upkeep = { ...told, from, readings, doses, ...(belowAt && { belowAt }) }
  known.set(lot.id, { key, upkeep })
  return upkeep
}

/** The molecular level that stands for what it is kept at. */
const molecularKept = (lot: LotView): number => molecularSo2(keptAt(lot), phOf(lot))
