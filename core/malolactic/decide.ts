/** When the bacteria go in, craft 3.9. */
export const TIMINGS = ['with-yeast', 'on-skins', 'after-pressing'] as const
export type MalolacticTiming = (typeof TIMINGS)[number]

export interface DecisionAsked {
  style: 'red' | 'rose' | 'white'
  stream: 'fresh' | 'frozen' | 'juice' | 'kit' | 'test' | 'blend'
  ph?: number
  /** It is to stay sweet, or sorbate is to go in. */
  sweet: boolean
  sparkling: boolean
}

export interface Decision {
  advice: 'yes' | 'no' | 'either'
  because: readonly DecisionReason[]
}
export type DecisionReason =
  /** Acid-adjusted, often sulphited, and with sorbate in the box. */
  | 'kit'
  /** Sorbate and bacteria make geraniums; sugar and bacteria make vinegar. */
  | 'sweet'
  | 'red-usual'
  | 'white-fresh'
  /** It takes acid away that is wanting already. */
  | 'low-acid'
  /** There is acid to spare, but bacteria hardly begin. */
  | 'hard-to-start'
  /** Left in, it may begin in the bottle. */
  | 'sparkling'

/** Above this pH it takes acid that is wanting; below the other bacteria hardly begin. Common practice, no source. */
const LOW_ACID_PH = 3.6
const HARD_PH = 3.1

/**
 * Whether a wine is better with malolactic, and why: craft 3.9 and 5. The person's liking decides where both are good.
 * @example decideMalolactic({ style: 'red', stream: 'kit', sweet: false, sparkling: false }).advice // 'no'
 */
export function decideMalolactic({ style, stream, ph, sweet, sparkling }: DecisionAsked): Decision {
  if (stream === 'kit') return { advice: 'no', because: ['kit'] }
  if (sweet) return { advice: 'no', because: ['sweet'] }
  const hard = ph !== undefined && ph < HARD_PH ? (['hard-to-start'] as const) : []
  const flat = ph !== undefined && ph > LOW_ACID_PH
  if (style === 'red') return { advice: 'yes', because: ['red-usual', ...hard] }
  const bubbles = sparkling ? (['sparkling'] as const) : []
  if (flat) return { advice: 'no', because: ['low-acid', ...bubbles] }
  return { advice: sparkling ? 'either' : hard.length ? 'no' : 'either', because: ['white-fresh', ...hard, ...bubbles] }
}
