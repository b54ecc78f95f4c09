import { ACIDS, POTASSIUM_MOLAR_MASS } from './constants'

export type WineStyle = 'red' | 'rose' | 'white'
/** Where malolactic stands, when somebody knows. */
export type MalolacticKnown = 'before' | 'under-way' | 'after'

/** What the fit looks for: nine acids and the strong ions; sulphurous and carbonic acid are given. */
export const UNKNOWN_ACIDS = ['tartaric', 'malic', 'lactic', 'citric', 'succinic', 'acetic', 'phosphoric', 'gluconic', 'amino'] as const
export type UnknownAcid = (typeof UNKNOWN_ACIDS)[number]
/** The place of the strong ions behind the acids. */
export const STRONG = UNKNOWN_ACIDS.length

/** A usual content with its spread (one standard deviation), g/L. */
type Spread = readonly [mean: number, sd: number]
type Contents = Record<UnknownAcid | 'potassium', Spread>

/**
 * Contents of sound must and of dry wine, before, during and after malolactic, g/L: from memory after the ranges of
 * Ribéreau-Gayon et al., Handbook of Enology 2, chapters 1 and 4, and Boulton et al., Principles and Practices of Winemaking.
 * Their spreads are half as wide again as one book's, so that fruit of six regions is held (`npm run bench -- acids`).
 * Malic acid here is the must's at 23 °Brix; `MALIC_PER_BRIX` moves it. Gluconic stands for all sugar acids of sound fruit.
 */
export const USUAL_MUST: Contents = {
  tartaric: [5.6, 1.3],
  malic: [2.9, 1.25],
  lactic: [0.02, 0.02],
  citric: [0.25, 0.1],
  succinic: [0.02, 0.02],
  acetic: [0.05, 0.03],
  phosphoric: [0.4, 0.15],
  gluconic: [0.4, 0.25],
  amino: [2, 0.7],
  potassium: [1.7, 0.46]
}
export const USUAL_WINE: Record<MalolacticKnown, Contents> = {
  before: {
    tartaric: [2.7, 0.82],
    malic: [2.4, 1.3],
    lactic: [0.3, 0.12],
    citric: [0.25, 0.12],
    succinic: [0.95, 0.3],
    acetic: [0.4, 0.13],
    phosphoric: [0.3, 0.12],
    gluconic: [0.45, 0.3],
    amino: [1.2, 0.5],
    potassium: [0.95, 0.25]
  },
  'under-way': {
    tartaric: [2.7, 0.82],
    malic: [1.1, 0.6],
    lactic: [1.2, 0.5],
    citric: [0.2, 0.12],
    succinic: [0.95, 0.3],
    acetic: [0.45, 0.14],
    phosphoric: [0.3, 0.12],
    gluconic: [0.45, 0.3],
    amino: [1.2, 0.5],
    potassium: [1.0, 0.25]
  },
  after: {
    tartaric: [2.4, 0.75],
    malic: [0.1, 0.12],
    lactic: [1.9, 0.65],
    citric: [0.1, 0.1],
    succinic: [0.95, 0.3],
    acetic: [0.5, 0.15],
    phosphoric: [0.3, 0.12],
    gluconic: [0.45, 0.3],
    amino: [1.2, 0.5],
    potassium: [1.05, 0.25]
  }
}

/** Ripening burns malic acid and brings potassium: g/L for each °Brix, from memory. */
const MALIC_PER_BRIX = -0.25
const POTASSIUM_PER_BRIX = 0.03
/** Of a ripe must, °Brix: middles of the windows that handbooks name (craft 3.5), common practice. */
export const USUAL_BRIX: Record<WineStyle | 'unknown', number> = { red: 24, rose: 22, white: 21.5, unknown: 23 }
/** Further spread of malic acid where ripeness is not known, g/L. */
const UNRIPE_OR_RIPE = 0.5
/** Skins bring potassium, g/L. */
const SKINS: Record<WineStyle | 'unknown', number> = { red: 0.15, rose: 0, white: -0.1, unknown: 0 }

/** Ammonium, arginine, magnesium, calcium and sodium less chloride and sulphate, mol of charge per litre: from memory. */
const OTHER_IONS: { must: Spread, wine: Spread } = { must: [0.012, 0.004], wine: [0.005, 0.003] }
/** Thin and thick fruit: all contents of one must or wine rise and fall together by this part. */
export const COMMON_SPREAD = 0.1
/** % vol at which a must counts as wine; between the two everything passes over smoothly. */
const WINE_FROM_ABV = 10

/** How often a finished wine whose malolactic nobody noted is before, in or after it: from memory. */
const MALOLACTIC_ODDS: Record<WineStyle | 'unknown', Record<MalolacticKnown, number>> = {
  red: { before: 0.3, 'under-way': 0.1, after: 0.6 },
  rose: { before: 0.75, 'under-way': 0.05, after: 0.2 },
  white: { before: 0.75, 'under-way': 0.05, after: 0.2 },
  unknown: { before: 0.5, 'under-way': 0.1, after: 0.4 }
}

/** One kind of composition that a reading may belong to: contents in mol/L (strong ions in mol of charge), how likely it is. */
export interface Usual {
  malolactic: MalolacticKnown
  weight: number
  mean: Float64Array
  sd: Float64Array
}

export interface Circumstances {
  /** % vol, 0 for must. */
  abv: number
  style?: WineStyle
  /** °Brix of the fruit, before water or sugar. */
  brix?: number
  malolactic?: MalolacticKnown
}

/**
 * What a must or wine usually holds, given what is known of it: up to three kinds, before, in and after malolactic. All runs
 * smoothly with alcohol and ripeness, so that no figure jumps when a must becomes a wine.
 * @returns kinds with their weights (together 1)
 */
export function usualContents(of: Circumstances): readonly Usual[] {
  const { abv, style, brix, malolactic } = of
  // A band asks some hundred times for the same wine.
  const was = last?.of
  if (was && was.abv === abv && was.style === style && was.brix === brix && was.malolactic === malolactic) return last!.usual
  const share = fermentedShare(abv)
  const known = style ?? 'unknown'
  const ripeness = Math.min(32, Math.max(14, brix ?? USUAL_BRIX[known])) - 23
  const odds = (kind: MalolacticKnown): number => {
    if (malolactic) return kind === malolactic ? 1 : 0
    const usual = MALOLACTIC_ODDS[known][kind] * share
    return kind === 'before' ? 1 - (MALOLACTIC_ODDS[known]['under-way'] + MALOLACTIC_ODDS[known].after) * share : usual
  }
  const usual: Usual[] = []
  for (const kind of ['before', 'under-way', 'after'] as const) {
    const weight = odds(kind)
    if (weight > 0) usual.push({ malolactic: kind, weight, ...contents(kind, share, ripeness, brix === undefined, known) })
  }
  last = { of, usual }
  return usual
}
let last: { of: Circumstances, usual: readonly Usual[] } | undefined

/** 0 for must, 1 for wine, smooth between. */
function fermentedShare(abv: number): number {
  const x = Math.min(1, Math.max(0, abv / WINE_FROM_ABV))
  return x * x * (3 - 2 * x)
}

/** A table laid out for reckoning: the acids in mol/L in their order, behind them potassium in mol/L. */
interface Laid { mean: Float64Array, sd: Float64Array }
const laidOut = (table: Contents): Laid => {
  const of = (which: 0 | 1) =>
    Float64Array.from([
      ...UNKNOWN_ACIDS.map((name) => table[name][which] / ACIDS[name].molarMass),
      table.potassium[which] / POTASSIUM_MOLAR_MASS
    ])
  return { mean: of(0), sd: of(1) }
}
const MUST = laidOut(USUAL_MUST)
const WINE = { before: laidOut(USUAL_WINE.before), 'under-way': laidOut(USUAL_WINE['under-way']), after: laidOut(USUAL_WINE.after) }
const MALIC = UNKNOWN_ACIDS.indexOf('malic')

function contents(kind: MalolacticKnown, share: number, ripeness: number, ripenessUnknown: boolean, style: WineStyle | 'unknown'): Laid {
  const [mean, sd] = [new Float64Array(STRONG + 1), new Float64Array(STRONG + 1)]
  const wine = WINE[kind]
  for (let i = 0; i <= STRONG; i++) {
    mean[i] = MUST.mean[i]! * (1 - share) + wine.mean[i]! * share
    sd[i] = MUST.sd[i]! * (1 - share) + wine.sd[i]! * share
  }
  if (kind !== 'after') {
    const mass = ACIDS.malic.molarMass
    mean[MALIC] = Math.max(0.4 / mass, mean[MALIC]! + (MALIC_PER_BRIX * ripeness * (kind === 'before' ? 1 : 0.4)) / mass)
    if (ripenessUnknown) sd[MALIC] = Math.hypot(sd[MALIC]!, UNRIPE_OR_RIPE / mass)
  }
  const others = (which: 0 | 1) => OTHER_IONS.must[which] * (1 - share) + OTHER_IONS.wine[which] * share
  mean[STRONG]! += (POTASSIUM_PER_BRIX * ripeness * (1 - share) + SKINS[style]) / POTASSIUM_MOLAR_MASS + others(0)
  sd[STRONG] = Math.hypot(sd[STRONG]!, others(1))
  return { mean, sd }
}
