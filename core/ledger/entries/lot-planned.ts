import type { EntryOf } from '../entry'
import type { LotPlan } from '../plan'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

export const lotPlanned: EntryKind<'lot-planned'> = {
  type: 'lot-planned',
  touches: (e) => ofLot(e),
  apply(folding, planned) {
    const lot = lotOf(folding, planned)
    if (!lot) return
    lot.planned = { ...lot.planned, ...saidOf(planned) }
    if (planned.malolactic !== undefined) lot.malolacticSaidAt = planned.at
    if (planned.step) lot.movedSteps = { ...lot.movedSteps, [planned.step.code]: planned.step.day ?? undefined }
    // What went in before the plan is none of its parts.
    if (planned.sugarSteps) lot.sugarSteps = { ...planned.sugarSteps, givenBefore: lot.added.get(planned.sugarSteps.material)?.actual ?? 0 }
  }
}

/** What a plan says, without what every entry carries. */
function saidOf({
  id: _id,
  device: _device,
  at: _at,
  written: _written,
  type: _type,
  lotId: _lot,
  sugarSteps: _steps,
  step: _step,
  ...said
}: EntryOf<'lot-planned'>): Partial<LotPlan> {
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined))
}
