export { blendedStage } from './blended-stage'
export type { BlendedSays } from './blended-stage'
