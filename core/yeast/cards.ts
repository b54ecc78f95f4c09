import { type MaterialCard, cardsOf } from '../materials'

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
  {
    key: 'neutral-tolerant',
    name: 'Neutral high-tolerance yeast',
    temperatureC: { min: 10, max: 32 },
    toleranceAbv: 17.5,
    nitrogenNeed: 'low',
    sulphideRisk: 'low',
    malolactic: 'neutral',
    styles: ['red', 'rose', 'white']
  },
  {
    key: 'structured-red',
    name: 'Structured red yeast',
    temperatureC: { min: 18, max: 30 },
    toleranceAbv: 15,
    nitrogenNeed: 'medium',
    sulphideRisk: 'medium',
    malolactic: 'friendly',
    styles: ['red']
  },
  {
    key: 'fruity-red',
    name: 'Fruity red and rosé yeast',
    temperatureC: { min: 15, max: 28 },
    toleranceAbv: 14.5,
    nitrogenNeed: 'medium',
    sulphideRisk: 'low',
    malolactic: 'friendly',
    styles: ['red', 'rose']
  },
  {
    key: 'big-red',
    name: 'High-sugar red yeast',
    temperatureC: { min: 18, max: 32 },
    toleranceAbv: 16.5,
    nitrogenNeed: 'high',
    sulphideRisk: 'low',
    malolactic: 'friendly',
    styles: ['red']
  },
  {
    key: 'cool-white',
    name: 'Cool aromatic white yeast',
    temperatureC: { min: 11, max: 20 },
    toleranceAbv: 14,
    nitrogenNeed: 'high',
    sulphideRisk: 'medium',
    malolactic: 'hindering',
    styles: ['white', 'rose']
  },
  {
    key: 'crisp-white',
    name: 'Crisp white yeast',
    temperatureC: { min: 13, max: 24 },
    toleranceAbv: 14.5,
    nitrogenNeed: 'low',
    sulphideRisk: 'low',
    malolactic: 'neutral',
    styles: ['white', 'rose']
  },
  {
    key: 'rustic',
    name: 'Rustic fast yeast',
    temperatureC: { min: 20, max: 34 },
    toleranceAbv: 14,
    nitrogenNeed: 'medium',
    sulphideRisk: 'high',
    malolactic: 'neutral',
    styles: ['red']
  }
]

export interface NutrientCard {
  key: string
  /** mg of usable nitrogen in a gram. */
  nitrogenMgPerG: number
  /** Most that may go in altogether, g/L. */
  limitGPerL: number
}

/** A nutrient as its card tells it; undefined for what brings no nitrogen. */
export function nutrientOf({ key, effect, limit }: MaterialCard): NutrientCard | undefined {
  return effect.on === 'nitrogen' ? { key, nitrogenMgPerG: effect.mgPerG, limitGPerL: limit?.perL ?? NO_LIMIT_SAID } : undefined
}
/** Where a packet names no limit, g/L: common practice, no source. */
const NO_LIMIT_SAID = 0.5

/** The built-in nutrients, in the order of the register: ammonium phosphate, complex, organic. */
export const NUTRIENTS: readonly NutrientCard[] = cardsOf(['nutrient']).flatMap((card) => nutrientOf(card) ?? [])

/** A yeast of one's own as the choice takes it: what its packet does not say is taken as middling. */
export function yeastOf({ key, name, culture = {} }: MaterialCard): YeastCard {
  return {
    key,
    name: name ?? key,
    temperatureC: culture.temperatureC ?? { min: 15, max: 28 },
    toleranceAbv: culture.toleranceAbv ?? 14,
    nitrogenNeed: culture.nitrogenNeed ?? 'medium',
    sulphideRisk: culture.sulphideRisk ?? 'medium',
    malolactic: culture.malolactic ?? 'neutral',
    styles: culture.styles ?? ['red', 'rose', 'white']
  }
}
