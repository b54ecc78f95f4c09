import type { EntryOf } from './entry'
import { mixInto } from './mix-lots'
import type { CellarState, LotState, VesselState } from './state'
import { restsOn } from './rests-on'

/** Rounding of volumes that people note, L: less than this left over counts as empty. */
const EMPTY_L = 0.05

/**
 * Moves wine between vessels and lots. A move that cannot be (more out than is in, another lot in the vessel) is reported
 * and left out, so that the volumes stay sound.
 */
export function foldTransfer(cellar: CellarState, transfer: EntryOf<'transfer'>): void {
  const from = cellar.lots.get(transfer.from.lotId)
  const to = cellar.lots.get(transfer.to.lotId)
  if (!from || !to) {
    cellar.problems.push({ code: 'unknown-lot', entryId: transfer.id, lotId: from ? transfer.to.lotId : transfer.from.lotId })
    return
  }
  const source = transfer.from.vesselId ?? ''
  const held = from.contents.get(source) ?? 0
  if (transfer.outL > held + EMPTY_L) {
    cellar.problems.push({ code: 'more-out-than-in', entryId: transfer.id, lotId: from.id, outL: transfer.outL, heldL: held })
    return
  }
  const target = transfer.to.vesselId ?? ''
  const vessel = target === '' ? undefined : cellar.vessels.get(target)
  if (target !== '' && !vessel) {
    cellar.problems.push({ code: 'unknown-vessel', entryId: transfer.id, vesselId: target })
    return
  }
  if (vessel?.lotId && vessel.lotId !== to.id) {
    cellar.problems.push({ code: 'vessel-taken', entryId: transfer.id, vesselId: vessel.id, byLotId: vessel.lotId })
    return
  }
  take(cellar, from, source, transfer.outL)
  if (from !== to && transfer.inL > 0) mixInto(to, from, transfer.inL, transfer.at, transfer.id)
  to.contents.set(target, (to.contents.get(target) ?? 0) + transfer.inL)
  if (vessel) fill(vessel, to.id)
  for (const lot of new Set([from, to])) {
    lot.lastAt = transfer.at
    const value = [...lot.contents.values()].reduce((sum, litres) => sum + litres, 0)
    lot.volume = { ...lot.volume, value, at: transfer.at, from: restsOn(lot.volume.from, transfer.id) }
  }
}

/** A vessel takes a lot in; clean and sanitised are over with that. */
export function fill(vessel: VesselState, lotId: string): void {
  vessel.lotId = lotId
  delete vessel.cleanedAt
  delete vessel.sanitisedAt
}

function take(cellar: CellarState, lot: LotState, vesselId: string, litres: number): void {
  const left = (lot.contents.get(vesselId) ?? 0) - litres
  if (left > EMPTY_L) {
    lot.contents.set(vesselId, left)
    return
  }
  lot.contents.delete(vesselId)
  const vessel = cellar.vessels.get(vesselId)
  if (vessel) delete vessel.lotId
}
