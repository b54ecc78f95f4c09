export { leesStage } from './lees-stage'
export type { LeesSays } from './lees-stage'
