import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** How warm the room is beside a vessel: what its wine goes to by itself. */
export const airRead: EntryKind<'air-read'> = {
  type: 'air-read',
  touches: (e) => ({ ...NOTHING_TOUCHED, vessels: [e.vesselId] }),
  apply(folding, read) {
    const vessel = folding.vessel(read.vesselId)
    if (!vessel) folding.problem({ code: 'unknown-vessel', entryId: read.id, vesselId: read.vesselId })
    else vessel.air = [...(vessel.air ?? []), { at: read.at, value: read.celsius, entryId: read.id }]
  }
}
