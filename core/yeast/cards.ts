export type Need = 'low' | 'medium' | 'high'

/** What matters of a yeast. People add cards of their own; the packet wins over any card. */
export interface YeastCard {
  key: string
  name: string
  temperatureC: { min: number, max: number }
  toleranceAbv: number
  nitrogenNeed: Need
  sulphideRisk: Need
  /** Whether malolactic bacteria get on with it. */
  malolactic: 'friendly' | 'neutral' | 'hindering'
  styles: readonly ('red' | 'rose' | 'white')[]
}

/** Generic yeasts, by the kind of thing they are sold for: common practice, no source. */
export const YEASTS: readonly YeastCard[] = [
  { key: 'neutral-tolerant', name: 'Neutral high-tolerance yeast', temperatureC: { min: 10, max: 32 }, toleranceAbv: 17.5, nitrogenNeed: 'low', sulphideRisk: 'low', malolactic: 'neutral', styles: ['red', 'rose', 'white'] },
  { key: 'structured-red', name: 'Structured red yeast', temperatureC: { min: 18, max: 30 }, toleranceAbv: 15, nitrogenNeed: 'medium', sulphideRisk: 'medium', malolactic: 'friendly', styles: ['red'] },
  { key: 'fruity-red', name: 'Fruity red and rosé yeast', temperatureC: { min: 15, max: 28 }, toleranceAbv: 14.5, nitrogenNeed: 'medium', sulphideRisk: 'low', malolactic: 'friendly', styles: ['red', 'rose'] },
  { key: 'big-red', name: 'High-sugar red yeast', temperatureC: { min: 18, max: 32 }, toleranceAbv: 16.5, nitrogenNeed: 'high', sulphideRisk: 'low', malolactic: 'friendly', styles: ['red'] },
  { key: 'cool-white', name: 'Cool aromatic white yeast', temperatureC: { min: 11, max: 20 }, toleranceAbv: 14, nitrogenNeed: 'high', sulphideRisk: 'medium', malolactic: 'hindering', styles: ['white', 'rose'] },
  { key: 'crisp-white', name: 'Crisp white yeast', temperatureC: { min: 13, max: 24 }, toleranceAbv: 14.5, nitrogenNeed: 'low', sulphideRisk: 'low', malolactic: 'neutral', styles: ['white', 'rose'] },
  { key: 'rustic', name: 'Rustic fast yeast', temperatureC: { min: 20, max: 34 }, toleranceAbv: 14, nitrogenNeed: 'medium', sulphideRisk: 'high', malolactic: 'neutral', styles: ['red'] }
]

export interface NutrientCard {
  key: string
  name: string
  /** mg of usable nitrogen in a gram. */
  nitrogenMgPerG: number
  /** Most that may go in altogether, g/L. */
  limitGPerL: number
}

/**
 * Ammonium phosphate by stoichiometry, (NH₄)₂HPO₄: 28.01/132.06 = 21.2 %; limit 1 g/L, Regulation (EU) 2019/934 (from memory).
 * The others by label: common practice, no source.
 */
export const NUTRIENTS: readonly NutrientCard[] = [
  { key: 'ammonium-phosphate', name: 'Ammonium phosphate', nitrogenMgPerG: 28.014 / 132.06 * 1000, limitGPerL: 1 },
  { key: 'complex-nutrient', name: 'Complex nutrient', nitrogenMgPerG: 100, limitGPerL: 0.9 },
  { key: 'organic-nutrient', name: 'Organic nutrient', nitrogenMgPerG: 40, limitGPerL: 0.8 }
]
