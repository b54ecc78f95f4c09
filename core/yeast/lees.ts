import { within } from '../units'
import { SPOILT } from './wild'

/** Thick lees for a litre of must, mL. Common practice, no source. */
const ML_PER_L = { min: 10, max: 20 } as const
/** Yeast that has borne more is tired, % vol; a must beyond this asks for fresh yeast. Common practice, no source. */
const TIRED_ABV = 14
const STRONG_ABV = 13.5
/** Lees are alive for days, not for weeks. */
const FRESH_DAYS = 5
/** Free SO₂ that yeast does not like to lie in, mg/L. */
const SULPHITED = 10

export interface LeesSource {
  ended: 'dry' | 'stuck' | 'fermenting'
  abv?: number
  /** Days since it was dry. */
  daysDry?: number
  style: 'red' | 'rose' | 'white'
  freeSo2MgPerL?: number
  bacteria?: boolean
  smelt?: readonly string[]
}
export interface LeesTarget {
  mustL: number
  style: 'red' | 'rose' | 'white'
  potentialAbv?: number
  malolacticWanted: boolean
}
export type CarriedOver =
  | { code: 'smelt' | 'colour' | 'bacteria-unwanted', weight: 'never' }
  | { code: 'strong-must', abv: number, weight: 'care' }
  | { code: 'bacteria-come-along', weight: 'care' }
export type LeesFinding =
  | CarriedOver
  | { code: 'stuck' | 'not-over', weight: 'never' }
  | { code: 'tired', abv: number, weight: 'never' }
  | { code: 'old', days: number, weight: 'never' }
  | { code: 'sulphited', freeMgPerL: number, weight: 'care' }

export interface LeesReuse {
  verdict: 'good' | 'with-care' | 'never'
  litres: { min: number, max: number }
  /** Alcohol that comes along with the larger amount, % vol of the must. */
  bringsAbv: number
  findings: LeesFinding[]
}

/**
 * Yeast used again: the lees of a wine that has just finished into a fresh must. What speaks against it, how much, and what comes along.
 * @param source the wine whose lees they are
 * @param target the must
 * @throws LimitError
 * @example
 * leesReuse({ ended: 'dry', abv: 12, daysDry: 2, style: 'red' }, { mustL: 50, style: 'red', malolacticWanted: true }).litres.max // 1
 */
export function leesReuse(source: LeesSource, target: LeesTarget): LeesReuse {
  const mustL = within('mustL', target.mustL, 1, 100_000)
  const { ended, abv = 12, daysDry = 0, freeSo2MgPerL = 0 } = source
  const findings: LeesFinding[] = []
  if (ended === 'stuck') findings.push({ code: 'stuck', weight: 'never' })
  if (ended === 'fermenting') findings.push({ code: 'not-over', weight: 'never' })
  if (abv > TIRED_ABV) findings.push({ code: 'tired', abv, weight: 'never' })
  if (daysDry > FRESH_DAYS) findings.push({ code: 'old', days: daysDry, weight: 'never' })
  findings.push(...carriedOver(source, target))
  if (freeSo2MgPerL > SULPHITED) findings.push({ code: 'sulphited', freeMgPerL: freeSo2MgPerL, weight: 'care' })
  const litres = { min: (mustL * ML_PER_L.min) / 1000, max: (mustL * ML_PER_L.max) / 1000 }
  return {
    verdict: findings.some((f) => f.weight === 'never') ? 'never' : findings.length > 0 ? 'with-care' : 'good',
    litres,
    bringsAbv: (abv * litres.max) / (mustL + litres.max),
    findings
  }
}

/** What comes along with the yeast of another lot, whether with its lees or with its must, and a must that is too much for it. */
export function carriedOver(source: Pick<LeesSource, 'style' | 'bacteria' | 'smelt'>, target: Omit<LeesTarget, 'mustL'>): CarriedOver[] {
  return [
    ...(source.smelt?.some((s) => (SPOILT as readonly string[]).includes(s)) ? [{ code: 'smelt', weight: 'never' } as const] : []),
    ...(source.style === 'red' && target.style !== 'red' ? [{ code: 'colour', weight: 'never' } as const] : []),
    ...(source.bacteria
      ? [target.malolacticWanted
          ? { code: 'bacteria-come-along', weight: 'care' } as const
          : { code: 'bacteria-unwanted', weight: 'never' } as const]
      : []),
    ...((target.potentialAbv ?? 0) > STRONG_ABV ? [{ code: 'strong-must', abv: target.potentialAbv!, weight: 'care' } as const] : [])
  ]
}
