import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** Vessels are gathered before all else, see `fold/header.ts`. */
export const vesselAdded: EntryKind<'vessel-added'> = {
  type: 'vessel-added',
  touches: (e) => ({ ...NOTHING_TOUCHED, vessels: [e.vesselId] }),
  apply() {}
}

export const vesselCared: EntryKind<'vessel-cared'> = {
  type: 'vessel-cared',
  touches: (e) => ({ ...NOTHING_TOUCHED, vessels: [e.vesselId] }),
  apply(folding, cared) {
    const vessel = folding.vessel(cared.vesselId)
    if (vessel) vessel[cared.what === 'cleaned' ? 'cleanedAt' : 'sanitisedAt'] = cared.at
  }
}
