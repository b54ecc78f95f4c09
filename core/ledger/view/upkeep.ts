import { DAY_MS, daysBetween } from '../../units'
import type { FreeDose, FreeMix, FreeReading, SulphiteUpkeep } from '../../sulphite'
import { BASE_WINE_MOLECULAR, LEAST_FREE, MOLECULAR_TARGET, molecularSo2, sulphiteUpkeep } from '../../sulphite'
import { isWine } from '../facets'
import { freeSo2At } from '../free-so2'
import { malolacticOf, planOf } from '../plan'
import { freeFor } from '../reckoned'
import type { Figure, LotState } from '../state'
import { LOCKING_MOLECULAR } from './malic'
import { usedPh } from './used-ph'

/** Half-width of an 80 % band, in standard deviations of a normal. */
const HALF_WIDTH = 1.2816

/** How a lot keeps its sulphite, in days since `from`. */
export interface LotUpkeep extends SulphiteUpkeep {
  /** Day 0, ISO UTC: since it is a wine. */
  from: string
  readings: readonly FreeReading[]
  doses: readonly FreeDose[]
  /** Wine and water that came in. */
  mixes: readonly FreeMix[]
  /** Its readings may be too high, as a red's by iodine are. */
  red: boolean
  /** When it falls below its level, ISO UTC. */
  belowAt?: { low: string, mid: string, high: string }
}

/** A wine that lay for years is judged by its last readings: older ones hardly weigh, and all of them would cost. */
const LAST_READINGS = 24
const known = new WeakMap<LotState, { day: number, upkeep: LotUpkeep | undefined }>()

/** More free SO₂ than this is asked of no wine, mg/L: where its pH would want more, the pH is what is to be mended. Ours. */
export const MOST_FREE_ASKED = 55

/**
 * Molecular SO₂ that a wine is kept at, mg/L: by its style; what locks bacteria out where malic acid may be left in it; and little where a
 * second ferment is to begin.
 */
export function molecularKept(lot: LotState): number {
  if (planOf(lot).sparkling) return BASE_WINE_MOLECULAR
  const mayHaveMalic = malolacticOf(lot) === 'not-wanted' && lot.stream !== 'kit'
  return mayHaveMalic ? Math.max(LOCKING_MOLECULAR, MOLECULAR_TARGET[lot.style]) : MOLECULAR_TARGET[lot.style]
}

/**
 * Free SO₂ that it is kept at, mg/L: by that and its pH, or the usual pH of its style; never less than a titration can tell, but for a
 * second ferment, and never more than is sensible.
 * @param given another molecular level, mg/L, or another pH than the ledger says
 */
export function keptAt(lot: LotState, given: { molecular?: number, ph?: number } = {}): number {
  const molecular = given.molecular ?? molecularKept(lot)
  const free = freeFor(molecular, given.ph ?? usedPh(lot).value)
  // A base wine is kept that low on purpose.
  return Math.min(MOST_FREE_ASKED, molecular <= BASE_WINE_MOLECULAR ? free : Math.max(LEAST_FREE, free))
}

/**
 * What a wine's own readings and doses say of its sulphite. What was read before the ferment was over says nothing of the wine. By the day:
 * a level does not change within hours, and it is asked for with every look at the floor.
 * @returns undefined for what is no wine, or while nothing was read or given
 */
export function upkeepOf(lot: LotState, now: string): LotUpkeep | undefined {
  const before = known.get(lot)
  if (before?.day === upkeepDay(now)) return before.upkeep
  const upkeep = isWine(lot) ? learn(lot, now) : undefined
  rememberUpkeep(lot, now, upkeep)
  return upkeep
}
/** Which day it is, counted: for how long a thing that was learnt is good. */
export const upkeepDay = (now: string): number => Math.floor(Date.parse(now) / DAY_MS)

/** Takes in what was learnt elsewhere (in a worker) at that instant, so that the page need not: some 8 ms a wine. */
export function rememberUpkeep(lot: LotState, now: string, upkeep: LotUpkeep | undefined): void {
  known.set(lot, { day: upkeepDay(now), upkeep })
}

/** A wine that was fermented years ago is judged by what was read and given since, days. Ours. */
const LOOKS_BACK_DAYS = 3 * 365
/** What a titration at home may show and a dose may bring, mg/L. */
const MOST_FREE = 500

function learn(lot: LotState, now: string): LotUpkeep | undefined {
  const since = [lot.wineSince ?? lot.startedAt, new Date(Date.parse(now) - LOOKS_BACK_DAYS * DAY_MS).toISOString()].sort()[1]!
  const counts = (at: string) => at >= since && at <= now
  const read = (lot.series.freeSo2 ?? []).filter((p) => counts(p.at) && p.value <= MOST_FREE).slice(-LAST_READINGS)
  const from = read.length === LAST_READINGS ? read[0]!.at : since
  const days = (at: string) => daysBetween(from, at)
  const of = <T extends { at: string }>(all: readonly T[]) => all.filter((x) => x.at >= from && counts(x.at))
  const readings = read.map((p) => ({ days: days(p.at), freeMgPerL: p.value }))
  const doses = of(lot.sulphited).flatMap((d) => (d.mgPerL <= MOST_FREE ? [{ days: days(d.at), addMgPerL: d.mgPerL }] : []))
  if (readings.length + doses.length === 0) return undefined
  const mixes = of(lot.cameIn).map(({ at, share, broughtMgPerL, uncertainty }) => ({
    days: days(at),
    share,
    broughtMgPerL: Math.min(MOST_FREE, broughtMgPerL),
    broughtSd: uncertainty / HALF_WIDTH
  }))
  const ph = usedPh(lot).value
  const atDays = Math.max(0, Math.floor(days(now)))
  const red = lot.style === 'red'
  const told = sulphiteUpkeep({ ph, targetMolecularMgPerL: molecularSo2(keptAt(lot), ph), readings, doses, mixes, red, atDays })
  const { belowTargetAtDays: below } = told
  const at = (d: number) => new Date(Date.parse(from) + d * DAY_MS).toISOString()
  const belowAt = below && { low: at(below.low), mid: at(below.mid), high: at(below.high) }
  return { ...told, from, readings, doses, mixes, red, ...(belowAt && { belowAt }) }
}

/**
 * Free SO₂ at an instant: of a wine by its own decay and binding, of all else by the usual decay. What was read within days stays as it
 * was read. Where wine of unknown SO₂ came in, it is what was there, thinned, and what such a wine may bring: taken for none, it would be
 * dosed twice.
 */
export function freeAt(lot: LotState, now: string, upkeep: LotUpkeep | undefined): Figure | undefined {
  const freeSo2 = lot.freeSo2 ?? (upkeep && beforeMixing(lot, upkeep))
  if (!freeSo2) return undefined
  const usual = freeSo2At(freeSo2, now)
  if (usual.origin === 'measured' || !upkeep) return usual
  const { low, mid, high } = upkeep.now.free
  return { ...usual, value: mid, uncertainty: (high - low) / 2 }
}

/** Since when it is an estimate, and by what: the reading before another wine made it unknown. */
function beforeMixing(lot: LotState, { from }: LotUpkeep): Figure {
  const read = lot.series.freeSo2?.at(-1)
  return { value: read?.value ?? 0, origin: 'estimated', at: read?.at ?? from, uncertainty: 0, from: read ? [read.entryId] : [] }
}
