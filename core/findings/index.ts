export { URGENCIES, byUrgency } from './finding'
export type { Action, Finding, Urgency } from './finding'
export { isEnded } from './ended'
