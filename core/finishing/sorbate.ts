import { LEAST_FREE, MOLECULAR_TARGET, TOLD_WITHIN, freeSo2For } from '../sulphite'
import { within } from '../units'

/** Sorbic acid in potassium sorbate (112.13 / 150.22). */
export const SORBIC_SHARE = 0.746
/** Most that may be in a wine, mg/L as sorbic acid: OIV and EU. */
export const SORBIC_LIMIT = 200
/** Least that stops yeast in any wine of ordinary strength, mg/L: craft 3.12, common practice. */
export const SORBIC_LEAST = 100
/** From 200 at 10 % vol to 100 at 14: alcohol helps. Common practice, no source. */
const BY_ABV = { from: 10, to: 14 } as const
const PKA = 4.76
/** What the doses are told for. */
const USUAL_PH = 3.5

export interface SorbateAsked {
  volumeL: number
  abv: number
  ph: number
  freeSo2MgPerL: number
  malolacticDone: boolean
  fermenting: boolean
  style?: keyof typeof MOLECULAR_TARGET
}

export type SorbateFinding =
  /** Bacteria turn sorbate into the smell of geraniums, and nothing takes it out. */
  | { code: 'after-malolactic' }
  /** It stops no ferment: it keeps a few yeasts from becoming many. */
  | { code: 'still-fermenting' }
  | { code: 'without-sulphite', freeMgPerL: number, neededMgPerL: number }
  /** So much alcohol or so high a pH that the limit is less than would be needed. */
  | { code: 'over-limit', neededMgPerL: number }

export interface SorbateDose {
  sorbicMgPerL: number
  /** Of potassium sorbate; 0 where it must not go in. */
  grams: number
  allowed: boolean
  findings: SorbateFinding[]
}

/** Of what is not said the strictest: a sweet white. */
const USUAL_STYLE = 'white'

/**
 * Free SO₂ that sorbate has to have beside it, mg/L: the level that such a wine is kept at, for bacteria turn sorbate into geraniums and
 * yeast is at the sugar. A pH outside 2.5 to 4.5 is taken at its limit.
 */
export const freeBesideSorbate = (ph: number, style: keyof typeof MOLECULAR_TARGET = USUAL_STYLE): number =>
  Math.max(LEAST_FREE, freeSo2For(MOLECULAR_TARGET[style], Math.min(4.5, Math.max(2.5, ph))))

/**
 * Potassium sorbate by alcohol and pH, and the three things that it must not be given with.
 * @throws LimitError
 * @example sorbateDose({ volumeL: 20, abv: 12, ph: 3.3, freeSo2MgPerL: 30, malolacticDone: false, fermenting: false }).sorbicMgPerL // 147
 */
export function sorbateDose(asked: SorbateAsked): SorbateDose {
  const { volumeL, abv, ph, freeSo2MgPerL, malolacticDone, fermenting } = asked
  within('volumeL', volumeL, 0.001, 100_000)
  within('abv', abv, 0, 18)
  within('ph', ph, 2.5, 4.5)
  within('freeSo2MgPerL', freeSo2MgPerL, 0, 500)
  const gone = Math.min(1, Math.max(0, (abv - BY_ABV.from) / (BY_ABV.to - BY_ABV.from)))
  // Only what is not dissociated works.
  const works = (at: number) => 1 / (1 + 10 ** (at - PKA))
  const needed = ((SORBIC_LIMIT - gone * (SORBIC_LIMIT - SORBIC_LEAST)) * works(USUAL_PH)) / works(ph)
  const sorbicMgPerL = Math.min(SORBIC_LIMIT, Math.max(SORBIC_LEAST, needed))
  const neededFree = freeBesideSorbate(ph, asked.style)
  const stops: SorbateFinding[] = [
    ...(malolacticDone ? [{ code: 'after-malolactic' as const }] : []),
    ...(fermenting ? [{ code: 'still-fermenting' as const }] : []),
    // What a reading tells no more apart is enough: as in the tasks and the conditions before sweetening.
    ...(freeSo2MgPerL < neededFree - TOLD_WITHIN
      ? [{ code: 'without-sulphite' as const, freeMgPerL: freeSo2MgPerL, neededMgPerL: neededFree }]
      : [])
  ]
  const allowed = stops.length === 0
  return {
    sorbicMgPerL,
    grams: allowed ? (sorbicMgPerL * volumeL) / 1000 / SORBIC_SHARE : 0,
    allowed,
    findings: [...stops, ...(needed > SORBIC_LIMIT * 1.001 ? [{ code: 'over-limit' as const, neededMgPerL: needed }] : [])]
  }
}
