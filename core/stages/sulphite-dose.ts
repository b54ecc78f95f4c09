import type { SulphiteAim } from '../findings'
import { LOCKING_MOLECULAR, MOST_FREE_ASKED, type LotView, freeFor, isHeld, isWine, keptAt, usedPh } from '../ledger'
import { MOLECULAR_TARGET, SO2_SHARE, type SulphiteSalt, TOLD_WITHIN, TOTAL_LIMIT, TYPICAL_DECAY_PER_DAY } from '../sulphite'
import { sulphiteToCome } from './packets'

/** From one round to the next: every 4 to 6 weeks, craft 3.10 (common practice), days. */
export const NEXT_ROUND_DAYS = 35
/** A dose that a titration could not tell from none, mg/L: common practice, no source. */
export const LEAST_ADD = 4
/** However fast a wine loses it: more than this above its level is not put in ahead. Ours. */
const MOST_AHEAD = 1.4
/** Sulphite that the air picked up at bottling takes, mg/L free: common practice, no source. */
export const BOTTLING_RESERVE = 10
/**
 * How much of a dose stays free differs from wine to wine, from nearly all to half: more than this at once may leave far more than was
 * aimed at, so the rest waits for a reading, mg/L. Craft 3.5, every addition in stages; found by the simulated wines. Ours.
 */
export const MOST_AT_ONCE = 45
/** A tenth of a total SO₂ is within what a home titration is off by; no dose is to come nearer to its limit than that. Ours. */
const LIMIT_KEPT = 0.98

/** A dose of sulphite for a lot, and what it is for. */
export interface LotDose {
  aim: SulphiteAim
  /** As it is, and what it is to come to, mg/L. */
  freeMgPerL: number
  aimMgPerL: number
  /** Level that it is kept at, mg/L. */
  levelMgPerL: number
  /** SO₂ to add, binding allowed for; 0: it is left alone. */
  addMgPerL: number
  grams: number
  /** It is the first part of more: after two days free SO₂ is read, and the rest goes by that. */
  inParts: boolean
  /** The total would pass the limit for such a wine: the dose is only as large as it leaves room for. */
  cappedByLimit: boolean
  /** The pH would want more than is sensible: it is to be lowered first. */
  phTooHigh: boolean
  /** No pH was measured, or no free SO₂: the usual of the style, or none. */
  assumed: ('ph' | 'free')[]
}

/** Kept with sulphite, and not a wine that bacteria work in or are to work in. */
export const isKept = (lot: LotView): boolean =>
  isHeld(lot) && isWine(lot) && lot.plan.sulphite !== 'none' && (lot.malolactic === 'done' || lot.malolactic === 'not-wanted')

/** What a person at the bench says in place of what the ledger says. */
export interface GivenForDose {
  ph?: number
  freeMgPerL?: number
  volumeL?: number
  /** 0 to 0.8. */
  boundShare?: number
  /** Molecular SO₂ that it is to be kept at, mg/L. */
  molecular?: number
}

/** Free SO₂ that an aim wants of a lot, mg/L; never more than is sensible at any pH. */
export function aimOf(lot: LotView, aim: SulphiteAim, given: GivenForDose = {}): number {
  return Math.min(MOST_FREE_ASKED, uncapped(lot, aim, given))
}

function uncapped(lot: LotView, aim: SulphiteAim, given: GivenForDose): number {
  const level = keptAt(lot, given)
  switch (aim) {
    case 'level':
      return level
    case 'next-round': {
      const decay = lot.upkeep?.decayPerDay.mid ?? TYPICAL_DECAY_PER_DAY
      return level * Math.min(MOST_AHEAD, Math.exp(decay * NEXT_ROUND_DAYS))
    }
    case 'bottle':
      return level + BOTTLING_RESERVE
    case 'lock':
      return Math.max(level, freeFor(LOCKING_MOLECULAR, given.ph ?? usedPh(lot).value))
  }
}

/**
 * How much sulphite a lot gets: one answer for the bench, the round, racking, the gate before the bottle and every task. What is not
 * known to be in it counts as none.
 * @param salt what is weighed
 * @param given what is typed at the bench over what the ledger says
 */
export function doseFor(
  lot: LotView,
  aim: SulphiteAim,
  salt: SulphiteSalt = 'potassium-metabisulphite',
  given: GivenForDose = {}
): LotDose {
  const freeMgPerL = given.freeMgPerL ?? lot.freeSo2?.value ?? 0
  const aimMgPerL = aimOf(lot, aim, given)
  const ph = usedPh(lot)
  const short = aimMgPerL - freeMgPerL
  // What no home reading tells from its aim is left alone; ahead of a round a small dose is no worth either.
  const wanted = short <= TOLD_WITHIN ? 0 : short / (1 - (given.boundShare ?? lot.boundShare))
  const room = Math.max(0, TOTAL_LIMIT[lot.style] * LIMIT_KEPT - (lot.totalSo2?.value ?? 0))
  const capped = Math.min(wanted, room)
  const addMgPerL = aim === 'next-round' && capped < LEAST_ADD ? 0 : Math.min(capped, MOST_AT_ONCE)
  return {
    aim,
    freeMgPerL,
    aimMgPerL,
    levelMgPerL: keptAt(lot, given),
    addMgPerL,
    grams: (addMgPerL * (given.volumeL ?? lot.volume.value)) / 1000 / SO2_SHARE[salt],
    inParts: capped > MOST_AT_ONCE,
    cappedByLimit: wanted > room,
    phTooHigh: freeFor(MOLECULAR_TARGET.red, given.ph ?? ph.value) > MOST_FREE_ASKED,
    assumed: [...(ph.measured ? [] : (['ph'] as const)), ...(lot.freeSo2 ? [] : (['free'] as const))]
  }
}

/**
 * What a kept wine gets on the month's round: by its own decay it is to be at its level when the next comes.
 * @returns undefined for a wine that is not kept with sulphite, and for a kit that is still to bring its own
 */
export const roundDose = (lot: LotView, salt?: SulphiteSalt): LotDose | undefined =>
  (isKept(lot) && sulphiteToCome(lot) === 0 ? doseFor(lot, 'next-round', salt) : undefined)
