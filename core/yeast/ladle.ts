import { within } from '../units'
import { type CarriedOver, type LeesSource, type LeesTarget, carriedOver } from './lees'
import { AT_WORK, sugarGone } from './wild'

/** Working must, as a share of the must: a tenth starts it within hours, a thirtieth within a day. Common practice, no source. */
const SHARE = { min: 0.03, usual: 0.05, max: 0.1 } as const

export interface LadleSource extends Pick<LeesSource, 'style' | 'bacteria' | 'smelt'> {
  /** As it began, and now; undefined where nobody read it. */
  originalSg?: number
  sg?: number
  abv?: number
  /** What of it there is, L. */
  heldL: number
}
export type LadleFinding =
  | CarriedOver
  | { code: 'unread', weight: 'care' }
  | { code: 'too-early' | 'too-late', gone: number, weight: 'care' }
  | { code: 'too-little', heldL: number, weight: 'care' }

export interface LadleReuse {
  verdict: 'good' | 'with-care' | 'never'
  litres: { min: number, usual: number, max: number }
  /** Alcohol that comes along with the usual amount, % vol of the must. */
  bringsAbv: number
  findings: LadleFinding[]
}

/**
 * Must of a lot that is fermenting, as the yeast of another: what speaks against it, how much, and what comes along.
 * @param source the lot that is fermenting
 * @param target the must
 * @throws LimitError
 * @example
 * ladleReuse({ style: 'red', originalSg: 1.09, sg: 1.04, heldL: 40 }, { mustL: 50, style: 'red', malolacticWanted: true }).litres.max // 5
 */
export function ladleReuse(source: LadleSource, target: LeesTarget): LadleReuse {
  const mustL = within('mustL', target.mustL, 1, 100_000)
  const litres = { min: mustL * SHARE.min, usual: mustL * SHARE.usual, max: mustL * SHARE.max }
  const gone = source.originalSg !== undefined && source.sg !== undefined ? sugarGone(source.originalSg, source.sg) : undefined
  const findings: LadleFinding[] = [
    ...carriedOver(source, target),
    ...(gone === undefined ? [{ code: 'unread', weight: 'care' } as const] : []),
    ...(gone !== undefined && gone < AT_WORK.from ? [{ code: 'too-early', gone, weight: 'care' } as const] : []),
    ...(gone !== undefined && gone > AT_WORK.to ? [{ code: 'too-late', gone, weight: 'care' } as const] : []),
    ...(source.heldL < litres.min ? [{ code: 'too-little', heldL: source.heldL, weight: 'care' } as const] : [])
  ]
  return {
    verdict: findings.some((f) => f.weight === 'never') ? 'never' : findings.length > 0 ? 'with-care' : 'good',
    litres,
    bringsAbv: ((source.abv ?? 0) * SHARE.usual) / (1 + SHARE.usual),
    findings
  }
}
