import type { SittingCode, WayStepCode } from '~~/core/way'

/** A step of the way: to come, and done. */
export const STEP: Record<WayStepCode, { label: string, done: string }> = {
  'pitched': { label: 'Yeast goes in', done: 'Yeast in' },
  'dry': { label: 'Dry', done: 'Dry' },
  'pressed': { label: 'Press', done: 'Pressed' },
  'off-lees': { label: 'Off the gross lees', done: 'Off the gross lees' },
  'malolactic': { label: 'Malolactic ends', done: 'Malolactic finished' },
  'sulphited': { label: 'Sulphite', done: 'Sulphited' },
  'clear': { label: 'Clear', done: 'Clear' },
  'stable': { label: 'Stable', done: 'Stable' },
  'sweetened': { label: 'Sweeten', done: 'Sweetened' },
  'bottled': { label: 'Bottle', done: 'Bottled' },
  'laid-down': { label: 'Lay the bottles down', done: 'Laid down' },
  'tasted': { label: 'Open the first bottle', done: 'First bottle opened' }
}

/** What is done in one go. */
export const SITTING: Record<SittingCode, string> = {
  readings: 'Readings',
  sulphite: 'Sulphite',
  must: 'Must and ferment',
  racking: 'Racking and moving',
  malolactic: 'Malolactic',
  looks: 'Look, smell and log',
  tests: 'Heat and cold tests',
  bottling: 'Bottling',
  other: 'Other jobs'
}
