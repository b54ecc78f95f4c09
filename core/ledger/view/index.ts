export { lotAt } from './lot-at'
export type { LotView } from './lot-at'
