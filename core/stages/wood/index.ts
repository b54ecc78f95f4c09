export { woodStage } from './wood-stage'
export type { WoodSays } from './wood-stage'
