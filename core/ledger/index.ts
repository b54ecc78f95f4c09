export type { CellarFile, Draft, Entry, EntryOf, Fact, PacketStep, ReadingQuantity, Stream, Style } from './entry'
export { inOrder, standing, standingFacts } from './corrections'
export type { StandingFact } from './corrections'
export { applyFact, touchedBy } from './entries/kinds'
export type { EntryKind, Touched } from './entries/kind'
export { CLARITIES, isClear } from './entries/clarity'
export type { Clarity } from './entries/clarity'
export { CLOSURES, CLOSURE_MATERIAL } from './entries/closures'
export { paidPerLitre } from './paid'
export type { Paid } from './paid'
export type { Closure } from './entries/closures'
export { CARES } from './entries/cares'
export type { Care } from './entries/cares'
export { GASES } from './entries/gases'
export type { Gas } from './entries/gases'
export type { Act, ActCode } from './acts'
export { EQUIPMENT, READ_BY_EYE, WORST_ERROR } from './entries/equipment'
export type { Equipment, OwnErrors, Owned, ReadByEye } from './entries/equipment'
export { OUTCOMES } from './entries/outcomes'
export type { Outcome } from './entries/outcomes'
export { PACKET_MATERIALS, partsOfPacket } from './entries/packets'
export type { PacketPart } from './entries/packets'
export { SMELLS } from './entries/smells'
export { FAULTS } from './entries/faults'
export type { Fault } from './entries/faults'
export type { Smell } from './entries/smells'
export { AGREE_SG, DRY_PROOF_H, drynessOf, standsOf } from './dryness'
export type { Dryness, Standing as GravityStanding } from './dryness'
export { fitsDry, sugarAtGravity, holdsSugar, sugarLeftOf } from './sugar-left'
export type { FitsDry, SugarLeft } from './sugar-left'
export { BELIEVED_C, DRY_SG, DRY_SUGAR_G_PER_L, gravityOf } from './gravity-read'
export { ALCOHOLIC, HELD_L, isFermenting, isHeld, isMust, isOver, isWine, mainVesselOf, standingOf } from './facets'
export type { Alcoholic, Standing } from './facets'
export { foldCellar } from './fold/fold-cellar'
export { extend, historyOf, propose } from './fold/history'
export type { History } from './fold/history'
export { freeSo2At } from './free-so2'
export { checkAgainst, trueValue } from './instrument-check'
export type { Standard } from './instrument-check'
export { abvOf, balanceOfMust, fermentedTo, sgOf, sugarOf } from './balance'
export type {
  Balance,
  Bottled,
  BlockState,
  CellarState,
  Figure,
  InstrumentState,
  LedgerProblem,
  LotState,
  Package,
  Point,
  Source,
  StagedAddition,
  EndedTask,
  Stock,
  VesselState
} from './state'
export { emptyCellar } from './state'
export { malolacticOf, planOf, unusualIn, usualPlan } from './plan'
export type { LotPlan, Malolactic } from './plan'
export { WAY_STEPS } from './way-steps'
export type { WayStepCode } from './way-steps'
export { freeFor, molecularOf, reckonedAmount, reckonedBrix, reckonedFree, reckonedKit, reckonedPh } from './reckoned'
export { restatedBy } from './restate'
export { restatedValue } from './restated-value'
export type { RestatedFigure, RestatedReading, Restatement, RestedAddition } from './restate'
export { upcast, upcastEntry } from './upcast'
export type { RawCellar } from './upcast'
export {
  LOCKING_MOLECULAR,
  MOST_FREE_ASKED,
  cellarAt,
  keptAt,
  lotAt,
  malicSettledOf,
  molecularKept,
  rememberUpkeep,
  upkeepDay,
  upkeepOf,
  usedPh
} from './view'
export type { LotUpkeep, LotView, MalicSettled } from './view'
export { CELLAR_FORMAT, CELLAR_VERSION } from './format'
