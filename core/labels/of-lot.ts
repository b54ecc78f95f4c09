import { DAY_MS } from '../units'
import { abvFromSugar } from '../finishing'
import type { LotView } from '../ledger'
import { type Allergen, type OwnCards, cardOf } from '../materials'
import { mousseOf } from '../stages'

/** Above this much SO₂ a wine contains sulphites, mg/L: Regulation (EU) 1169/2011, annex II, and the same in the US. */
const CONTAINS_SULPHITES = 10
const ORDER: readonly Allergen[] = ['sulphites', 'egg', 'milk', 'fish', 'shellfish']

/**
 * Alcohol as it stands on a label: in whole or half units, Regulation (EU) 2019/33, article 44.
 * @returns the half, and whether the band of what is known keeps within the half per cent that is tolerated there
 */
export function alcoholOnLabel(abv: { value: number, uncertainty: number }): { percent: number, sure: boolean } {
  const percent = Math.round(abv.value * 2) / 2
  return { percent, sure: Math.abs(abv.value - percent) + abv.uncertainty <= 0.5 + 1e-9 }
}

/**
 * Alcohol of what is in the bottle. A second ferment in it makes more than the wine had when it was filled.
 * @returns undefined where nobody knows the alcohol of the wine
 */
export function abvInBottle(lot: LotView): { value: number, uncertainty: number } | undefined {
  const sugar = lot.others.sugar
  if (!lot.abv || !sugar || !mousseOf(lot)) return lot.abv
  const more = (gPerL: number) => abvFromSugar(Math.max(0, gPerL))
  return { value: lot.abv.value + more(sugar.value), uncertainty: lot.abv.uncertainty + more(sugar.uncertainty) }
}

/**
 * What is named on a label of what went into a wine, however it came in. A wine of which nobody knows that it is below the limit
 * contains sulphites: yeast makes some by itself.
 */
export function allergensOf(lot: Pick<LotView, 'added' | 'totalSo2'>, cards?: OwnCards): Allergen[] {
  const found = new Set<Allergen>()
  for (const material of lot.added.keys()) {
    const allergen = cardOf(material, cards)?.allergen
    if (allergen) found.add(allergen)
  }
  const total = lot.totalSo2
  if (!total || total.origin !== 'measured' || total.value > CONTAINS_SULPHITES) found.add('sulphites')
  return ORDER.filter((a) => found.has(a))
}

/**
 * A lot's number for its label: the year and the day of the year it was bottled on, and its name's first letters.
 * @param on the calendar day, yyyy-mm-dd
 * @example lotCode('Albariño', '2026-03-26') // 'L26085-ALB'
 */
export function lotCode(name: string, on: string): string {
  const day = new Date(`${on}T00:00:00Z`)
  const ofYear = Math.round((day.getTime() - Date.UTC(day.getUTCFullYear(), 0, 1)) / DAY_MS) + 1
  const letters = name
    .normalize('NFD')
    .replace(/[^\p{L}\p{N}]/gu, '')
    .slice(0, 3)
    .toUpperCase()
  return `L${String(day.getUTCFullYear() % 100).padStart(2, '0')}${String(ofYear).padStart(3, '0')}${letters && `-${letters}`}`
}
