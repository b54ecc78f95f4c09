export { faultStage } from './fault-stage'
export type { FaultSays } from './fault-stage'
