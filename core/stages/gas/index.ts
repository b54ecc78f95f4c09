export { gasStage } from './gas-stage'
export type { GasSays } from './gas-stage'
