export { lotAt } from './lot-at'
export { keptAt } from './upkeep'
export type { LotUpkeep } from './upkeep'
export type { LotView } from './lot-at'
