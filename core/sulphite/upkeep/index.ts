export { freeSo2Ahead, sulphiteUpkeep } from './upkeep'
export type { Band, SulphiteUpkeep, UpkeepAsked, UpkeepFinding } from './upkeep'
export type { FreeDose, FreeReading } from './follow'
