import { within } from '../units'

/** Half the molar mass of SO₂, g per mole of electrons (iodine) or of base. */
const SO2_EQUIVALENT = 32.032

/** A red wine's pigments and tannins take up iodine too: it reads this much too high, mg/L. Common practice, no source. */
export const IODINE_RED_BIAS = { low: 5, high: 15 } as const

export interface FreeSo2Titration {
  freeMgPerL: number
  /** Half a step of the burette or syringe, mg/L. */
  uncertaintyMgPerL: number
  /** Range by which it likely reads too high. */
  bias: { low: number, high: number }
}

/**
 * Free SO₂ from a titration: V·N·32 000/sample, for iodine in the acidified wine (Ripper) as for base after aspiration into
 * peroxide (OIV-MA-AS323-04).
 * @param method iodine or aspiration
 * @param sampleMl wine, 5 to 100 mL
 * @param titrantMl used, 0 to 50 mL
 * @param normality 0.001 to 0.1 mol/L
 * @param style reds bias the iodine method
 * @param stepMl smallest step, 0 to 2 mL
 * @throws LimitError
 * @example freeSo2FromTitration('aspiration', 20, 2, 0.01, 'red').freeMgPerL // 32
 */
export function freeSo2FromTitration(
  method: 'iodine' | 'aspiration',
  sampleMl: number,
  titrantMl: number,
  normality: number,
  style: 'red' | 'rose' | 'white',
  stepMl = 0.1
): FreeSo2Titration {
  within('sampleMl', sampleMl, 5, 100)
  within('titrantMl', titrantMl, 0, 50)
  within('normality', normality, 0.001, 0.1)
  const perMl = (normality * SO2_EQUIVALENT * 1000) / sampleMl
  return {
    freeMgPerL: titrantMl * perMl,
    uncertaintyMgPerL: (within('stepMl', stepMl, 0, 2) / 2) * perMl,
    bias: method === 'iodine' && style === 'red' ? { ...IODINE_RED_BIAS } : { low: 0, high: 0 }
  }
}
