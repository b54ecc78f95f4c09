export { BOTTLING_RESERVE, CONDITIONS } from './conditions'
export type { Condition, ConditionCode } from './conditions'
export { GATES, HARD, gateTask, readinessOf } from './readiness'
export type { Gate, Readiness } from './readiness'
