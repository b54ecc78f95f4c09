import { MALIC_END } from '../../malolactic'
import { TOLD_WITHIN } from '../../sulphite'
import { malolacticOf } from '../plan'
import { freeFor, molecularOf } from '../reckoned'
import type { LotState } from '../state'
import { usedPh } from './used-ph'

/** What keeps bacteria from malic acid that is left: about 0.8 mg/L molecular, kept up (craft 3.9, common practice). */
export const LOCKING_MOLECULAR = 0.8
/** Below this pH hardly any malolactic begins: common practice, no source. */
const LOCKING_PH = 3.0

/** Whether malic acid can do harm in the bottle any more, and by what it cannot. */
export interface MalicSettled {
  settled: boolean
  by: 'proof' | 'little' | 'kit' | 'filter' | 'low-ph' | 'sulphite' | 'nothing' | 'unknown'
  /** Of sulphite: what there is, and what locks at the pH, mg/L. */
  freeMgPerL?: number
  wantedMgPerL: number
  molecularMgPerL?: number
  ph: number
}

/**
 * One rule for "malic settled": gone by proof, or down to what does no harm; a kit, whose maker left none to speak of; or locked, by
 * sulphite at the level that locks at its pH, by a pH too low for bacteria, or by a filter that takes them out and nothing moved since.
 */
export function malicSettledOf(lot: LotState): MalicSettled {
  const ph = usedPh(lot).value
  const wantedMgPerL = freeFor(LOCKING_MOLECULAR, ph)
  const free = lot.freeSo2?.value
  const about = {
    ph,
    wantedMgPerL,
    ...(free !== undefined && { freeMgPerL: free, molecularMgPerL: molecularOf(free, ph) })
  }
  const is = (settled: boolean, by: MalicSettled['by']): MalicSettled => ({ settled, by, ...about })
  const malolactic = malolacticOf(lot)
  if (malolactic === 'done') return is(true, 'proof')
  if (malolactic !== 'not-wanted') return is(false, 'nothing')
  // So little makes a tenth of a gram of gas in a litre (44/134 by stoichiometry): less than a still wine holds anyway.
  const malic = lot.others.malic
  if (malic?.origin === 'measured' && malic.value <= MALIC_END.nearly) return is(true, 'little')
  if (lot.stream === 'kit' && lot.bacteriaAt === undefined) return is(true, 'kit')
  const filtered = lot.worked.get('filter')
  if (filtered?.sterile && !(lot.rackedAt !== undefined && lot.rackedAt > filtered.at)) return is(true, 'filter')
  if (lot.ph && lot.ph.value <= LOCKING_PH) return is(true, 'low-ph')
  if (free === undefined) return is(false, lot.lastSulphiteAt ? 'unknown' : 'nothing')
  return is(free >= wantedMgPerL - TOLD_WITHIN, 'sulphite')
}
