export { PKA_CONVENTION, freeSo2For, molecularSo2, sulphurousPka } from './molecular'
export {
  BASE_WINE_MOLECULAR,
  LEAST_FREE,
  MOLECULAR_TARGET,
  PH_TOO_HIGH,
  SO2_SHARE,
  TOLD_WITHIN,
  TOTAL_LIMIT,
  TYPICAL_BOUND_SHARE,
  stockSolutionMl,
  sulphiteDose
} from './dose'
export type { SulphiteDose, SulphiteFinding, SulphiteRequest, SulphiteSalt } from './dose'
export { tabletsFor } from './tablets'
export type { Tablet, TabletDose } from './tablets'
export { sulphitePotency } from './potency'
export { IODINE_RED_BIAS, freeSo2FromTitration } from './free-so2-titration'
export type { FreeSo2Titration } from './free-so2-titration'
export { TYPICAL_DECAY_PER_DAY, learnSulphite } from './learn'
export type { DosePair, RestPair, SulphiteHabit } from './learn'
export { methodAdvice } from './methods'
export type { MethodAdvice, SulphiteNow, SulphiteMethod } from './methods'
export { FIRST_SO2, firstDose } from './first-dose'
export type { FirstDose, FruitHealth } from './first-dose'
export { freeSo2Ahead, sulphiteUpkeep } from './upkeep'
export type { FreeDose, FreeMix, FreeReading, SulphiteUpkeep, UpkeepAsked, UpkeepFinding } from './upkeep'
