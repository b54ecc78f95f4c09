export { airOver, toppingStage } from './topping-stage'
export type { ToppingSays } from './topping-stage'
