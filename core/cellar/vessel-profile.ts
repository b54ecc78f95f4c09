import { within } from '../units'

export type VesselKind = 'bin' | 'pail' | 'demijohn' | 'tank' | 'barrel' | 'keg'

/**
 * Half-outlines of vessels that are round about an upright axis: [height, radius] from the bottom up, in parts of the height.
 * Drawn after ordinary vessels, measured roughly by eye: common practice, no source. Barrels are drawn standing.
 */
export const PROFILES: Record<VesselKind, readonly (readonly [number, number])[]> = {
  bin: [
    [0, 0.37],
    [0.02, 0.4],
    [0.95, 0.48],
    [0.96, 0.51],
    [1, 0.51]
  ],
  pail: [
    [0, 0.33],
    [0.02, 0.35],
    [0.92, 0.41],
    [0.93, 0.44],
    [1, 0.44]
  ],
  demijohn: [
    [0, 0.28],
    [0.02, 0.33],
    [0.06, 0.36],
    [0.14, 0.385],
    [0.36, 0.4],
    [0.52, 0.39],
    [0.6, 0.365],
    [0.67, 0.32],
    [0.73, 0.25],
    [0.78, 0.175],
    [0.82, 0.125],
    [0.86, 0.1],
    [0.955, 0.095],
    [0.96, 0.115],
    [1, 0.115]
  ],
  tank: [
    [0, 0.31],
    [0.012, 0.325],
    [0.86, 0.325],
    [0.9, 0.3],
    [0.94, 0.17],
    [0.96, 0.12],
    [1, 0.12]
  ],
  barrel: [
    [0, 0.3],
    [0.1, 0.335],
    [0.3, 0.375],
    [0.5, 0.39],
    [0.7, 0.375],
    [0.9, 0.335],
    [1, 0.3]
  ],
  keg: [
    [0, 0.165],
    [0.03, 0.18],
    [0.93, 0.18],
    [0.96, 0.16],
    [1, 0.14]
  ]
}

/** ∫ r² dh of a profile up to a height, exact for straight pieces (frustums). */
function integral(profile: readonly (readonly [number, number])[], upTo: number): number {
  let sum = 0
  for (let i = 1; i < profile.length; i++) {
    const [h0, r0] = profile[i - 1]!
    const [h1, r1] = profile[i]!
    if (upTo <= h0) break
    const share = Math.min(1, (upTo - h0) / (h1 - h0))
    const r = r0 + (r1 - r0) * share
    sum += ((h1 - h0) * share * (r0 * r0 + r0 * r + r * r)) / 3
  }
  return sum
}

/**
 * True height of a vessel of this shape and capacity: V = π·H³·∫r²dh.
 * @param kind its shape
 * @param capacityL brim-full, 0.1 to 100 000 L
 * @returns height in decimetres
 * @throws LimitError
 * @example vesselHeightDm('demijohn', 25) // 4.2
 */
export function vesselHeightDm(kind: VesselKind, capacityL: number): number {
  within('capacityL', capacityL, 0.1, 100_000)
  return Math.cbrt(capacityL / (Math.PI * integral(PROFILES[kind], 1)))
}

/** The same for a drawing: what no vessel holds is drawn as the smallest or largest, so that a wrong entry takes no page down. */
export const drawnHeightDm = (kind: VesselKind, capacityL: number): number =>
  vesselHeightDm(kind, Number.isFinite(capacityL) ? Math.min(100_000, Math.max(0.1, capacityL)) : 0.1)

/**
 * How high the wine stands for a share of the capacity, by the volume of the shape and not by its height.
 * @param kind its shape
 * @param share 0 to 1 of the capacity; more counts as full
 * @returns level as a part of the height, 0 to 1
 * @example levelFor('demijohn', 0.5) // 0.37: the neck holds little
 */
export function levelFor(kind: VesselKind, share: number): number {
  const profile = PROFILES[kind]
  const wanted = Math.min(1, Math.max(0, share)) * integral(profile, 1)
  let low = 0
  let high = 1
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2
    if (integral(profile, middle) < wanted) low = middle
    else high = middle
  }
  return (low + high) / 2
}
