import { type Kinetics, KINETIC_NAMES } from './course'
import { COVARY, USUAL } from './usual'

/** What a ferment is expected to be like before its readings, from what is known of it. */
export interface KnownOfFerment {
  brix: number
  /** Of the must, mg/L; the usual where it is not known. */
  yanMgPerL?: number
  /** Nutrient that was given, as nitrogen, mg/L. */
  givenMgPerL?: number
  /** °C over its first days. */
  celsius: number
  toleranceAbv?: number
}

/** Places in the prior, each a standard normal number: one for each figure, then tolerance, warmth to come and nitrogen. */
export const DIMENSIONS = KINETIC_NAMES.length + 3
const [TOLERANCE, WARMER, NITROGEN] = [DIMENSIONS - 3, DIMENSIONS - 2, DIMENSIONS - 1]

/** Where nobody measured it, and how well a test knows it: mean in mg/L, spreads of the logarithm. Common practice, no source. */
const NITROGEN_USUAL = { mgPerL: 190, unknown: 0.45, measured: 0.12 }
/** How well a card knows what its yeast bears, and what yeasts bear that nobody named, % vol. */
const TOLERANCE_USUAL = { carded: 0.7, mean: 16, unknown: 1.1 }
/** How far the cellar strays from what is held, °C. */
const STRAYS_C = 1.3
/** Figures taken by their logarithm; the sensitivity to warmth and the sugar-free extract as they are. */
const AS_THEY_ARE: ReadonlySet<string> = new Set(['perDegree', 'sugarFree'])

/** No draw leaves what a ferment can be. */
const BOUNDS: Record<(typeof KINETIC_NAMES)[number], { min: number, max: number }> = {
  start: { min: 1e-4, max: 0.9 },
  growth: { min: 0.005, max: 0.6 },
  uptake: { min: 0.05, max: 20 },
  perDegree: { min: 0.02, max: 0.15 },
  halfSugar: { min: 0.1, max: 100 },
  halfAlcohol: { min: 10, max: 1000 },
  death: { min: 1e-8, max: 0.01 },
  sugarFree: { min: 5, max: 45 }
}

export interface Prior {
  /** Of the figures, at the nitrogen expected. */
  mean: Float64Array
  nitrogenSd: number
  toleranceMean: number
  toleranceSd: number
}

/** What is usual for a ferment of which so much is known. */
export function priorOf(known: KnownOfFerment): Prior {
  const nitrogen = (known.yanMgPerL ?? NITROGEN_USUAL.mgPerL) + (known.givenMgPerL ?? 0)
  const logN = Math.log(Math.min(450, Math.max(40, nitrogen)) / 200)
  return {
    mean: Float64Array.from(KINETIC_NAMES, (name) => {
      const u = USUAL[name]
      return u.mean + u.byNitrogen * logN + u.byBrix * (known.brix - 22) + u.byCelsius * (known.celsius - 20)
    }),
    nitrogenSd: known.yanMgPerL === undefined ? NITROGEN_USUAL.unknown : NITROGEN_USUAL.measured,
    toleranceMean: known.toleranceAbv ?? TOLERANCE_USUAL.mean,
    toleranceSd: known.toleranceAbv === undefined ? TOLERANCE_USUAL.unknown : TOLERANCE_USUAL.carded
  }
}

/** The figures of a course from its place in the prior. */
export function kineticsOf(prior: Prior, z: ArrayLike<number>): Kinetics {
  const k = {} as Record<string, number>
  KINETIC_NAMES.forEach((name, i) => {
    let value = prior.mean[i]! + USUAL[name].byNitrogen * prior.nitrogenSd * z[NITROGEN]!
    for (let j = 0; j <= i; j++) value += COVARY[i]![j]! * z[j]!
    k[name] = AS_THEY_ARE.has(name) ? value : Math.exp(value)
  })
  for (const [name, { min, max }] of Object.entries(BOUNDS)) k[name] = Math.min(max, Math.max(min, k[name]!))
  k.tolerance = prior.toleranceMean + prior.toleranceSd * z[TOLERANCE]!
  k.warmer = STRAYS_C * z[WARMER]!
  return k as unknown as Kinetics
}
