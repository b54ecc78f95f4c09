export { dilute } from './dilute'
export { loseGiven, moveGiven } from './given'
export { mixInto } from './mix'
export { SOLUTES } from './solutes'
