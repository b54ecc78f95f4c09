import { TYPICAL_BOUND_SHARE } from '../sulphite'
import type { EntryOf } from './entry'
import type { Figure, LotState } from './state'

/** Spread of the bound share between musts and wines, as a part of the addition: common practice, no source. */
const BOUND_SPREAD = 0.2

/** Takes an addition into a lot's state: what went in, not what was planned. */
export function foldAddition(lot: LotState, addition: EntryOf<'addition'>): void {
  const total = lot.added.get(addition.material)
  lot.added.set(addition.material, { actual: (total?.actual ?? 0) + addition.actual, unit: addition.unit, times: (total?.times ?? 0) + 1 })
  // Water or sugar before yeast changes the gravity without any ferment: the next reading is the original one.
  if (lot.stage === 'must' && (addition.material === 'water' || addition.material === 'sugar')) delete lot.originalSg
  if (addition.so2Share !== undefined) foldSulphite(lot, addition, addition.so2Share)
}

/** Between readings free SO₂ is an estimate: the last one plus the part of the addition that does not bind. */
function foldSulphite(lot: LotState, addition: EntryOf<'addition'>, so2Share: number): void {
  const addedMgPerL = addition.actual * so2Share * 1000 / lot.volume.value
  const estimate = (before: Figure | undefined, rise: number, spread: number): Figure => ({
    value: (before?.value ?? 0) + rise,
    origin: 'estimated',
    at: addition.at,
    uncertainty: Math.hypot(before?.uncertainty ?? 0, spread),
    from: [...(before?.from ?? []), addition.id]
  })
  lot.freeSo2 = estimate(lot.freeSo2, addedMgPerL * (1 - TYPICAL_BOUND_SHARE), addedMgPerL * BOUND_SPREAD)
  lot.totalSo2 = estimate(lot.totalSo2, addedMgPerL, addedMgPerL * 0.05)
  lot.so2AddedMgPerL += addedMgPerL
  lot.lastSulphiteAt = addition.at
}
