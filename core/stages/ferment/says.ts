import type { Feed } from './feeding'
import type { WrongSays } from './wrong'

export type FermentSays =
  | { code: 'read-ferment', daysSince: number, expectedSg?: number }
  | { code: 'feed', part: 1 | 2, gifts: Feed['gifts'], hoursLeft: number }
  | { code: 'work-cap', hoursSince: number }
  /** What has no skins is stirred, so that its yeast does not sleep on the bottom. */
  | { code: 'stir-must', hoursSince: number }
  /** A part of the sugar that is fed in steps. */
  | { code: 'sugar-step', material: string, grams: number, part: number, of: number, atSg: number, ready: boolean }
  | { code: 'press', because: 'gravity' | 'days' | 'taste' | 'stopped' | 'too-long' }
  /** One dry reading is no proof. */
  | { code: 'confirm-dryness', hoursLeft: number }
  /** Nobody has looked for weeks: it is over one way or another. */
  | { code: 'left-alone', days: number }
  /** The yeast shows nothing; it stands where no gravity tells whether it is dry; it stands with sugar left. */
  | { code: 'not-begun', hours: number }
  | { code: 'tell-if-dry', sg: number, hours: number, sugarLow: number, sugarHigh: number }
  | { code: 'stuck', sg: number, hours: number, sugarLow: number, sugarHigh: number }
  | WrongSays
