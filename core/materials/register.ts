import type { ClosureKind, MaterialCard } from './card'

type Given = Partial<MaterialCard> & Pick<MaterialCard, 'kind' | 'effect' | 'measuredBy'>

/** Opened packages of most powders are doubted after a year: common practice, no source. */
const USUAL = { unit: 'g', avoids: [], opened: { days: 365 }, cautions: [], aliases: [] } as const
const STOCK = { stockGPerL: 100 } as const
const PRACTICE = 'common practice' as const

const acid = (name: 'tartaric' | 'malic' | 'citric' | 'lactic', max: number, spoonG: number): Given => ({
  kind: 'acid',
  effect: { on: 'acids', acid: name },
  measuredBy: 'ph',
  spoonG,
  ...STOCK,
  aliases: [name],
  dose: { min: 0.5, max, source: PRACTICE },
  limit: { perL: max, source: PRACTICE },
  cautions: ['limits'],
  opened: { days: 3650 }
})
const carbonate = (salt: 'potassium-bicarbonate' | 'potassium-carbonate' | 'calcium-carbonate', max: number, aliases: string[]): Given => ({
  kind: 'carbonate',
  effect: { on: 'acids', salt },
  measuredBy: 'ph',
  aliases,
  dose: { min: 0.3, max, source: PRACTICE },
  limit: { perL: max, source: PRACTICE },
  cautions: ['limits'],
  opened: { days: 1825 }
})
/** Sulphur dioxide in a gram of the salt: 2 × 64.064 of its molar mass (stoichiometry, IUPAC weights). */
const salt = (molarMass: number, spoonG: number, aliases: string[]): Given => ({
  kind: 'sulphite',
  effect: { on: 'sulphite', so2Share: (2 * 64.064) / molarMass },
  measuredBy: 'ph',
  spoonG,
  ...STOCK,
  aliases,
  allergen: 'sulphites',
  avoids: [
    { with: 'enzyme', hours: 6 },
    { with: 'yeast', hours: 12 }
  ],
  cautions: ['sulphite', 'limits'],
  opened: { days: 365, lossPerYear: 0.1 }
})
const nutrient = (mgPerG: number, perL: number, source: 'regulation' | 'common practice', more: Partial<MaterialCard> = {}): Given => ({
  kind: 'nutrient',
  effect: { on: 'nitrogen', mgPerG },
  measuredBy: 'sg',
  dose: { min: 0.1, max: perL / 2, source: PRACTICE },
  limit: { perL, source },
  cautions: ['packet'],
  ...more
})
/** Of wood: it steeps and is taken out; dust goes with the lees. */
const oak = (min: number, max: number, alias: string, more: Partial<MaterialCard> = {}): Given => ({
  kind: 'oak',
  effect: { on: 'nothing' },
  measuredBy: 'volume',
  aliases: [alias],
  dose: { min, max, source: PRACTICE },
  cautions: ['packet'],
  opened: { days: 730 },
  ...more
})
/** What is counted, and goes round the wine and not into it. */
const PIECES = { unit: 'pieces', effect: { on: 'nothing' }, measuredBy: 'volume' } as const
const closure = (closes: ClosureKind, aliases: string[], days: number): Given =>
  ({ kind: 'closure', ...PIECES, closes, aliases, opened: { days } })
/**
 * Bottles and what they may be taken for: sparkling wine bottles are tested to about 16 bar and beer bottles to about 12 when new (from
 * memory), and neither is filled to that. What the maker says comes first, on a card of one's own.
 */
const bottle = (ml: number, ratedBar = 0): Given => ({
  kind: 'bottle',
  ...PIECES,
  bottle: { ml, ratedBar },
  opened: { days: 36_500 }
})
const fining = (min: number, max: number, more: Partial<MaterialCard> = {}): Given => ({
  kind: 'fining',
  effect: { on: 'nothing' },
  measuredBy: 'volume',
  dose: { min, max, source: PRACTICE },
  cautions: ['packet'],
  avoids: [{ with: 'fermenting' }],
  ...more
})

/**
 * One card for each thing, and the only list of them: fold, restatement, quick line, finder, weighing, supplies, forms and words
 * read it. To add one: a line here, and its name in `app/wording/materials.ts`. Sources: `docs/sources.md`, "Materials".
 */
const CARDS = {
  'potassium-metabisulphite': salt(222.32, 5.6, ['kms', 'k-meta', 'sulphite', 'sulfite', 'metabisulphite', 'metabisulfite', 'meta']),
  'sodium-metabisulphite': salt(190.1, 6, ['na-meta', 'sodium-meta']),
  'sulphite-stock': {
    kind: 'sulphite',
    unit: 'mL',
    effect: { on: 'sulphite', so2Share: 0 },
    measuredBy: 'ph',
    allergen: 'sulphites',
    cautions: ['sulphite', 'limits'],
    avoids: [
      { with: 'enzyme', hours: 6 },
      { with: 'yeast', hours: 12 }
    ],
    opened: { days: 30, lossPerYear: 0.93 },
    aliases: []
  },
  tartaric: acid('tartaric', 4, 4.7),
  malic: acid('malic', 2, 4.3),
  citric: acid('citric', 0.5, 4.6),
  lactic: acid('lactic', 2, 5.9),
  // Citric acid 48 g/L in fresh lemon juice: Penniston et al., Journal of Endourology 22 (2008), from memory.
  'lemon-juice': {
    kind: 'acid',
    unit: 'mL',
    effect: { on: 'acids', acid: 'citric', gPerMl: 0.048 },
    measuredBy: 'ph',
    // Of juice: a spoon of it is 5 mL.
    spoonG: 5,
    aliases: ['lemon', 'lemons'],
    dose: { min: 3, max: 10, source: PRACTICE },
    limit: { perL: 10, source: PRACTICE },
    cautions: ['limits'],
    opened: { days: 3 }
  },
  'potassium-bicarbonate': { ...carbonate('potassium-bicarbonate', 2, ['bicarbonate', 'bicarb']), spoonG: 4.6, ...STOCK },
  'potassium-carbonate': { ...carbonate('potassium-carbonate', 1.4, ['potash']), ...STOCK },
  'calcium-carbonate': carbonate('calcium-carbonate', 1.5, ['chalk']),
  water: {
    kind: 'water',
    unit: 'L',
    effect: { on: 'volume' },
    measuredBy: 'sg',
    aliases: ['water'],
    limit: { perL: 0.15, source: PRACTICE },
    cautions: ['limits']
  },
  sugar: {
    kind: 'sugar',
    effect: { on: 'sugar', sugarShare: 1, litresPerG: 0.00062 },
    measuredBy: 'sg',
    spoonG: 4.2,
    aliases: ['sugar'],
    alsoKnownAs: 'sucrose',
    limit: { perL: 60, source: PRACTICE },
    cautions: ['limits'],
    opened: { days: 3650 }
  },
  dextrose: {
    kind: 'sugar',
    effect: { on: 'sugar', sugarShare: 0.909, litresPerG: 0.00063 },
    measuredBy: 'sg',
    aliases: ['dextrose'],
    cautions: ['limits'],
    opened: { days: 1825 }
  },
  honey: {
    kind: 'sugar',
    effect: { on: 'sugar', sugarShare: 0.8, litresPerG: 0.0007, acidShare: 0.003 },
    measuredBy: 'sg',
    aliases: ['honey'],
    cautions: ['limits'],
    opened: { days: 1825 }
  },
  concentrate: {
    kind: 'sugar',
    effect: { on: 'sugar', sugarShare: 0.68, litresPerG: 0.00075, acidShare: 0.012 },
    measuredBy: 'sg',
    aliases: ['concentrate'],
    cautions: ['limits'],
    opened: { days: 60 }
  },
  'ammonium-phosphate': nutrient((28.014 / 132.06) * 1000, 1, 'regulation', { spoonG: 4.8, ...STOCK, aliases: ['dap', 'ammonium'] }),
  'complex-nutrient': nutrient(100, 0.9, PRACTICE, { spoonG: 4.2, aliases: ['nutrient', 'complex'] }),
  'organic-nutrient': nutrient(40, 0.8, PRACTICE, { aliases: ['organic'] }),
  'rehydration-nutrient': {
    kind: 'nutrient',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    spoonG: 4.2,
    aliases: ['rehydration'],
    cautions: ['packet'],
    dose: { min: 0.25, max: 0.375, source: PRACTICE }
  },
  yeast: {
    kind: 'yeast',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    aliases: ['yeast'],
    dose: { min: 0.2, max: 0.3, source: PRACTICE },
    cautions: ['packet'],
    opened: { days: 180 }
  },
  bacteria: {
    kind: 'bacteria',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    aliases: ['bacteria', 'malolactic'],
    avoids: [{ with: 'sulphite' }],
    cautions: ['packet'],
    dose: { min: 0.01, max: 0.05, source: 'packet' },
    opened: { days: 1 }
  },
  'pectic-enzyme': {
    kind: 'enzyme',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    aliases: ['enzyme'],
    dose: { min: 0.02, max: 0.04, source: PRACTICE },
    avoids: [{ with: 'sulphite', hours: 6 }, { with: 'fining' }, { with: 'alcohol' }],
    cautions: ['enzymes', 'packet']
  },
  bentonite: fining(0.25, 1, { aliases: ['bentonite'], avoids: [{ with: 'enzyme' }], opened: { days: 1825 } }),
  'silica-sol': fining(0.25, 0.5, { unit: 'mL', aliases: ['silica'] }),
  gelatin: fining(0.02, 0.15, { aliases: ['gelatin', 'gelatine'] }),
  chitosan: fining(0.05, 0.5, { aliases: ['chitosan'], allergen: 'shellfish' }),
  isinglass: fining(0.01, 0.03, { aliases: ['isinglass'], allergen: 'fish' }),
  casein: fining(0.1, 0.5, { aliases: ['casein'], allergen: 'milk' }),
  'egg-white': fining(0.03, 0.1, { aliases: ['egg', 'albumin'], allergen: 'egg' }),
  charcoal: fining(0.05, 0.5, { aliases: ['charcoal'] }),
  tannin: {
    kind: 'tannin',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    aliases: ['tannin'],
    dose: { min: 0.05, max: 0.3, source: PRACTICE },
    // It binds what the enzyme is made of.
    avoids: [{ with: 'enzyme', hours: 8 }],
    cautions: ['packet']
  },
  'oak-dust': oak(1, 3, 'dust', { aliases: ['dust', 'oakdust'] }),
  oak: oak(1, 4, 'oak', { steepDays: 28 }),
  'oak-cubes': oak(2, 5, 'cubes', { steepDays: 60 }),
  'oak-staves': oak(2, 8, 'staves', { steepDays: 90 }),
  'potassium-sorbate': {
    kind: 'stabiliser',
    effect: { on: 'nothing' },
    measuredBy: 'abv',
    aliases: ['sorbate'],
    dose: { min: 0.13, max: 0.27, source: 'regulation' },
    limit: { perL: 0.268, source: 'regulation' },
    avoids: [{ with: 'malolactic-done' }, { with: 'no-sulphite' }, { with: 'fermenting' }],
    cautions: ['limits', 'packet']
  },
  glycerol: {
    kind: 'stabiliser',
    unit: 'mL',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    aliases: ['glycerol', 'glycerine'],
    dose: { min: 1.5, max: 4, source: PRACTICE },
    cautions: ['packet']
  },
  'gum-arabic': {
    kind: 'stabiliser',
    effect: { on: 'nothing' },
    measuredBy: 'volume',
    aliases: ['gum'],
    dose: { min: 0.1, max: 0.3, source: PRACTICE },
    cautions: ['packet']
  },
  cork: closure('cork', ['cork', 'corks'], 180),
  'crown-cap': closure('crown', ['crown'], 3650),
  'screw-cap': closure('screw', ['screw'], 3650),
  'bottle-187': bottle(187),
  'bottle-375': bottle(375),
  'bottle-500': bottle(500),
  'bottle-750': bottle(750),
  'bottle-1000': bottle(1000),
  'bottle-1500': bottle(1500),
  'beer-bottle-330': bottle(330, 4),
  'beer-bottle-500': bottle(500, 4),
  'sparkling-bottle-375': bottle(375, 12),
  'sparkling-bottle-750': bottle(750, 12),
  'sparkling-bottle-1500': bottle(1500, 12)
} satisfies Record<string, Given>

export type MaterialKey = keyof typeof CARDS

const whole = (key: string, given: Given): MaterialCard => ({ key, ...USUAL, ...given })

/** Every built-in card by its key. */
export const MATERIALS: Readonly<Record<MaterialKey, MaterialCard>> = Object.fromEntries(
  Object.entries(CARDS).map(([key, given]) => [key, whole(key, given)])
) as unknown as Record<MaterialKey, MaterialCard>
export const MATERIAL_KEYS = Object.keys(CARDS) as MaterialKey[]
