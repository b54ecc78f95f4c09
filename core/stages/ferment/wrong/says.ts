import type { FollowFinding } from '../../../fermentation'
import type { Finding, Urgency } from '../../../findings'
import type { Smell } from '../../../ledger'
import type { Phase } from '../gone'

export type WrongSays =
  /** Its readings look like a ferment that stops, and have not stood for two days yet. */
  | { code: 'may-be-stuck', sg: number, probability: number }
  | { code: 'slow', daysBehind: number }
  | { code: 'may-stop-sweet', probability: number }
  | { code: 'too-hot', celsius: number, max: number, deadly: boolean }
  | { code: 'too-cold', celsius: number, min: number }
  | { code: 'temperature-falls' | 'temperature-rises', from: number, to: number, roomC?: number }
  /** Cooled or warmed since it was read. */
  | { code: 'temperature-awaited', what: 'cool' | 'warm', celsius: number }
  | { code: 'over-tolerance', potentialAbv: number, toleranceAbv: number }
  | { code: 'under-fed', shortMgPerL: number }
  | { code: 'smells', smell: Exclude<Smell, 'clean' | 'bread' | 'fruit' | 'other'>, phase: Phase }
  | { code: 'brix-in-ferment', brix: number }
  | { code: 'reading-doubtful', sg: number, expectedSg: number }
  | { code: 'float-odd', wrong: readonly FollowFinding[] }
  | { code: 'temperature-doubtful', celsius: number }
  | { code: 'fits-no-ferment' }
  | { code: 'skins-long', days: number }
  | { code: 'little-room', vessel: string, neededL: number, over: boolean }
  /** Air helps early, and harms late. */
  | { code: 'air', phase: Exclude<Phase, 'middle'> }

export type Wrong = Finding<WrongSays>
/** As it is found; whose it is and where it leads is put on at the end. */
export type Found = WrongSays & Pick<Finding, 'logs'> & { key: string, urgency: Urgency, evidence?: readonly string[] }
