export { mousseOf, mousseStage } from './mousse-stage'
export type { MousseSays } from './mousse-stage'
