import type { Judgement } from '~~/core/stages'
import type { Style } from '~~/core/ledger'
import { listed } from './listed'

const NAME = { brix: 'Sugar', ph: 'pH', ta: 'TA' } as const
const MEANS: Record<Judgement['quantity'], { low: string, high: string }> = {
  brix: {
    low: 'The wine will be light. Sugar can raise it, in stages.',
    high: 'This makes a strong wine, and is hard on the yeast. Check the yeast’s tolerance.'
  },
  ph: {
    low: 'Sharp; yeast and malolactic start slowly.',
    high: 'At risk of spoilage: it needs more sulphite and probably tartaric acid.'
  },
  ta: { low: 'It may taste flat. Look at the pH first, then taste.', high: 'It may taste hard. Malolactic and cold will lower it.' }
}
const STYLE_WORD: Record<Style, string> = { red: 'a red', rose: 'a rosé', white: 'a white' }

/** The usual window in figures, as finely as it is set. */
function sayWindow(j: Judgement): string {
  const decimals = j.quantity === 'ph' ? 1 : j.window.min % 1 === 0 && j.window.max % 1 === 0 ? 0 : 1
  return `${j.window.min.toFixed(decimals)} to ${j.window.max.toFixed(decimals)}`
}

/** All that is as it usually is, in one sentence. */
export function sayAsUsual(judged: readonly Judgement[], style: Style): { verdict: string, meaning: string } {
  const kit = judged.find((j) => j.kit)
  if (kit) return { verdict: KIT_IS.within, meaning: `It is made for ${sayWindow(kit)}.` }
  const names = listed(judged.map((j) => NAME[j.quantity]))
  const windows = judged.map((j) => `${NAME[j.quantity]} ${sayWindow(j)}`).join(', ')
  return {
    verdict: judged.length > 1 ? `${names} are in the usual range` : `${names} is in the usual range`,
    meaning: `For ${STYLE_WORD[style]}: ${windows}.`
  }
}

/** A first judgement in words: whether a figure is in range, and what that means. */
export function sayJudgement(j: Judgement, style: Style): { verdict: string, meaning: string } {
  const window = sayWindow(j)
  if (j.kit)
    return {
      verdict: KIT_IS[j.verdict],
      meaning: `This kit is made for ${window}.${j.verdict === 'low' ? ' You cannot take water out, but sugar brings it back up.' : ''}`
    }
  if (j.verdict === 'within')
    return { verdict: `${NAME[j.quantity]} is in the usual range`, meaning: `${window} for ${STYLE_WORD[style]}.` }
  return {
    verdict: `${NAME[j.quantity]} is ${j.verdict}`,
    meaning: `Usual for ${STYLE_WORD[style]}: ${window}. ${MEANS[j.quantity][j.verdict]}`
  }
}
const KIT_IS = { low: 'The kit has too much water', within: 'The kit is at its gravity',
  high: 'The kit can take more water' } as const
