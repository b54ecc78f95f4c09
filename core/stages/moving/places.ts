import type { VesselState } from '../../ledger'
import { wantsSwelling } from '../vessels'

export interface Place {
  vesselId: string
  /** Air that would be over the wine, L; below nothing what does not go in. */
  airL: number
  fits: 'full' | 'air' | 'too-small'
  /** What has to be done to it first, or speaks against it. */
  first: ('wash' | 'sanitise' | 'swell')[]
  wide: boolean
  wood: boolean
}

/** A neck of air is none. */
const FULL_SHARE = 0.97
/** Wide and hardly closed: good for a ferment, not for a wine that lies. */
export const WIDE: ReadonlySet<VesselState['kind']> = new Set(['bin', 'pail'])
/** Not taken for a wine unasked: what is wide, and wood, which is chosen for its taste. */
export const isAskedFor = (kind: VesselState['kind']): boolean => WIDE.has(kind) || kind === 'barrel'

/**
 * Empty vessels for so much wine, the one that it fills best first; what is too small comes behind, the largest first, because it takes a
 * part.
 */
export function placesFor(litres: number, vessels: Iterable<VesselState>, now: string): Place[] {
  return [...vessels]
    .filter((v) => !v.lotId && !v.retiredAt)
    .map((v): Place => {
      const airL = v.capacityL - litres
      return {
        vesselId: v.id,
        airL,
        fits: airL < -0.02 * v.capacityL ? 'too-small' : litres >= v.capacityL * FULL_SHARE ? 'full' : 'air',
        first: [
          ...(v.used && !v.cleanedAt && !v.sanitisedAt ? (['wash'] as const) : v.sanitisedAt ? [] : (['sanitise'] as const)),
          ...(wantsSwelling(v, now) ? (['swell'] as const) : [])
        ],
        wide: WIDE.has(v.kind),
        wood: v.kind === 'barrel'
      }
    })
    .sort(
      (a, b) =>
        rank(a) - rank(b)
        || Number(a.fits === 'too-small') - Number(b.fits === 'too-small')
        || (a.fits === 'too-small' ? b.airL - a.airL : a.airL - b.airL)
    )
}

const rank = (p: Place): number => (p.wide ? 2 : p.wood ? 1 : 0)
