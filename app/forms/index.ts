import type { EntryOf, Fact } from '~~/core/ledger'
import { additionForm } from './kinds/addition'
import { bottleTakenForm, bottlingForm, tastingForm } from './kinds/bottling'
import { cardMadeForm } from './kinds/card'
import { costForm } from './kinds/cost'
import { equipmentSaidForm } from './kinds/equipment'
import { arrivalExpectedForm, blockAddedForm, blockNotedForm, blockSampledForm } from './kinds/harvest'
import { inoculationForm } from './kinds/inoculation'
import { instrumentAddedForm, instrumentCheckedForm } from './kinds/instrument'
import { lotAmendedForm, lotStartedForm } from './kinds/lot'
import { observationForm } from './kinds/observation'
import { operationForm } from './kinds/operation'
import { lotPlannedForm, planKeptForm } from './kinds/plan'
import { readingForm } from './kinds/reading'
import { supplyCountedForm, supplyStockedForm } from './kinds/supply'
import { taskEndedForm } from './kinds/task'
import { transferForm } from './kinds/transfer'
import { airReadForm, vesselAddedForm, vesselAmendedForm, vesselCaredForm } from './kinds/vessel'
import type { EntryForm } from './spec'

/** A form for every kind of entry, the same for logging and for correcting. One that is missing does not compile. */
export const FORMS: { [T in Fact['type']]: EntryForm<T> } = {
  'lot-started': lotStartedForm,
  'lot-planned': lotPlannedForm,
  'plan-kept': planKeptForm,
  'lot-amended': lotAmendedForm,
  reading: readingForm,
  addition: additionForm,
  inoculation: inoculationForm,
  operation: operationForm,
  observation: observationForm,
  'task-ended': taskEndedForm,
  'equipment-said': equipmentSaidForm,
  'vessel-added': vesselAddedForm,
  'vessel-cared': vesselCaredForm,
  'vessel-amended': vesselAmendedForm,
  'air-read': airReadForm,
  transfer: transferForm,
  bottling: bottlingForm,
  'bottle-taken': bottleTakenForm,
  tasting: tastingForm,
  cost: costForm,
  'instrument-added': instrumentAddedForm,
  'instrument-checked': instrumentCheckedForm,
  'arrival-expected': arrivalExpectedForm,
  'block-added': blockAddedForm,
  'block-sampled': blockSampledForm,
  'block-noted': blockNotedForm,
  'supply-stocked': supplyStockedForm,
  'supply-counted': supplyCountedForm,
  'card-made': cardMadeForm
}

/** The form of a kind that is only known at run time: it takes and makes entries of just that kind. */
export const formOf = (type: Fact['type']): EntryForm<Fact['type']> => FORMS[type] as unknown as EntryForm<Fact['type']>
export type AnyFact = EntryOf<Fact['type']>
