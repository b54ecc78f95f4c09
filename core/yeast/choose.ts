import { within } from '../units'
import { YEASTS, type YeastCard } from './cards'

export interface YeastWish {
  style: 'red' | 'rose' | 'white'
  potentialAbv: number
  /** Coolest and warmest the ferment will be, °C. */
  temperatureC: { min: number, max: number }
  /** mg/L, when measured. */
  yanMgPerL?: number
  malolacticWanted?: boolean
}

export type YeastReason =
  | { code: 'stops-sweet', potentialAbv: number, toleranceAbv: number }
  | { code: 'near-tolerance', potentialAbv: number, toleranceAbv: number }
  | { code: 'too-cold', coldestC: number, minC: number }
  | { code: 'too-warm', warmestC: number, maxC: number }
  | { code: 'wants-more-nitrogen', need: YeastCard['nitrogenNeed'] }
  | { code: 'sulphide-risk' }
  | { code: 'hinders-malolactic' }
  | { code: 'suits-malolactic' }
  | { code: 'not-of-this-style' }
  | { code: 'fits' }

export interface YeastChoice {
  card: YeastCard
  score: number
  fit: 'good' | 'possible' | 'unsuited'
  reasons: YeastReason[]
}

/** Below this a high need is hard to feed, mg N/L: common practice, no source. */
const LOW_YAN = 150

/**
 * Yeasts ranked for a must, each with its reasons. A potential alcohol above the tolerance rules a yeast out: the wine would
 * stop sweet. Points are a convention of ours; the reasons are what counts.
 * @param wish potential alcohol 5 to 20 % vol, temperatures 5 to 40 °C
 * @param cards generic yeasts and the person's own
 * @returns best first
 * @throws LimitError
 */
export function chooseYeast(wish: YeastWish, cards: readonly YeastCard[] = YEASTS): YeastChoice[] {
  within('potentialAbv', wish.potentialAbv, 5, 20)
  within('temperatureC.min', wish.temperatureC.min, 5, 40)
  within('temperatureC.max', wish.temperatureC.max, wish.temperatureC.min, 40)
  return cards.map((card) => judge(card, wish)).sort((a, b) => b.score - a.score || (a.card.key < b.card.key ? -1 : 1))
}

function judge(card: YeastCard, wish: YeastWish): YeastChoice {
  const reasons: YeastReason[] = []
  let score = 100
  const minus = (points: number, reason: YeastReason) => {
    score -= points
    reasons.push(reason)
  }
  const { potentialAbv, temperatureC: t } = wish
  if (potentialAbv > card.toleranceAbv) minus(100, { code: 'stops-sweet', potentialAbv, toleranceAbv: card.toleranceAbv })
  else if (potentialAbv > card.toleranceAbv - 0.5) minus(25, { code: 'near-tolerance', potentialAbv, toleranceAbv: card.toleranceAbv })
  if (t.min < card.temperatureC.min)
    minus(15 + 6 * (card.temperatureC.min - t.min), { code: 'too-cold', coldestC: t.min, minC: card.temperatureC.min })
  if (t.max > card.temperatureC.max)
    minus(15 + 6 * (t.max - card.temperatureC.max), { code: 'too-warm', warmestC: t.max, maxC: card.temperatureC.max })
  if (card.nitrogenNeed === 'high' && (wish.yanMgPerL === undefined || wish.yanMgPerL < LOW_YAN))
    minus(10, { code: 'wants-more-nitrogen', need: card.nitrogenNeed })
  if (card.sulphideRisk === 'high') minus(15, { code: 'sulphide-risk' })
  if (wish.malolacticWanted && card.malolactic === 'hindering') minus(25, { code: 'hinders-malolactic' })
  if (wish.malolacticWanted && card.malolactic === 'friendly') minus(-5, { code: 'suits-malolactic' })
  if (!card.styles.includes(wish.style)) minus(30, { code: 'not-of-this-style' })
  if (reasons.length === 0) reasons.push({ code: 'fits' })
  return { card, score, fit: potentialAbv > card.toleranceAbv || score < 40 ? 'unsuited' : score < 80 ? 'possible' : 'good', reasons }
}
