import type { Care } from './cares'
import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** Vessels are gathered before all else, see `fold/header.ts`. */
export const vesselAdded: EntryKind<'vessel-added'> = {
  type: 'vessel-added',
  touches: (e) => ({ ...NOTHING_TOUCHED, vessels: [e.vesselId] }),
  apply() {}
}

const UNTIL = {
  cleaned: 'cleanedAt',
  sanitised: 'sanitisedAt',
  swelled: 'swelledAt',
  sulphured: 'sulphuredAt'
} as const satisfies Record<Care, string>

export const vesselCared: EntryKind<'vessel-cared'> = {
  type: 'vessel-cared',
  touches: (e) => ({ ...NOTHING_TOUCHED, vessels: [e.vesselId] }),
  apply(folding, cared) {
    const vessel = folding.vessel(cared.vesselId)
    if (vessel) vessel[UNTIL[cared.what]] = cared.at
    else folding.problem({ code: 'unknown-vessel', entryId: cared.id, vesselId: cared.vesselId })
  }
}

/** Out of use, or in use again. What wine stands in cannot be put away. */
export const vesselAmended: EntryKind<'vessel-amended'> = {
  type: 'vessel-amended',
  touches: (e) => ({ ...NOTHING_TOUCHED, vessels: [e.vesselId] }),
  apply(folding, amended) {
    const vessel = folding.vessel(amended.vesselId)
    if (!vessel) {
      folding.problem({ code: 'unknown-vessel', entryId: amended.id, vesselId: amended.vesselId })
      return
    }
    if (!amended.retired) delete vessel.retiredAt
    else if (vessel.lotId) folding.problem({ code: 'vessel-taken', entryId: amended.id, vesselId: vessel.id, byLotId: vessel.lotId })
    else vessel.retiredAt = amended.at
  }
}
