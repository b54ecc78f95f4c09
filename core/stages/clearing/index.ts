export { clearingStage } from './clearing-stage'
export type { ClearingSays } from './clearing-stage'
