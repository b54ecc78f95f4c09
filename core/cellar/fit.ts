import { within } from '../units'

/**
 * Part of a vessel to leave free: a fifth or more for a cap of skins, a tenth for foam, nothing for finished wine. Common practice, no
 * source (craft 6.17).
 */
export const ROOM = { cap: 0.2, foam: 0.1, none: 0 } as const
export type RoomFor = keyof typeof ROOM
/** So many times its capacity a vessel may hold by eye: it was measured so itself. Ours. */
export const BRIM_BY_EYE = 1.02

/** Under this share a vessel holds more air than a ferment's gas can keep off: common practice, no source. */
const ROOMY = 0.45

export interface VesselFit {
  verdict: 'too-small' | 'tight' | 'fits' | 'roomy'
  /** Litres filled ÷ capacity. */
  fullShare: number
  /** The smallest capacity that leaves the room, L. */
  neededL: number
}

/**
 * Whether a must goes into a vessel with room for its cap or its foam.
 * @param capacityL of the vessel, brim-full, 0.1 to 100 000 L
 * @param litres what goes in, 0 to 100 000 L; for reds the must with its skins
 * @param room what has to stay free, and why
 * @throws LimitError
 * @example vesselFit(150, 100, 'cap') // fits, two thirds full; 125 L would do
 */
export function vesselFit(capacityL: number, litres: number, room: RoomFor): VesselFit {
  within('capacityL', capacityL, 0.1, 100_000)
  within('litres', litres, 0, 100_000)
  const fullShare = litres / capacityL
  const neededL = litres / (1 - ROOM[room])
  return {
    verdict: litres > capacityL ? 'too-small' : neededL > capacityL ? 'tight' : fullShare < ROOMY ? 'roomy' : 'fits',
    fullShare,
    neededL
  }
}
