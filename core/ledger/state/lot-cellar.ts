import type { Protocol } from '../../finishing/protocols'
import type { Act } from '../acts/act'
import type { Clarity } from '../entries/clarity'
import type { Gas } from '../entries/gases'
import type { Smell } from '../entries/smells'
import type { EntryOf } from '../entry'
import type { Paid } from '../paid'

/** What was seen, smelt and tested. */
export interface LotLooks {
  /** What it smelt of when it was last smelt. */
  smelt?: { at: string, smells: readonly Smell[], entryId: string }
  /** When somebody last wrote down how it tastes. */
  tastedAt?: string
  /** The last look, and of a clear wine since when every look has found it so. */
  clarity?: { at: string, is: Clarity, entryId: string, clearSince?: string }
  /** Gas in it when it was last shaken. */
  gas?: { at: string, is: Gas, entryId: string }
  /** Whether it stayed clear in its last heat test, and free of crystals in its last cold test. */
  heatTest?: { at: string, stable: boolean, entryId: string }
  coldTest?: { at: string, stable: boolean, entryId: string }
}

/** What was done with it in the cellar. */
export interface LotCellar {
  /** When another last came into this wine that made a blend of it. */
  blendedAt?: string
  /** Water and other wines that came in, with the part of the lot that was there before and the free SO₂ that they brought, mg/L. */
  cameIn: readonly CameIn[]
  /** When a vessel of it was last filled up. */
  toppedAt?: string
  /** When it was last racked, and all the times before it. */
  rackedAt?: string
  rackings: readonly string[]
  /** Totals that went in, by material, in the unit of the entries. */
  added: Map<string, { actual: number, unit: 'g' | 'mL' | 'L', times: number, lastAt: string }>
  /** When each material was last put into this lot itself: what came in with other wine left its pieces and its lees behind. */
  putIn: ReadonlyMap<string, string>
  /** What it cost so far. */
  paid: Paid
  /** Additions whose first stage went in and whose last has not: by material. */
  staged: ReadonlyMap<string, StagedAddition>
  /** What was done that had better not have been, the latest last. */
  acts: readonly { act: Act, entryId: string, at: string }[]
  /** The last addition, to know the same one again. */
  lastAdded?: { material: string, actual: number, at: string }
  /** What keeps air from the wine in a vessel that is not full: the room that marbles take up, L; when gas was last laid over it. */
  overWine: ReadonlyMap<string, OverWine>
  /** When each kind of work was last done. */
  worked: ReadonlyMap<EntryOf<'operation'>['what'], Worked>
}

/** What came into a lot and thinned or mixed what was in it. */
export interface CameIn {
  at: string
  /** Part of the lot that was there before. */
  share: number
  broughtMgPerL: number
  /** Half-width of the band it lies in, mg/L. */
  uncertainty: number
  /** Another wine, and not water. */
  wine: boolean
}

export interface StagedAddition {
  at: string
  actual: number
  planned?: number
}

export interface OverWine {
  marblesL: number
  gasAt?: string
}

export interface Worked {
  at: string
  plan?: NonNullable<EntryOf<'operation'>['plan']>
  /** Of a test: by which rule it is run. */
  protocol?: Protocol
  /** Of a filter: it takes out yeast and bacteria. */
  sterile?: boolean
  /** Of marbles or gas: over which vessel, and the room that marbles take up, L. */
  vesselId?: string
  litres?: number
}
