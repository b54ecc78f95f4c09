export { kitStage } from './kit-stage'
export type { KitSays } from './kit-stage'
