export { reasonsForBlock } from './reasons'
export type { HarvestReason } from './reasons'
