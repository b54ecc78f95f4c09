import { type MaterialCard, type MaterialKey, type MaterialKind, MATERIALS, cardOf, materialKey } from '~~/core/materials'

/** What each built-in card is called; one that is missing does not compile. */
export const MATERIAL: Record<MaterialKey, string> = {
  'potassium-metabisulphite': 'potassium metabisulphite',
  'sodium-metabisulphite': 'sodium metabisulphite',
  'sulphite-stock': 'sulphite stock solution',
  tartaric: 'tartaric acid',
  malic: 'malic acid',
  citric: 'citric acid',
  lactic: 'lactic acid',
  'lemon-juice': 'lemon juice',
  'potassium-bicarbonate': 'potassium bicarbonate',
  'potassium-carbonate': 'potassium carbonate',
  'calcium-carbonate': 'calcium carbonate',
  water: 'water',
  sugar: 'sugar',
  dextrose: 'dextrose',
  honey: 'honey',
  concentrate: 'grape concentrate',
  'complex-nutrient': 'complex nutrient',
  'ammonium-phosphate': 'ammonium phosphate',
  'organic-nutrient': 'organic nutrient',
  'rehydration-nutrient': 'rehydration nutrient',
  yeast: 'yeast',
  bacteria: 'malolactic bacteria',
  'pectic-enzyme': 'pectic enzyme',
  bentonite: 'bentonite',
  'silica-sol': 'silica sol',
  gelatin: 'gelatin',
  chitosan: 'chitosan',
  isinglass: 'isinglass',
  casein: 'casein',
  'egg-white': 'egg white powder',
  charcoal: 'charcoal',
  tannin: 'tannin',
  'oak-dust': 'oak dust',
  oak: 'oak chips',
  'oak-cubes': 'oak cubes',
  'oak-staves': 'oak staves',
  'potassium-sorbate': 'potassium sorbate',
  glycerol: 'glycerol',
  'gum-arabic': 'gum arabic',
  cork: 'corks',
  'crown-cap': 'crown caps',
  'screw-cap': 'screw caps',
  'bottle-187': 'wine bottles, 187 mL',
  'bottle-375': 'wine bottles, 375 mL',
  'bottle-500': 'wine bottles, 500 mL',
  'bottle-750': 'wine bottles, 750 mL',
  'bottle-1000': 'wine bottles, 1000 mL',
  'bottle-1500': 'wine bottles, 1500 mL',
  'beer-bottle-330': 'beer or cider bottles, 330 mL',
  'beer-bottle-500': 'beer or cider bottles, 500 mL',
  'sparkling-bottle-375': 'sparkling wine bottles, 375 mL',
  'sparkling-bottle-750': 'sparkling wine bottles, 750 mL',
  'sparkling-bottle-1500': 'sparkling wine bottles, 1500 mL'
}

export const MATERIAL_KIND: Record<MaterialKind, string> = {
  acid: 'Acid',
  carbonate: 'Carbonate',
  sulphite: 'Sulphite',
  sugar: 'Sugar',
  water: 'Water',
  nutrient: 'Nutrient',
  yeast: 'Yeast',
  bacteria: 'Malolactic culture',
  enzyme: 'Enzyme',
  fining: 'Fining agent',
  tannin: 'Tannin',
  oak: 'Oak',
  stabiliser: 'Stabiliser',
  closure: 'Closure',
  bottle: 'Bottle'
}

/** The name of a material: one's own card's, the built-in one's, or its key where nobody has a card of it. */
export function materialName(key: string, own?: ReadonlyMap<string, MaterialCard>): string {
  const mine = own?.get(key)?.name
  return mine ?? (MATERIAL as Record<string, string | undefined>)[materialKey(key)] ?? key
}

/** A bottle by what it holds, and what it is made for where it is no still wine bottle. */
export function bottleLabel({ name, bottle }: MaterialCard): string {
  const { ml, ratedBar } = bottle ?? { ml: 750, ratedBar: 0 }
  if (name !== undefined) return `${ml} mL, ${name}`
  return ratedBar === 0 ? `${ml} mL` : `${ml} mL, ${ratedBar > 6 ? 'sparkling' : 'beer or cider'}`
}

/** The same as the first word of a line. */
export const materialTitle = (key: string, own?: ReadonlyMap<string, MaterialCard>): string =>
  materialName(key, own).replace(/^./, (c) => c.toUpperCase())

/** Sulphite names its salt wherever an amount is shown; what is no sulphite is told as it is. */
export const isSulphite = (key: string): boolean => (cardOf(key)?.kind ?? '') === 'sulphite' && key in MATERIALS
