import { type Kinetics, KINETIC_NAMES, PACE_AT } from './course'
import { USUAL } from './usual'

/** Figures that differ from ferment to ferment and are learnt together: the form's own, then its pace at each share of sugar gone. */
export const LEARNT = [...KINETIC_NAMES, ...PACE_AT.map((share) => `pace${Math.round(share * 100)}` as const)]
/** One figure: its mean, and how it moves with ln(nitrogen ÷ 200), with °Brix − 22, with °C − 20, and in a red. */
export interface UsualFigure { mean: number, byNitrogen: number, byBrix: number, byCelsius: number, red: number }
/** What is usual of ferments: each figure, in the order of LEARNT, and the lower triangle of their covariance, row by row. */
export interface UsualFerment { figures: readonly UsualFigure[], covary: readonly (readonly number[])[] }

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
  red?: boolean
}

/** Places in the prior, each a standard normal number: one for each figure learnt, then tolerance, warmth to come and nitrogen. */
export const DIMENSIONS = LEARNT.length + 3
const [TOLERANCE, WARMER, NITROGEN] = [DIMENSIONS - 3, DIMENSIONS - 2, DIMENSIONS - 1]

/** Where nobody measured it, and how well a test knows it: mean in mg/L, spreads of the logarithm. Common practice, no source. */
const NITROGEN_USUAL = { mgPerL: 190, unknown: 0.45, measured: 0.12 }
/** How well a card knows what its yeast bears, and what yeasts bear that nobody named, % vol. */
const TOLERANCE_USUAL = { carded: 0.7, mean: 16, unknown: 1.1 }
/** How far the cellar strays from what is held, °C. */
const STRAYS_C = 1.3
/** Figures taken by their logarithm; the sensitivity to warmth and the sugar-free extract as they are. */
const AS_THEY_ARE: ReadonlySet<string> = new Set(['perDegree', 'sugarFree'])

/** g/(L·h), by its logarithm. */
const PACE_BOUNDS = { min: Math.log(0.003), max: Math.log(12) }
/** No draw leaves what a ferment can be. */
const BOUNDS: Record<(typeof KINETIC_NAMES)[number], { min: number, max: number }> = {
  start: { min: 1e-4, max: 0.9 },
  growth: { min: 0.005, max: 0.6 },
  perDegree: { min: 0.02, max: 0.15 },
  sugarFree: { min: 5, max: 45 }
}

export interface Prior {
  /** Of the figures, at the nitrogen expected. */
  mean: Float64Array
  usual: UsualFerment
  nitrogenSd: number
  toleranceMean: number
  toleranceSd: number
}

/** What is usual for a ferment of which so much is known. */
export function priorOf(known: KnownOfFerment, usual: UsualFerment = USUAL): Prior {
  const nitrogen = (known.yanMgPerL ?? NITROGEN_USUAL.mgPerL) + (known.givenMgPerL ?? 0)
  const logN = Math.log(Math.min(450, Math.max(40, nitrogen)) / 200)
  return {
    mean: Float64Array.from(usual.figures, (u) =>
      u.mean + u.byNitrogen * logN + u.byBrix * (known.brix - 22) + u.byCelsius * (known.celsius - 20) + (known.red ? u.red : 0)),
    usual,
    nitrogenSd: known.yanMgPerL === undefined ? NITROGEN_USUAL.unknown : NITROGEN_USUAL.measured,
    toleranceMean: known.toleranceAbv ?? TOLERANCE_USUAL.mean,
    toleranceSd: known.toleranceAbv === undefined ? TOLERANCE_USUAL.unknown : TOLERANCE_USUAL.carded
  }
}

/** The figures of a course from its place in the prior. */
export function kineticsOf(prior: Prior, z: ArrayLike<number>): Kinetics {
  const { figures, covary } = prior.usual
  const values = figures.map((figure, i) => {
    let value = prior.mean[i]! + figure.byNitrogen * prior.nitrogenSd * z[NITROGEN]!
    for (let j = 0; j <= i; j++) value += covary[i]![j]! * z[j]!
    return value
  })
  const k = {} as Record<(typeof KINETIC_NAMES)[number], number>
  KINETIC_NAMES.forEach((name, i) => {
    const { min, max } = BOUNDS[name]
    k[name] = Math.min(max, Math.max(min, AS_THEY_ARE.has(name) ? values[i]! : Math.exp(values[i]!)))
  })
  const pace = values.slice(KINETIC_NAMES.length).map((log) => Math.exp(Math.min(PACE_BOUNDS.max, Math.max(PACE_BOUNDS.min, log))))
  return { ...k, pace, tolerance: prior.toleranceMean + prior.toleranceSd * z[TOLERANCE]!, warmer: STRAYS_C * z[WARMER]! }
}
