export { oakStage, steepOf } from './oak-stage'
export type { OakSays } from './oak-stage'
