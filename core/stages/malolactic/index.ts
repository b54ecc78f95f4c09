export { malolacticStage } from './malolactic-stage'
export type { MalolacticSays } from './malolactic-stage'
