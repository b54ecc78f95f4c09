import { hoursBetween, normalFrom, seeded } from '../../core/units'
import { type Instruments, SEE, type Wine, abvOf, gravityOf, instrumentsOf, molecularOf, wineAcids } from '../../simulator'
import type { Kept } from './acts'
import type { World } from './world'

/** What a lot holds in truth: for the instruments that are drawn, and for the end. */
export interface Truth {
  sg: number
  sugar: number
  celsius: number
  room: number
  ph: number
  ta: number
  freeSo2: number
  totalSo2: number
  molecular: number
  malic: number
  lactic: number
  tartaric: number
  abv: number
  acetic: number
  oxidised: number
  sulphide: number
  haze: number
  gas: number
  yeast: number
  bacteria: number
  litres: number
  /** What a refractometer shows in it, °Brix. */
  refracts: number
}
/**
 * Sugar and extract as a refractometer counts them, and alcohol, which bends light as well: 0.37 °Brix for each % vol. From memory of a dry
 * wine of 13 % vol that shows about 7.5; another form than the core's correction, which is to be judged by it.
 */
const refractsOf = (w: Wine): number => (w.sugar + w.nature.extract) / (10 * gravityOf(w)) + 0.37 * abvOf(w)

export function truthOf({ wine: w }: Kept, room: number): Truth {
  const { ph, ta } = wineAcids(w)
  return {
    sg: gravityOf(w), sugar: w.sugar, celsius: w.celsius, room, ph, ta, freeSo2: w.free, totalSo2: w.total, molecular: molecularOf(w),
    malic: w.acids.malic, lactic: w.acids.lactic, tartaric: w.acids.tartaric, abv: abvOf(w), acetic: w.acids.acetic, oxidised: w.oxidised,
    sulphide: w.sulphide, haze: w.haze, gas: w.gas, yeast: w.yeast, bacteria: w.bacteria, litres: w.litres,
    refracts: refractsOf(w)
  }
}

export const HAND_READS = ['sg', 'temperature', 'ph', 'ta', 'freeSo2', 'malic', 'sugar', 'volume'] as const
export type HandReads = (typeof HAND_READS)[number]
/** What the senses find: codes of the ledger's own. */
export interface Senses {
  smells: ReturnType<(typeof SEE)['smells']>
  clarity: ReturnType<(typeof SEE)['clarity']>
  gas: ReturnType<(typeof SEE)['gas']>
  tastes: readonly Taste[]
  /** Whether a glass of it stays as it is through a heat test and through a cold one. */
  staysClear: { 'heat-test': boolean, 'cold-test': boolean }
}
export const TASTES = ['sweet', 'sharp', 'flat', 'vinegar', 'tired', 'stinging', 'balanced'] as const
export type Taste = (typeof TASTES)[number]

/** What a tongue finds, most telling first. Thresholds: common practice, no source. */
function tastesOf(w: Wine): Taste[] {
  const { ph, ta } = wineAcids(w)
  const found: [Taste, boolean][] = [
    ['sweet', w.sugar > 8], ['vinegar', w.acids.acetic > 0.8], ['tired', w.oxidised > 13], ['stinging', w.free > 55], ['sharp', ta > 8.8],
    ['flat', ph > 3.85]
  ]
  const all = found.flatMap(([taste, is]) => (is ? [taste] : []))
  return all.length > 0 ? all : ['balanced']
}

/** The things of this household, each as far off as it is, with the eye's chance of this hour: asked twice, it reads the same. */
function things(world: World, lotId: string, salt: number): Instruments {
  const hours = Math.round(hoursBetween(world.start, world.now))
  const random = seeded(world.seed * 7919 + hours * 31 + salt * 1009 + lotId.length + lotId.charCodeAt(lotId.length - 1))
  return { ...instrumentsOf(world.seed), random, normal: normalFrom(random) }
}

/** What somebody else, who is careful, reads for the person. */
export function handReads(world: World, lotId: string, what: HandReads): number | undefined {
  const wine = world.kept.get(lotId)?.wine
  if (!wine) return undefined
  const i = things(world, lotId, HAND_READS.indexOf(what))
  const read: Record<HandReads, () => number> = {
    sg: () => SEE.sg(wine, i),
    temperature: () => SEE.celsius(wine, i),
    ph: () => SEE.ph(wine, i),
    ta: () => SEE.ta(wine, i),
    freeSo2: () => SEE.freeSo2(wine, i),
    malic: () => SEE.malic(wine, i),
    sugar: () => SEE.sugar(wine, i),
    volume: () => Math.round(wine.litres * 10) / 10
  }
  return read[what]()
}

export function senses(world: World, lotId: string): Senses | undefined {
  const wine: Wine | undefined = world.kept.get(lotId)?.wine
  if (!wine) return undefined
  const i = things(world, lotId, 77)
  return { smells: SEE.smells(wine, i), clarity: SEE.clarity(wine, i), gas: SEE.gas(wine, i), tastes: tastesOf(wine),
    staysClear: { 'heat-test': SEE.staysClearInHeat(wine, i), 'cold-test': SEE.staysClearInCold(wine) } }
}
/** How far the household's hydrometer and meter are off: the drawings show it, as the things themselves would. */
export const offsetsOf = (seed: number): { sg: number, ph: number, titration: number } => {
  const { hydrometerOff, phOff, titrationFactor } = instrumentsOf(seed)
  return { sg: hydrometerOff, ph: phOff, titration: titrationFactor }
}
