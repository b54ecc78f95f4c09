export { freeSo2Ahead, sulphiteUpkeep } from './upkeep'
export type { SulphiteUpkeep, UpkeepAsked, UpkeepFinding } from './upkeep'
export type { FreeDose, FreeMix, FreeReading } from './follow'
