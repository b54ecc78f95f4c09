import type { MaterialCard } from './card'

/** SO₂ in one addition beyond which a slipped digit is likelier than a method, mg/L (craft 3.3 gives 30 to 60; common practice). */
const MOST_SO2_MG_PER_L = 150
/** So much beyond the most of a card is asked about. */
const SLACK = 1.5

/**
 * Whether an addition is so large that a digit has slipped: far beyond what a litre usually gets of it, or may.
 * @param amount in the card's unit
 * @param litres it goes into
 * @returns for a litre, and the most that is usual; undefined where nothing is odd or no card says
 */
export function overUsual(card: MaterialCard, amount: number, litres: number): { perL: number, most: number } | undefined {
  const most = card.effect.on === 'sulphite' ? MOST_SO2_MG_PER_L / 1000 / card.effect.so2Share : (card.limit?.perL ?? card.dose?.max)
  if (most === undefined || litres <= 0) return undefined
  const perL = amount / litres
  return perL > most * SLACK ? { perL, most } : undefined
}
