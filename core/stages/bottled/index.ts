export { bottledStage, bottlesLeft, drinkWindowOf } from './bottled-stage'
export type { BottledSays } from './bottled-stage'
