export { fermentStage } from './ferment-stage'
export type { FermentSays } from './ferment-stage'
