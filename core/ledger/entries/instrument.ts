import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** Instruments and their checks are gathered before all else: a check entered later speaks for readings made earlier. */
export const instrumentAdded: EntryKind<'instrument-added'> = { type: 'instrument-added', touches: () => NOTHING_TOUCHED, apply() {} }
export const instrumentChecked: EntryKind<'instrument-checked'> = {
  type: 'instrument-checked',
  touches: () => NOTHING_TOUCHED,
  apply(folding, { id: entryId, instrumentId }) {
    if (!folding.cellar.instruments.has(instrumentId)) folding.problem({ code: 'unknown-instrument', entryId, instrumentId })
  }
}
