export { oakStage } from './oak-stage'
export type { OakSays } from './oak-stage'
