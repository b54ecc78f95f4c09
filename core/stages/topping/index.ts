export { airOver, toppingStage } from './topping-stage'
export type { AirOver, ToppingSays } from './topping-stage'
