import { ROOM } from '../../cellar'
import type { VesselState } from '../../ledger'
import { wantsSwelling } from '../vessels'

export interface Place {
  vesselId: string
  /** Air that would be over the wine, L; below nothing what does not go in. */
  airL: number
  /** Tight: what ferments in it foams over. */
  fits: 'full' | 'air' | 'tight' | 'too-small'
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
 * part. What still ferments wants room for its foam, and a wide vessel is as good as any.
 */
export function placesFor(litres: number, vessels: Iterable<VesselState>, now: string, ferments = false): Place[] {
  return [...vessels]
    .filter((v) => !v.lotId && !v.retiredAt)
    .map((v): Place => {
      const airL = v.capacityL - litres
      return {
        vesselId: v.id,
        airL,
        fits: fitOf(v.capacityL, litres, ferments),
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
        rank(a, ferments) - rank(b, ferments)
        || LAST[a.fits] - LAST[b.fits]
        || (a.fits === 'too-small' ? b.airL - a.airL : a.airL - b.airL)
    )
}

/**
 * The one that is taken where nobody says otherwise: filled as it should be by all of it, of no wood, and with nothing to be done to it
 * first but to sanitise it.
 */
export const usualPlace = (places: readonly Place[], ferments: boolean): Place | undefined =>
  places.find((p) => p.fits === (ferments ? 'air' : 'full') && !p.wood && (ferments || !p.wide) && p.first.every((x) => x === 'sanitise'))

function fitOf(capacityL: number, litres: number, ferments: boolean): Place['fits'] {
  if (litres > capacityL * 1.02) return 'too-small'
  if (ferments) return litres > capacityL * (1 - ROOM.foam) ? 'tight' : 'air'
  return litres >= capacityL * FULL_SHARE ? 'full' : 'air'
}
const LAST = { 'full': 0, 'air': 0, 'tight': 1, 'too-small': 2 } as const
const rank = (p: Place, ferments: boolean): number => (p.wood ? 1 : p.wide && !ferments ? 2 : 0)
