import { assertNever, within } from '../units'
import { type Tablet, tabletsFor } from './tablets'
import { freeSo2For } from './molecular'

/** The methods of craft section 5. */
export type SulphiteMethod = 'by-ph' | 'tablets' | 'double' | 'minimal' | 'none'

export interface MethodAdvice {
  method: SulphiteMethod
  /** Free level it aims at, mg/L; for tablets what they bring in total. */
  aimMgPerL: number
  /** What is given up against dosing by pH. */
  givesUp: 'nothing' | 'ignores-ph' | 'more-sulphite-than-needed' | 'thin-protection' | 'needs-pasteurising'
  /** By pH the level would be this, mg/L. */
  byPhMgPerL: number
  /** Total SO₂ that it would lead to from what stands now, where that was given, and whether it passes the limit. */
  totalMgPerL?: number
  overLimit?: boolean
}

/** Where the wine stands, mg/L, and the limit it is held against. */
export interface SulphiteNow {
  freeMgPerL: number
  totalMgPerL: number
  /** 0 to 0.8. */
  boundShare: number
  limitMgPerL: number
}

/** Level a minimal method keeps, mg/L: common practice, no source. */
const MINIMAL_FREE = 10
const US_GALLON_L = 3.785411784

/**
 * What a method of sulphiting aims at for a wine, and what it gives up.
 * @param method which
 * @param ph 2.5 to 4.5
 * @param molecularMgPerL target that by-pH would use
 * @param tablet for the method of flat tablets, one to the US gallon
 * @param now where the wine stands, for the total that the method would lead to
 * @throws LimitError
 * @example methodAdvice('minimal', 3.6, 0.5).givesUp // 'thin-protection'
 */
export function methodAdvice(
  method: SulphiteMethod,
  ph: number,
  molecularMgPerL: number,
  tablet: Tablet = { weightG: 0.44, salt: 'potassium-metabisulphite' },
  now?: SulphiteNow
): MethodAdvice {
  const byPhMgPerL = freeSo2For(molecularMgPerL, within('ph', ph, 2.5, 4.5))
  const advice = (aimMgPerL: number, givesUp: MethodAdvice['givesUp']): MethodAdvice => {
    const plain = { method, aimMgPerL, givesUp, byPhMgPerL }
    if (!now) return plain
    // A tablet brings what it brings; the others bring free SO₂ to a level.
    const adds =
      method === 'tablets' ? aimMgPerL : Math.max(0, aimMgPerL - now.freeMgPerL) / (1 - within('boundShare', now.boundShare, 0, 0.8))
    const totalMgPerL = now.totalMgPerL + adds
    return { ...plain, totalMgPerL, overLimit: totalMgPerL > now.limitMgPerL }
  }
  switch (method) {
    case 'by-ph':
      return advice(byPhMgPerL, 'nothing')
    case 'tablets': {
      const one = tabletsFor(1, US_GALLON_L, tablet)
      return advice(1 / one.exact, 'ignores-ph')
    }
    case 'double':
      return advice(2 * byPhMgPerL, 'more-sulphite-than-needed')
    case 'minimal':
      return advice(Math.min(MINIMAL_FREE, byPhMgPerL), 'thin-protection')
    case 'none':
      return advice(0, 'needs-pasteurising')
    default:
      return assertNever(method)
  }
}
