export { bandAt, straightLine } from './straight-line'
export type { StraightLine } from './straight-line'
export { LOOK_AHEAD_DAYS, PH_LIMIT, SAMPLE_NOISE, ripening } from './ripening'
export type { BerrySample, Crossing, RipeQuantity, Ripening, Trend } from './ripening'
