export { answerDrafts } from './answer'
export { SULPHITE_AIMS, URGENCIES, WAYS_OUT, byUrgency } from './finding'
export type { Action, Amount, Finding, SulphiteAim, Urgency, WayOut, WayOutCode } from './finding'
export { isEnded } from './ended'
