export { needsOfArrival, needsOfLot } from './needs'
export type { Need, NeedReason } from './needs'
export { RESERVE, supplyRows } from './rows'
export type { Share, SupplyFinding, SupplyRow } from './rows'
