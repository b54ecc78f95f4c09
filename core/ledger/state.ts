import type { Act } from './acts/act'
import type { Paid } from './paid'
import type { Composition } from '../acids'
import type { Protocol } from '../finishing/protocols'
import type { MaterialCard } from '../materials'
import type { DosePair } from '../sulphite'
import type { EntryOf, ReadingQuantity, Stream, Style } from './entry'
import type { Spot } from '../malolactic'
import type { Clarity } from './entries/clarity'
import type { Closure } from './entries/closures'
import type { Owned } from './entries/equipment'
import type { Fault } from './entries/faults'
import type { Gas } from './entries/gases'
import type { Outcome } from './entries/outcomes'
import type { Smell } from './entries/smells'
import type { Alcoholic } from './facets'
import type { LotPlan } from './plan'
import type { InWood } from './wood'

/** A figure of a lot, with where it comes from. */
export interface Figure {
  value: number
  origin: 'measured' | 'estimated'
  /** When it was measured, or the last entry an estimate rests on. */
  at: string
  /** Half-width of the band it lies in, same unit. */
  uncertainty: number
  /** The entries it was computed from, oldest first. */
  from: string[]
}

/** What is dissolved in the wine, by mass balance, g/L: carried through the ferment, water, sugar and blends. */
export interface Balance {
  /** Sugar and all else that is dissolved, as sucrose. */
  extractGPerL: number
  ethanolGPerL: number
  /** The part of the extract that no yeast takes. */
  sugarFreeGPerL: number
}

/** Where a wine comes from; the shares of a lot add up to one. */
export interface Source {
  /** Variety, vintage and origin in one: what is the same is counted together. */ key: string
  variety: string
  vintage?: number
  origin?: string
  share: number
}

/** The acids as last measured, and what was done since. */
export interface AcidTrack {
  /** Fitted when it is first asked for. */
  readonly composition: Composition
  /** What was known to be in it before this pair was read, with all that was done since. */
  carried?: Composition
  /** Malic acid stands on a reading. */
  malicMeasured: boolean
  at: string
  /** The readings it rests on, and the additions since. */
  from: string[]
  changed: boolean
}

export interface Point {
  at: string
  value: number
  entryId: string
}

export interface LotState {
  id: string
  name: string
  stream: Stream
  style: Style
  varieties: readonly { name: string, share: number }[]
  vintage?: number
  origin?: string
  startedAt: string
  lastAt: string
  /** The last entry that speaks of it: named where something about the lot cannot be worked out. */
  lastEntryId: string
  alcoholic: Alcoholic
  massKg?: number
  /** Of frozen must: whether its skins are in it. */
  onSkins?: boolean
  kit?: NonNullable<EntryOf<'lot-started'>['kit']>
  /** Packets of the kit that went in, by the task that each is. */
  packetsIn: ReadonlySet<string>
  /** Whether it came with sulphite in it; not said of fruit, and of what nobody was asked about. */
  sulphitedOnArrival?: 'yes' | 'no' | 'unknown'
  /** L */
  volume: Figure
  /** Litres by vessel; '' holds what has no vessel. */
  contents: Map<string, number>
  /** Of what stands in wood: since when its loss has not been taken off yet. */
  inWood?: InWood
  /** SG 20/20, corrected for the sample's temperature and the instrument. */
  sg?: Figure
  /** The first gravity, before yeast. */
  originalSg?: Figure
  temperature?: Figure
  ph?: Figure
  /** g/L as tartaric */
  ta?: Figure
  /** mg/L */
  freeSo2?: Figure
  totalSo2?: Figure
  /** Mass balance of sugar and alcohol; from the first gravity on. */
  balance?: Balance
  /** % vol, by the mass balance or measured. */
  abv?: Figure
  acids?: AcidTrack
  sources: readonly Source[]
  /** Every reading, corrected for its instrument, by quantity: for curves. */
  series: Partial<Record<ReadingQuantity, Point[]>>
  /** Additions of sulphite with the free SO₂ before and after, from which its binding is learnt. */
  doses: readonly DosePair[]
  pendingDose: { addedMgPerL: number, freeBeforeMgPerL: number, at: string } | undefined
  /** Share of sulphite that binds in this lot: learnt, or the usual one. */
  boundShare: number
  bacteriaAt?: string
  /** When another culture, or the same again, last went in after the first. */
  bacteriaAgainAt?: string
  /** When somebody last said whether malolactic is wanted. */
  malolacticSaidAt?: string
  /** The culture as it was called, and its card where it has one. */
  bacteria?: { name: string, cardKey?: string }
  /** How each task was last ended, by its code. */
  endedTasks: ReadonlyMap<string, EndedTask>
  /** Other measured figures by quantity. */
  others: Partial<Record<ReadingQuantity, Figure>>
  /** Nitrogen of all nutrient given, mg N/L of the present volume; rehydration nutrient feeds the yeast in its water and does not count. */
  nitrogenGiven?: Figure
  lastSulphiteAt?: string
  inoculatedAt?: string
  /** When a ferment that had begun was given yeast again. */
  repitchedAt?: string
  /** What it smelt of when it was last smelt. */
  smelt?: { at: string, smells: readonly Smell[], entryId: string }
  /** When somebody last wrote down how it tastes. */
  tastedAt?: string
  /** How clear it was when it was last looked at. */
  /** The last look, and of a clear wine since when every look has found it so. */
  clarity?: { at: string, is: Clarity, entryId: string, clearSince?: string }
  /** Gas in it when it was last shaken. */
  gas?: { at: string, is: Gas, entryId: string }
  /** Whether it stayed clear in its last heat test, and free of crystals in its last cold test. */
  heatTest?: { at: string, stable: boolean, entryId: string }
  coldTest?: { at: string, stable: boolean, entryId: string }
  /** Its last paper chromatogram. */
  paper?: { at: string, malic: Spot, lactic: Spot, entryId: string }
  /** A glass of it with fresh yeast, kept warm for a week: whether its gravity stayed. */
  warmGlass?: { at: string, stable: boolean, entryId: string }
  /** When the person said that it is dry for this wine. */
  saidDryAt?: string
  /** When bubbles were last written down. */
  bubbled?: { at: string, entryId: string }
  /** Sulphite given, as mg of SO₂ in a litre of what there was. */
  sulphited: readonly { at: string, mgPerL: number, entryId: string }[]
  /** When another last came into this wine that made a blend of it. */
  blendedAt?: string
  /** Water and other wines that came in, with the part of the lot that was there before and the free SO₂ that they brought, mg/L. */
  cameIn: readonly CameIn[]
  /** Since when it is a wine: its ferment was over. */
  wineSince?: string
  /** Sugar came in with another wine, or nobody knows whether it did: gravities read before tell nothing of its end. */
  unsettledAt?: string
  /** When it came off its skins. */
  pressedAt?: string
  /** Wine that came off its skins, L. */
  pressedL?: number
  /** When a vessel of it was last filled up. */
  toppedAt?: string
  /** When it was last racked, and all the times before it. */
  rackedAt?: string
  rackings: readonly string[]
  /** Sugar that the ferment is fed with in parts, and what of it had gone in before that was said, g. */
  sugarSteps?: { material: string, totalG: number, parts: number, givenBefore: number }
  /** Nutrient given, when and how much nitrogen, mg N/L. */
  fed: readonly { at: string, mgPerL: number, entryId: string }[]
  /** When sugar or water last went in. */
  changedSugarAt?: string
  /** The yeast as it was called, and its card where it has one. */
  yeast?: { name: string, cardKey?: string }
  /** What was said of its plan; the rest is the usual, see planOf. */
  planned: Partial<LotPlan>
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
  /** Bottles filled from it, and the wine in them, L. */
  bottles: number
  bottledL: number
  /** What of them is left, by bottling and size, oldest first. */
  bottled: readonly Bottled[]
  /** How it was rated, 1 to 10, oldest first. */
  tastings: readonly { at: string, rating: number, entryId: string, faults?: readonly Fault[] }[]
}

export interface Bottled {
  at: string
  sizeMl: number
  left: number
  closure?: Closure
  place?: string
  /** The card of the bottle. */
  material?: string
  /** What went into it, as far as it was known: free SO₂ and the sugar that yeast could take, at most, mg/L and g/L. */
  freeMgPerL?: number
  sugarMid?: number
  sugarHigh?: number
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

export interface EndedTask {
  at: string
  outcome: Outcome
  until?: string
  /** Which of the ways out was taken. */
  answer?: string
  /** How often in a row it was put off. */
  times: number
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

/** A vineyard or a part of one, before its harvest. */
export interface BlockState {
  id: string
  name: string
  style: Style
  variety?: string
  expectKg?: number
  samples: EntryOf<'block-sampled'>[]
  notes: EntryOf<'block-noted'>[]
  /** Sampled or noted before it was added: until then nobody has named it. */
  unnamed?: boolean
}

/** A package in the store, less what has gone into the lots. */
export interface Package {
  id: string
  amount: number
  left: number
  stockedAt: string
  opened?: string
  expires?: string
  note?: string
  /** Paid for all of it. */
  price?: number
}
export interface Stock {
  material: string
  unit: 'g' | 'mL' | 'pieces'
  packages: Package[]
  /** What went into lots beyond all that was in store: something was not noted. */
  unaccounted: number
}

export interface VesselState {
  id: string
  name: string
  kind: EntryOf<'vessel-added'>['kind']
  capacityL: number
  material?: EntryOf<'vessel-added'>['material']
  lotId?: string
  /** A lot has stood in it at some time. */
  used?: boolean
  /** Of a barrel: wines that stood in it before it came here. */
  fillsBefore?: number
  /** Wines that have stood in it here, the present one among them. */
  fills?: number
  /** Since when what is in it stands in it. */
  filledAt?: string
  /** What stood in it last, and when it came out. */
  lastHeld?: { name: string, until: string }
  /** Out of use since. */
  retiredAt?: string
  litres: number
  /** When it was last cleaned and sanitised; filling it ends both. */
  cleanedAt?: string
  sanitisedAt?: string
  /** Of wood: when it was last swelled with water, and last kept sweet with sulphur; filling it ends both. */
  swelledAt?: string
  sulphuredAt?: string
  /** How warm it was beside it, °C, oldest first. */
  air?: readonly Point[]
}

export interface InstrumentState {
  id: string
  name: string
  kind: EntryOf<'instrument-added'>['kind']
  calibrationC?: number
  step?: number
  /** Of a floating hydrometer the lot it floats in, of a thermometer the vessel it hangs beside; and which simulated one it is. */
  follows?: { lotId?: string | undefined, vesselId?: string | undefined, seed: number }
  checks: EntryOf<'instrument-checked'>[]
}

export type LedgerProblem =
  | { code: 'unknown-lot', entryId: string, lotId: string }
  | { code: 'unknown-vessel', entryId: string, vesselId: string }
  | { code: 'unknown-block', entryId: string, blockId: string }
  | { code: 'unknown-instrument', entryId: string, instrumentId: string }
  | { code: 'unknown-supply', entryId: string, supplyId: string }
  /** Something was given to a lot that holds no wine: another one was meant. */
  | { code: 'nothing-there', entryId: string, lotId: string, material: string }
  | { code: 'vessel-taken', entryId: string, vesselId: string, byLotId: string }
  | { code: 'overfull', entryId: string, vesselId: string, litres: number, capacityL: number }
  /** What went in brings it over the brim: so much runs over unless some is taken out first. */
  | { code: 'brim-full', entryId: string, lotId: string, vesselId: string, overL: number }
  | { code: 'more-out-than-in', entryId: string, lotId: string, outL: number, heldL: number }
  | { code: 'contradicts', entryId: string, lotId: string, quantity: ReadingQuantity, measured: number, estimated: number, band: number }
  | { code: 'sulphite-in-malolactic', entryId: string, lotId: string }
  | { code: 'more-bottles-than-there', entryId: string, lotId: string, count: number, there: number }
  | { code: 'started-twice', entryId: string, lotId: string }
  | { code: 'before-start', entryId: string, lotId: string, startedAt: string }
  /** °Brix of a ferment with nothing said of the instrument: by refractometer it needs correcting. */
  | { code: 'brix-in-ferment', entryId: string, lotId: string, brix: number }
  | { code: 'ferments-by-itself', entryId: string, lotId: string, fell: number }
  | { code: 'expected-volume', entryId: string, lotId: string, outL: number, heldL: number }
  /** What the check of its instrument makes of a reading cannot be: it is taken as it was typed. */
  | { code: 'correction-odd', entryId: string, lotId: string, quantity: ReadingQuantity, shown: number, corrected?: number }
  /** The entry does to the cellar what cannot be worked out: it is left out, and everything else is as if it had not been written. */
  | { code: 'cannot-derive', entryId: string, lotId?: string, because: string }
  | { code: 'cannot-compute', entryId: string, lotId: string, argument: string, value: number }

export interface CellarState {
  lots: Map<string, LotState>
  vessels: Map<string, VesselState>
  instruments: Map<string, InstrumentState>
  blocks: Map<string, BlockState>
  /** Fruit, must or kits that are still to come. */
  arrivals: Map<string, EntryOf<'arrival-expected'>>
  /** By material. */
  stock: Map<string, Stock>
  /** When each lot starts: also of those that start later than an instant that is looked at. */
  starts: Map<string, string>
  /** People's own cards, by key. */
  cards: Map<string, MaterialCard>
  /** What the household measures with, as far as it was said. */
  equipment: Owned
  problems: LedgerProblem[]
}

/** A cellar before anything was written. */
export const emptyCellar = (): CellarState => ({
  lots: new Map(),
  vessels: new Map(),
  instruments: new Map(),
  blocks: new Map(),
  arrivals: new Map(),
  stock: new Map(),
  cards: new Map(),
  equipment: {},
  starts: new Map(),
  problems: []
})
