import { type EntryKind, NOTHING_TOUCHED } from './kind'

export const planKept: EntryKind<'plan-kept'> = {
  type: 'plan-kept',
  touches: () => NOTHING_TOUCHED,
  apply: (folding, kept) => void folding.cellar.plans.set(kept.planId, kept)
}
