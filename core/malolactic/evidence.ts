/** How strongly a spot shows on the paper, against the standard beside it. */
export const SPOTS = ['none', 'faint', 'clear'] as const
export type Spot = (typeof SPOTS)[number]

export type MalolacticVerdict =
  /** ≤ 0.1 g/L by test, or on paper its spot gone and lactic strong. */
  | 'complete'
  /** ≤ 0.3 g/L: for what is kept cold and sulphited. */
  | 'nearly'
  | 'under-way'
  | 'not-begun'
  /** No malic and hardly any lactic: the paper, the drop or the solvent went wrong, or there was none to begin with. */
  | 'cannot-tell'

/**
 * What a paper chromatogram says. Its malic spot goes at about 0.1 to 0.2 g/L (common practice, no source): gone is no less than nearly,
 * and with a strong lactic spot it is taken as the proof (craft 3.9).
 * @example readPaper('none', 'clear') // 'complete'
 */
export function readPaper(malic: Spot, lactic: Spot): MalolacticVerdict {
  if (malic === 'none') return lactic === 'clear' ? 'complete' : lactic === 'faint' ? 'nearly' : 'cannot-tell'
  if (malic === 'faint') return lactic === 'none' ? 'not-begun' : lactic === 'clear' ? 'nearly' : 'under-way'
  return lactic === 'none' ? 'not-begun' : 'under-way'
}

/** Malic acid at or below which malolactic is over, and nearly over, g/L (craft 3.9, common practice). */
export const MALIC_END = { complete: 0.1, nearly: 0.3 } as const

/**
 * What a malic acid by an enzymatic test or a strip says.
 * @param malicGPerL as read
 * @param startGPerL what there was before the bacteria, where it is known
 */
export function readMalic(malicGPerL: number, startGPerL?: number): MalolacticVerdict {
  if (malicGPerL <= MALIC_END.complete) return 'complete'
  if (malicGPerL <= MALIC_END.nearly) return 'nearly'
  return startGPerL !== undefined && malicGPerL > 0.9 * startGPerL ? 'not-begun' : 'under-way'
}
