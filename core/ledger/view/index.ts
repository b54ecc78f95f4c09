export { lotAt } from './lot-at'
export { keptAt, upkeepOf } from './upkeep'
export type { LotUpkeep } from './upkeep'
export type { LotView } from './lot-at'
