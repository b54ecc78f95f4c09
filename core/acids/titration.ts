import { within } from '../units'

/** Half the molar mass of tartaric acid, g per mole of base: TA is given as tartaric. */
export const TARTARIC_EQUIVALENT = 75.04

/** The same acidity as other acids, by their equivalents (molar mass over basicity), relative to tartaric. */
export const TA_AS = { tartaric: 1, sulphuric: 49.04 / 75.04, malic: 67.04 / 75.04 } as const

export interface Titration {
  /** Titratable acidity as tartaric, g/L. */
  taGPerL: number
  /** The same in g per 100 mL. */
  taPercent: number
  /** As sulphuric acid, g/L, the custom of some countries. */
  asSulphuricGPerL: number
  asMalicGPerL: number
  /** What one millilitre of titrant counts, g/L. */
  gPerLPerMl: number
  /** Half of one step of the syringe or burette, g/L. */
  uncertaintyGPerL: number
}

/**
 * Titratable acidity from a titration with base: TA = V·N·75.04 / sample (OIV-MA-AS313-01, AOAC 962.12), as tartaric.
 * The end point is the person's choice (pH 8.2 in AOAC and most home kits, 7.0 in the OIV method); it does not enter here.
 * @param sampleMl sample, 0.5 to 250 mL
 * @param titrantMl titrant used up to the end point, 0 to 200 mL
 * @param normality of the base, 0.005 to 2 mol/L
 * @param stepMl smallest step that can be read or pushed, 0 to 5 mL
 * @returns TA with its reading uncertainty
 * @throws LimitError
 * @example titrate(15, 6, 0.2).taGPerL // 6.0: six, not sixty, and 0.60 %
 */
export function titrate(sampleMl: number, titrantMl: number, normality: number, stepMl = 0.1): Titration {
  within('sampleMl', sampleMl, 0.5, 250)
  within('titrantMl', titrantMl, 0, 200)
  within('normality', normality, 0.005, 2)
  within('stepMl', stepMl, 0, 5)
  const gPerLPerMl = (normality * TARTARIC_EQUIVALENT) / sampleMl
  const taGPerL = titrantMl * gPerLPerMl
  return {
    taGPerL,
    taPercent: taGPerL / 10,
    asSulphuricGPerL: taGPerL * TA_AS.sulphuric,
    asMalicGPerL: taGPerL * TA_AS.malic,
    gPerLPerMl,
    uncertaintyGPerL: (stepMl / 2) * gPerLPerMl
  }
}

/** Molar mass of potassium hydrogen phthalate, g/mol (IUPAC atomic weights). */
const KHP = 204.22

/**
 * True strength of a base against potassium hydrogen phthalate, the usual primary standard.
 * @param phthalateG weight of dried phthalate, 0.01 to 10 g
 * @param titrantMl base used up to pH 8.2 or phenolphthalein, 0.1 to 200 mL
 * @returns normality, mol/L
 * @throws LimitError
 * @example standardiseTitrant(0.2042, 10) // 0.1000
 */
export function standardiseTitrant(phthalateG: number, titrantMl: number): number {
  within('phthalateG', phthalateG, 0.01, 10)
  within('titrantMl', titrantMl, 0.1, 200)
  return phthalateG / KHP / (titrantMl / 1000)
}
