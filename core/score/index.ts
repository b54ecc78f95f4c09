export { fermentLooks, gravityForetold, ripeningForetold, sulphiteForetold, tally } from './score'
export type { Foretold, ForetoldFigure, GravityLook, Tally } from './score'
