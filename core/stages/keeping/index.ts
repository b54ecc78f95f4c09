export { keepingStage } from './keeping-stage'
export type { KeepingSays } from './keeping-stage'
