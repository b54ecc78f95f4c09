import { HOUR_MS } from '../../units'
import type { EntryOf } from '../entry'
import { judgeMove, noteActs } from '../acts'
import { HELD_L, isHeld } from '../facets'
import type { Folding } from '../fold/folding'
import { mixInto, moveGiven } from '../liquid'
import type { LotState, VesselState } from '../state'
import { movePaid } from '../paid'
import { restsOn } from '../rests-on'
import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** From this share of a vessel on it counts as full: the air over it is new, and little. Common practice, no source. */
const FULL = 0.96

/** How far what a barrel drank may be off what was reckoned, as a share of it: common practice, no source. */
const DRANK_MORE = 0.05

/**
 * Moves wine between vessels and lots. A move that cannot be (more out than is in, another lot in the vessel) is reported
 * and left out, so that the volumes stay sound. A volume that was only expected gives way to what was really moved.
 */
export const transfer: EntryKind<'transfer'> = {
  type: 'transfer',
  touches: (e) => ({
    ...NOTHING_TOUCHED,
    lots: [e.from.lotId, e.to.lotId],
    vessels: [e.from.vesselId, e.to.vesselId].filter((v) => v !== undefined)
  }),
  apply(folding, move) {
    const [from, to] = [folding.lot(move.from.lotId), folding.lot(move.to.lotId)]
    if (!from || !to) {
      folding.problem({ code: 'unknown-lot', entryId: move.id, lotId: from ? move.to.lotId : move.from.lotId })
      return
    }
    const target = move.to.vesselId ?? ''
    const vessel = target === '' ? undefined : folding.vessel(target)
    if (target !== '' && !vessel) {
      folding.problem({ code: 'unknown-vessel', entryId: move.id, vesselId: target })
      return
    }
    if (vessel?.lotId && vessel.lotId !== to.id) {
      folding.problem({ code: 'vessel-taken', entryId: move.id, vesselId: vessel.id, byLotId: vessel.lotId })
      return
    }
    if (!thereIsEnough(folding, from, move)) return
    if (vessel) drankMore(to, vessel, move.inL)
    const held = from.volume.value
    if (move.purpose === 'press') from.pressedL = (from.pressedL ?? 0) + move.inL
    noteActs(from, move, judgeMove(from, move, from.pressedL ?? 0))
    const wasEmpty = !(to.volume.value > 0)
    moveGiven(from, to, move.outL, move.inL, held)
    movePaid(from, to, move.outL, held)
    take(folding, from, move.from.vesselId ?? '', move.outL, move.at)
    if (from !== to && move.inL > 0) mixInto(to, from, move.inL, move.at, move.id)
    to.contents.set(target, (to.contents.get(target) ?? 0) + move.inL)
    if (vessel) fill(vessel, to, move.at)
    // Filled up as far as there was wine for it: the air over it counts anew.
    if (vessel && (move.purpose === 'top-up' || to.contents.get(target)! >= vessel.capacityL * FULL)) to.toppedAt = move.at
    for (const lot of new Set([from, to])) {
      lot.lastAt = move.at
      lot.lastEntryId = move.id
      if (move.purpose === 'press') lot.pressedAt ??= move.at
      if (takesOffLees(move, lot, wasEmpty)) {
        // Several moves of one afternoon are one racking.
        const again = lot.rackedAt === undefined || Date.parse(move.at) - Date.parse(lot.rackedAt) > ONE_RACKING_MS
        if (again) lot.rackings = [...lot.rackings, move.at]
        lot.rackedAt = move.at
      }
      const value = [...lot.contents.values()].reduce((sum, litres) => sum + litres, 0)
      lot.volume = { ...lot.volume, value, at: move.at, from: restsOn(lot.volume.from, move.id) }
    }
    // What was poured out to the last drop was measured by it.
    if (!isHeld(from)) from.volume = { ...from.volume, origin: 'measured', uncertainty: 0 }
  }
}

const ONE_RACKING_MS = 12 * HOUR_MS
/**
 * What is drawn off into a vessel leaves its lees behind: the wine itself when it is racked, and what arrives where nothing was. What stays
 * behind, and what something is poured into, lies on its lees as before.
 */
const takesOffLees = ({ purpose, from, to }: EntryOf<'transfer'>, lot: LotState, wasEmpty: boolean): boolean =>
  purpose !== 'press' && purpose !== 'top-up' && purpose !== 'fill' && (from.lotId === to.lotId || (lot.id === to.lotId && wasEmpty))

/** A barrel that takes more than there was thought to be room for has drunk more than was reckoned: what was filled in is believed. */
function drankMore(lot: LotState, vessel: VesselState, inL: number): void {
  const held = lot.contents.get(vessel.id) ?? 0
  const over = Math.min(held, held + inL - vessel.capacityL)
  if (over <= 0 || over > vessel.capacityL * DRANK_MORE || !lot.inWood?.has(vessel.id)) return
  lot.contents.set(vessel.id, held - over)
  lot.volume = { ...lot.volume, value: lot.volume.value - over }
}

/** More than was *expected* is taken: the expectation was wrong. More than was measured is not. */
function thereIsEnough(folding: Folding, from: LotState, move: EntryOf<'transfer'>): boolean {
  const source = move.from.vesselId ?? ''
  const held = from.contents.get(source) ?? 0
  if (move.outL <= held + HELD_L) return true
  // Of what wood drank nobody knows to the litre: as much more than was reckoned may come out of it as may go in.
  const slack = from.inWood?.has(source) ? from.inWood.get(source)!.capacityL * DRANK_MORE : 0
  const sure = from.volume.origin === 'measured' && move.outL > held + slack
  if (sure || !from.contents.has(source)) {
    folding.problem({ code: 'more-out-than-in', entryId: move.id, lotId: from.id, outL: move.outL, heldL: held })
    return false
  }
  folding.problem({ code: 'expected-volume', entryId: move.id, lotId: from.id, outL: move.outL, heldL: held })
  from.contents.set(source, move.outL)
  from.volume = { ...from.volume, value: from.volume.value + move.outL - held }
  return true
}

/** A vessel takes a lot in; clean, sanitised and swelled are over with that. */
export function fill(vessel: VesselState, lot: LotState, at: string): void {
  if (vessel.lotId !== lot.id) {
    vessel.filledAt = at
    vessel.fills = (vessel.fills ?? 0) + 1
  }
  vessel.lotId = lot.id
  vessel.used = true
  delete vessel.cleanedAt
  delete vessel.sanitisedAt
  delete vessel.swelledAt
  delete vessel.sulphuredAt
  delete vessel.retiredAt
}

function take(folding: Folding, lot: LotState, vesselId: string, litres: number, at: string): void {
  const left = (lot.contents.get(vesselId) ?? 0) - litres
  if (left > HELD_L) lot.contents.set(vesselId, left)
  else leave(folding, lot, vesselId, at)
}

/** The lot is not in this vessel any more; what stood in it last is remembered. */
export function leave(folding: Folding, lot: LotState, vesselId: string, at: string): void {
  lot.contents.delete(vesselId)
  if (lot.overWine.has(vesselId)) lot.overWine = new Map([...lot.overWine].filter(([id]) => id !== vesselId))
  const vessel = folding.vessel(vesselId)
  if (vessel?.lotId !== lot.id) return
  delete vessel.lotId
  delete vessel.filledAt
  vessel.lastHeld = { name: lot.name, until: at }
}

/** Out of every vessel. */
export function emptyOut(folding: Folding, lot: LotState, at: string): void {
  for (const vesselId of [...lot.contents.keys()]) leave(folding, lot, vesselId, at)
}
