export { freeNow, keepingStage } from './keeping-stage'
export type { KeepingSays } from './keeping-stage'
export { keptAt, upkeepOf } from './upkeep-of-lot'
export type { LotUpkeep } from './upkeep-of-lot'
