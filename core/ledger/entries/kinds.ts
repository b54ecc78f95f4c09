import type { Fact } from '../entry'
import type { Folding } from '../fold/folding'
import { addition } from './addition'
import { airRead } from './air-read'
import { planKept } from './plan-kept'
import { arrivalExpected } from './arrival-expected'
import { blockAdded, blockNoted, blockSampled } from './block'
import { bottleTaken, tasting } from './bottle-store'
import { bottling } from './bottling'
import { cardMade } from './card-made'
import { equipmentSaid } from './equipment'
import { inoculation } from './inoculation'
import { instrumentAdded, instrumentChecked } from './instrument'
import type { EntryKind, Touched } from './kind'
import { lotAmended } from './lot-amended'
import { lotPlanned } from './lot-planned'
import { lotStarted } from './lot-started'
import { observation } from './observation'
import { cost } from './cost'
import { operation } from './operation'
import { reading } from './reading'
import { supplyCounted, supplyStocked } from './stock'
import { taskEnded } from './task-ended'
import { drinkUntil, noteWood } from '../wood'
import { transfer } from './transfer'
import { vesselAdded, vesselAmended, vesselCared } from './vessel'

/** Every kind of entry. One that is missing does not compile. */
export const ENTRY_KINDS: { [T in Fact['type']]: EntryKind<T> } = {
  'lot-started': lotStarted,
  'lot-planned': lotPlanned,
  'lot-amended': lotAmended,
  reading: reading,
  addition: addition,
  inoculation: inoculation,
  operation: operation,
  observation: observation,
  'task-ended': taskEnded,
  'vessel-added': vesselAdded,
  'vessel-cared': vesselCared,
  'vessel-amended': vesselAmended,
  'air-read': airRead,
  transfer: transfer,
  bottling: bottling,
  'bottle-taken': bottleTaken,
  tasting: tasting,
  cost: cost,
  'instrument-added': instrumentAdded,
  'instrument-checked': instrumentChecked,
  'arrival-expected': arrivalExpected,
  'plan-kept': planKept,
  'block-added': blockAdded,
  'block-sampled': blockSampled,
  'block-noted': blockNoted,
  'supply-stocked': supplyStocked,
  'supply-counted': supplyCounted,
  'card-made': cardMade,
  'equipment-said': equipmentSaid
}

/** The map is typed by its keys; that a fact meets the kind of its own type is what the map says. */
const kindOf = (fact: Fact): EntryKind<Fact['type']> => ENTRY_KINDS[fact.type] as unknown as EntryKind<Fact['type']>

/** Takes a fact in. What stands in wood has lost to it until then. */
export function applyFact(folding: Folding, fact: Fact): void {
  const kind = kindOf(fact)
  const { lots } = kind.touches(fact)
  drinkUntil(folding, lots, fact.at)
  kind.apply(folding, fact)
  noteWood(folding, lots, fact.at)
}
export const touchedBy = (fact: Fact): Touched => kindOf(fact).touches(fact)
