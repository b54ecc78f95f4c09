import type { WayStepCode } from '~~/core/ledger'
import type { SittingCode, WayStep } from '~~/core/way'
import { sayDayOf, sayFarDay, sayFarDayOf } from './days'

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

/** When a step comes: its window, or the day that it was put on. */
export function sayWindow({ earliest, latest, moved }: Pick<WayStep, 'earliest' | 'latest' | 'moved'>, now: string): string {
  if (moved) return `planned for ${sayFarDay(moved.day, now)}`
  const [from, to] = [sayFarDayOf(earliest, now), sayFarDayOf(latest, now)]
  return from === to ? from : `${from} to ${to}`
}

/** What an unlikely step still waits for, in a few words. */
export function sayTooEarly(code: WayStepCode, earliest: string): string {
  const why: Partial<Record<WayStepCode, string>> = {
    'dry': 'The ferment will still be running.',
    'pressed': 'There will still be sugar in it.',
    'off-lees': 'The lees will not have settled.',
    'malolactic': 'The bacteria need longer.',
    'sulphited': 'Sulphite would stop the bacteria.',
    'clear': 'It needs longer to settle.',
    'stable': 'It will still be too young for the tests.',
    'bottled': 'It will still be too young, or cloudy.',
    'laid-down': 'The corks need some days upright.',
    'tasted': 'It will not have recovered from the bottling.'
  }
  return `Too early: expected from ${sayDayOf(earliest)}. ${why[code] ?? ''}`.trim()
}
export function sayTooLate(code: WayStepCode, latest: string): string {
  const harm: Partial<Record<WayStepCode, string>> = {
    'pitched': 'Wild yeast and vinegar bacteria start first.',
    'pressed': 'The skins dry out on top, where vinegar starts, and tannin gets harsh.',
    'off-lees': 'Thick lees start to smell of rotten egg.',
    'malolactic': 'Until it ends the wine cannot be sulphited.',
    'sulphited': 'Without sulphite it browns and bacteria can spoil it.',
    'laid-down': 'Corks dry out upright.'
  }
  return `Late: best done by ${sayDayOf(latest)}. ${harm[code] ?? ''}`.trim()
}
