import type { VesselKind } from './vessel-profile'

/** Sizes that vessels are usually sold in, L: common practice, no source. US and imperial gallons come rounded. */
export const USUAL_SIZES: Record<VesselKind, readonly number[]> = {
  bin: [50, 75, 100, 150, 200],
  pail: [10, 15, 20, 25, 30],
  demijohn: [3.8, 4.5, 5, 10, 15, 20, 23, 25, 34, 54],
  tank: [25, 50, 75, 100, 150, 200],
  barrel: [5, 10, 20, 28, 50, 112, 225],
  keg: [9.5, 19, 30, 50]
}
