export { malolacticEarlyStage, malolacticStage } from './malolactic-stage'
export type { MalolacticSays } from './says'
export { conditionsOf, malolacticCourseOf, malolacticEndedAt } from './of-lot'
export type { LotConditions, LotCourse } from './of-lot'
