import { MATERIALS } from '../materials'
import { within } from '../units'
import { PKA_CONVENTION, freeSo2For, molecularSo2, sulphurousPka } from './molecular'

/** g SO₂ in a gram of each salt, by its card (stoichiometry). */
export const SO2_SHARE = {
  'potassium-metabisulphite': shareOf('potassium-metabisulphite'),
  'sodium-metabisulphite': shareOf('sodium-metabisulphite')
} as const

function shareOf(key: 'potassium-metabisulphite' | 'sodium-metabisulphite'): number {
  const { effect } = MATERIALS[key]
  return effect.on === 'sulphite' ? effect.so2Share : 0
}
export type SulphiteSalt = keyof typeof SO2_SHARE

/** Molecular SO₂ to aim for, mg/L: common practice, no source. */
export const MOLECULAR_TARGET = { red: 0.5, rose: 0.8, white: 0.8 } as const

/**
 * The same for a base wine that waits for its second ferment: yeast is to begin in it, and does up to about 0.5, also after a round
 * that doses ahead. Common practice, no source.
 */
export const BASE_WINE_MOLECULAR = 0.35

/** Least free SO₂ that keeps a wine, mg/L: under this a titration hardly tells it from none. Common practice, no source. */
export const LEAST_FREE = 10

/** Highest total SO₂ of dry wine, mg/L (OIV International Code of Oenological Practices, annex on maximum limits). */
export const TOTAL_LIMIT = { red: 150, rose: 200, white: 200 } as const

/** Share of an addition that binds when nothing is known of the lot: common practice, no source. */
export const TYPICAL_BOUND_SHARE = 1 / 3

/** Above this pH the free level needed is no longer sensible (craft: common practice, no source). */
export const PH_TOO_HIGH = 3.9

export type SulphiteFinding =
  | { code: 'ph-too-high', ph: number, limitPh: number }
  | { code: 'below-scale', grams: number, resolutionG: number }
  | { code: 'near-total-limit', totalMgPerL: number, limitMgPerL: number }
  | { code: 'over-total-limit', totalMgPerL: number, limitMgPerL: number }
  | { code: 'already-there' | 'as-good-as-there', freeMgPerL: number, targetFreeMgPerL: number }
  | { code: 'little-free', freeMgPerL: number, leastMgPerL: number }
  | { code: 'much-molecular', molecularMgPerL: number, limitMgPerL: number }
  | { code: 'large-dose', addMgPerL: number, limitMgPerL: number }

/** One addition above this is unusual and worth a second look, mg/L: common practice, no source. */
const LARGE_DOSE = 100
/** Levels of free SO₂ that lie nearer than this no titration at home tells apart, mg/L. Common practice, no source. */
export const TOLD_WITHIN = 2
/** Above this most people smell it, mg/L molecular: common practice, no source. */
const SMELT_MOLECULAR = 2

export interface SulphiteRequest {
  ph: number
  volumeL: number
  /** Free SO₂ already there; 0 when not known. */
  freeMgPerL?: number
  /** Total SO₂ already there, to check the limit. */
  totalMgPerL?: number
  /** One of the two targets. */
  targetMolecularMgPerL?: number
  targetFreeMgPerL?: number
  /** With alcohol or temperature given, the pKa of the table is used instead of the convention. */
  abv?: number
  celsius?: number
  salt: SulphiteSalt
  /** Part of the addition that will bind, 0 to 0.8. */
  boundShare?: number
  /** Strength of salt left after ageing, 1 when fresh. */
  potency?: number
  /** Smallest step of the scale, g. */
  scaleStepG?: number
  limitTotalMgPerL?: number
}

export interface SulphiteDose {
  pka: number
  targetFreeMgPerL: number
  targetMolecularMgPerL: number
  /** Molecular SO₂ as it stands. */
  molecularNowMgPerL: number
  /** SO₂ to add, binding allowed for. */
  addMgPerL: number
  /** Weight of salt. */
  grams: number
  /** Total after the addition, when the total before is known. */
  totalAfterMgPerL?: number
  findings: SulphiteFinding[]
}

/**
 * Sulphite for a free level at this pH: add = (target − free) ÷ (1 − bound share); grams by the salt's SO₂ content.
 * @param request pH 2.5 to 4.5, volume 0.1 to 100 000 L, levels in mg/L
 * @returns the dose with what went into it, and findings
 * @throws LimitError when an input is outside its limits
 * @throws TypeError when no target is given
 * @example sulphiteDose({ ph: 3.5, volumeL: 23, targetMolecularMgPerL: 0.8, salt: 'potassium-metabisulphite' }).grams // 1.60
 */
export function sulphiteDose(request: SulphiteRequest): SulphiteDose {
  const { ph, volumeL, salt } = request
  within('ph', ph, 2.5, 4.5)
  within('volumeL', volumeL, 0.1, 100_000)
  const freeMgPerL = within('freeMgPerL', request.freeMgPerL ?? 0, 0, 500)
  const boundShare = within('boundShare', request.boundShare ?? 0, 0, 0.8)
  const potency = within('potency', request.potency ?? 1, 0.2, 1)
  const pka =
    request.abv === undefined && request.celsius === undefined ? PKA_CONVENTION : sulphurousPka(request.abv ?? 0, request.celsius ?? 20)
  if (request.targetFreeMgPerL === undefined && request.targetMolecularMgPerL === undefined) {
    throw new TypeError('targetMolecularMgPerL or targetFreeMgPerL is needed')
  }
  const targetFreeMgPerL =
    request.targetFreeMgPerL === undefined
      ? freeSo2For(request.targetMolecularMgPerL!, ph, pka)
      : within('targetFreeMgPerL', request.targetFreeMgPerL, 0, 500)
  const addMgPerL = Math.max(0, targetFreeMgPerL - freeMgPerL) / (1 - boundShare)
  const grams = (addMgPerL * volumeL) / 1000 / SO2_SHARE[salt] / potency
  const dose: SulphiteDose = {
    pka,
    targetFreeMgPerL,
    targetMolecularMgPerL: molecularSo2(Math.min(500, targetFreeMgPerL), ph, pka),
    molecularNowMgPerL: molecularSo2(freeMgPerL, ph, pka),
    addMgPerL,
    grams,
    findings: []
  }
  if (request.totalMgPerL !== undefined) dose.totalAfterMgPerL = within('totalMgPerL', request.totalMgPerL, 0, 1000) + addMgPerL
  dose.findings = findingsOn(dose, request, freeMgPerL)
  return dose
}

function findingsOn(dose: SulphiteDose, request: SulphiteRequest, freeMgPerL: number): SulphiteFinding[] {
  const found: SulphiteFinding[] = []
  const limit = request.limitTotalMgPerL
  const total = dose.totalAfterMgPerL
  if (request.ph > PH_TOO_HIGH) found.push({ code: 'ph-too-high', ph: request.ph, limitPh: PH_TOO_HIGH })
  const wanting = dose.targetFreeMgPerL - freeMgPerL
  if (wanting <= 0 || (wanting <= TOLD_WITHIN && freeMgPerL > 0)) {
    const code = wanting <= 0 ? 'already-there' : 'as-good-as-there'
    found.push({ code, freeMgPerL, targetFreeMgPerL: dose.targetFreeMgPerL })
  }
  if (dose.addMgPerL > LARGE_DOSE) found.push({ code: 'large-dose', addMgPerL: dose.addMgPerL, limitMgPerL: LARGE_DOSE })
  // A base wine is kept that low on purpose: yeast is to begin in it.
  const onPurpose = dose.targetMolecularMgPerL <= BASE_WINE_MOLECULAR + 1e-9
  if (!onPurpose && dose.targetFreeMgPerL > 0 && Math.max(dose.targetFreeMgPerL, freeMgPerL) < LEAST_FREE) {
    found.push({ code: 'little-free', freeMgPerL: dose.targetFreeMgPerL, leastMgPerL: LEAST_FREE })
  }
  const molecular = Math.max(dose.targetMolecularMgPerL, dose.molecularNowMgPerL)
  if (molecular > SMELT_MOLECULAR) found.push({ code: 'much-molecular', molecularMgPerL: molecular, limitMgPerL: SMELT_MOLECULAR })
  if (request.scaleStepG !== undefined && dose.grams > 0 && dose.grams < 10 * request.scaleStepG) {
    found.push({ code: 'below-scale', grams: dose.grams, resolutionG: request.scaleStepG })
  }
  if (limit !== undefined && total !== undefined && total > 0.9 * limit) {
    found.push({ code: total > limit ? 'over-total-limit' : 'near-total-limit', totalMgPerL: total, limitMgPerL: limit })
  }
  return found
}

/**
 * Millilitres of a stock solution that hold a mass of salt.
 * @param grams mass wanted, g
 * @param stockGPerL salt in the stock, g/L; 10 g made up to 100 mL is 100 g/L
 * @param potency what is left of its strength, 1 when made today
 * @throws LimitError
 * @example stockSolutionMl(0.42, 100) // 4.2
 */
export function stockSolutionMl(grams: number, stockGPerL: number, potency = 1): number {
  within('grams', grams, 0, 10_000)
  within('stockGPerL', stockGPerL, 1, 500)
  within('potency', potency, 0.2, 1)
  return ((grams / stockGPerL) * 1000) / potency
}
