import type { MaterialCard } from '../../materials'
import type { EntryOf } from '../entry'
import type { OwnErrors, Owned } from '../entries/equipment'
import type { BlockState } from './block'
import type { InstrumentState } from './instrument'
import type { LotState } from './lot'
import type { LedgerProblem } from './problem'
import type { Stock } from './stock'
import type { VesselState } from './vessel'

export interface CellarState {
  lots: Map<string, LotState>
  vessels: Map<string, VesselState>
  instruments: Map<string, InstrumentState>
  blocks: Map<string, BlockState>
  /** Fruit, must or kits that are still to come. */
  arrivals: Map<string, EntryOf<'arrival-expected'>>
  /** Plans that are kept under a name, by their id. */
  plans: Map<string, EntryOf<'plan-kept'>>
  /** By material. */
  stock: Map<string, Stock>
  /** When each lot starts: also of those that start later than an instant that is looked at. */
  starts: Map<string, string>
  /** People's own cards, by key. */
  cards: Map<string, MaterialCard>
  /** What the household measures with, as far as it was said. */
  equipment: Owned
  /** How exactly they read, as far as it was said. */
  ownErrors: OwnErrors
  problems: LedgerProblem[]
}

/** A cellar before anything was written. */
export const emptyCellar = (): CellarState => ({
  lots: new Map(),
  vessels: new Map(),
  instruments: new Map(),
  blocks: new Map(),
  arrivals: new Map(),
  plans: new Map(),
  stock: new Map(),
  cards: new Map(),
  equipment: {},
  ownErrors: {},
  starts: new Map(),
  problems: []
})
