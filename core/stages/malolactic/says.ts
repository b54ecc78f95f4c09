import type { ConditionFinding, CourseFinding, Limiting } from '../../malolactic'

/** What bacteria would spoil a wine by, or not live with. */
export type MalolacticObstacle = 'sorbate' | 'conditions' | 'vinegar'

export type MalolacticSays =
  /** With how well they can work, and what is worst. */
  | { code: 'start-malolactic', score?: number, limiting?: Limiting }
  /** `warmthUnknown`: nobody knows how warm it is. */
  | { code: 'follow-malolactic', weeksSince: number, nearly: boolean, warmthUnknown?: true, endInDays?: { low: number, high: number } }
  /** It will be stronger than most bacteria live in: while the ferment is young they could still begin, % vol. */
  | { code: 'malolactic-early', abv: number }
  /** Nobody came to it, or it would not live: whether it is still wanted. */
  | { code: 'malolactic-wanted', because: MalolacticObstacle | 'late', score?: number, limiting?: Limiting }
  /** Sugar is left that bacteria would make vinegar of. */
  /** So much sugar may be there by its gravity, or is there by a test, g/L; `inVain`: a restart took none of it. */
  | { code: 'sugar-before-bacteria', sugarHigh: number, tested?: number, inVain?: true, goesOn?: true }
  /** It never began, stalls, or has no end. */
  | { code: 'malolactic-stands', because: 'stalled' | 'not-begun' | 'long', weeksIn: number, malicGPerL?: number }
  /** It is over and nothing protects it: at the pH that it has now. */
  | { code: 'sulphite-after-malolactic', daysSince: number, ph?: number, phMeasured: boolean }
  | { code: 'malolactic-course', wrong: CourseFinding }
  /** Bacteria are in, or are to go in, and this stands in their way. */
  | { code: 'malolactic-held-up', by: ConditionFinding, score: number }
  /** What keeps it from beginning in the bottle, as far as it is there. */
  | { code: 'malolactic-blocked', free: boolean, racked: boolean, cold: boolean, filtered: boolean, wantedMgPerL: number }
