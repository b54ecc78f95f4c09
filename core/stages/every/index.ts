export { everyStage, partBroken } from './every-stage'
export type { EverySays } from './every-stage'
export { limitsNear } from './limits'
export type { LimitNear } from './limits'
