import type { QuantityName } from '../quantities'

/** What a thing is for. Supplies, forms and the quick line group by it. */
export const MATERIAL_KINDS = [
  'acid',
  'carbonate',
  'sulphite',
  'sugar',
  'water',
  'nutrient',
  'yeast',
  'bacteria',
  'enzyme',
  'fining',
  'tannin',
  'oak',
  'stabiliser',
  'closure',
  'bottle'
] as const
export type MaterialKind = (typeof MATERIAL_KINDS)[number]

/** What it does to the state of a lot; the fold reads nothing else. */
export type Effect =
  /** Of a juice or solution: g of the acid in a mL of it; it thins like water. */
  | { on: 'acids', acid: 'tartaric' | 'malic' | 'citric' | 'lactic', gPerMl?: number }
  | { on: 'acids', salt: 'potassium-bicarbonate' | 'potassium-carbonate' | 'calcium-carbonate' }
  /** g SO₂ in a gram. */
  | { on: 'sulphite', so2Share: number }
  /**
   * g of sugar as sucrose in a gram; the litres that a gram takes up when dissolved, its own water in it; its own acid, g as tartaric
   * in a gram.
   */
  | { on: 'sugar', sugarShare: number, litresPerG: number, acidShare?: number }
  | { on: 'volume' }
  /** mg of nitrogen that yeast can use, in a gram. */
  | { on: 'nitrogen', mgPerG: number }
  /** Nothing that is reckoned with: it stands in the ledger and takes part in cautions. */
  | { on: 'nothing' }

/** Where a figure is from. */
export type Origin = 'common practice' | 'stoichiometry' | 'regulation' | 'packet' | 'from memory'

export interface Dose {
  /** For each litre, in the card's unit. */
  min: number
  max: number
  source: Origin
}

/** What must not be in the lot together with it, or shortly before. */
export interface Avoids {
  with: MaterialKind | 'malolactic-done' | 'alcohol' | 'no-sulphite' | 'fermenting'
  /** Hours that must lie between; never together when left out. */
  hours?: number
}

export type Allergen = 'egg' | 'milk' | 'fish' | 'shellfish' | 'sulphites'
export type MaterialCaution = 'sulphite' | 'enzymes' | 'limits' | 'packet'

/** How a bottle is closed; wired holds pressure, crown some. */
export const CLOSURE_KINDS = ['cork', 'screw', 'crown', 'wired', 'swing'] as const
export type ClosureKind = (typeof CLOSURE_KINDS)[number]

/** Everything that Presk knows of one kind of thing that goes in or on. Made-up names of products have no place here. */
export interface MaterialCard {
  key: string
  kind: MaterialKind
  unit: 'g' | 'mL' | 'L' | 'pieces'
  effect: Effect
  /** Usual amount for a litre; none where another reading decides it alone. */
  dose?: Dose
  /** Most that may go into a lot altogether, g (mL, L) for a litre. */
  limit?: { perL: number, source: Origin }
  /** A level teaspoon, g: common practice, grain size moves it by a fifth. */
  spoonG?: number
  /** Strength of a stock solution where the scale is too coarse, g/L; none for what does not dissolve or does not keep. */
  stockGPerL?: number
  /** The reading it is measured out by. */
  measuredBy: QuantityName
  avoids: readonly Avoids[]
  allergen?: Allergen
  /** Of a bottle: what it holds, and what gauge pressure it may be taken for; 0 of one for still wine. */
  bottle?: { ml: number, ratedBar: number }
  /** Of a closure: as which of the usual ones it closes. */
  closes?: ClosureKind
  /** How long it stays in, days: oak. */
  steepDays?: number
  /** Days after which an opened package is doubted, common practice; and what part of its strength it loses in a year. */
  opened: { days: number, lossPerYear?: number }
  cautions: readonly MaterialCaution[]
  /** What people type for it on the quick line, in small letters. */
  aliases: readonly string[]
  /** What other parts of Presk and the calculations over HTTP call it. */
  alsoKnownAs?: string
  /** Of people's own cards: what it is called. Built-in cards are named in the app's wording. */
  name?: string
  /** Of yeasts and bacteria: what is known of the culture. */
  culture?: Culture
}

/** What matters of a yeast or of bacteria; what is not known stays open. */
export interface Culture {
  temperatureC?: { min: number, max: number }
  toleranceAbv?: number
  nitrogenNeed?: 'low' | 'medium' | 'high'
  sulphideRisk?: 'low' | 'medium' | 'high'
  malolactic?: 'friendly' | 'neutral' | 'hindering'
  styles?: readonly ('red' | 'rose' | 'white')[]
  /** Of bacteria. */
  minPh?: number
  maxTotalSo2MgPerL?: number
}
