export { finingStage } from './fining-stage'
export type { FiningSays } from './fining-stage'
