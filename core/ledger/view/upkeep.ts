import { type FreeDose, type FreeReading, type SulphiteUpkeep, LEAST_FREE, MOLECULAR_TARGET, freeSo2For, molecularSo2, sulphiteUpkeep } from '../../sulphite'
import { drynessOf } from '../dryness'
import { isWine } from '../facets'
import { freeSo2At } from '../free-so2'
import type { Figure, LotState } from '../state'

const DAY = 86_400_000

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
const phOf = (lot: LotState): number => Math.min(4.5, Math.max(2.5, lot.ph!.value))

/** Free SO₂ that a lot is kept at, mg/L: by its pH and style, and never less than a titration can tell. */
export const keptAt = (lot: LotState): number => Math.max(LEAST_FREE, freeSo2For(MOLECULAR_TARGET[lot.style], phOf(lot)))

/**
 * What a lot's own readings and doses say of its sulphite. What was read before the ferment was over says nothing of the wine.
 * @returns undefined without a pH, or while nothing was read or given
 */
export function upkeepOf(lot: LotState & { asOf: string }): LotUpkeep | undefined {
  if (!lot.ph) return undefined
  const mixed = lot.freeMixed
  const from = [drynessOf(lot)?.first, mixed?.at].filter((at) => at !== undefined).sort().at(-1) ?? lot.startedAt
  const days = (at: string) => (Date.parse(at) - Date.parse(from)) / DAY
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
  const at = (d: number) => new Date(Date.parse(from) + d * DAY).toISOString()
  const belowAt = below && { low: at(below.low), mid: at(below.mid), high: at(below.high) }
  const upkeep = { ...told, from, readings, doses, ...(belowAt && { belowAt }) }
  known.set(lot.id, { key, upkeep })
  return upkeep
}

/** The molecular level that stands for what it is kept at. */
const molecularKept = (lot: LotState): number => molecularSo2(keptAt(lot), phOf(lot))

/**
 * Free SO₂ at an instant: of a wine by its own decay and binding, of all else by the usual decay. What was read within days stands as it
 * was read.
 */
export function freeAt(lot: LotState, now: string): Figure | undefined {
  const { freeSo2 } = lot
  if (!freeSo2) return undefined
  const usual = freeSo2At(freeSo2, now)
  if (usual.origin === 'measured' || !isWine(lot)) return usual
  const upkeep = upkeepOf({ ...lot, asOf: now })
  if (!upkeep) return usual
  const { low, mid, high } = upkeep.now.free
  return { ...usual, value: mid, uncertainty: (high - low) / 2 }
}
